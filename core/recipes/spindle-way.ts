import { conventionalTravel } from "../holding/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";

export type Point = readonly [x: Mm, y: Mm];

/** One way of the spindle at one or more depths, as the readout counts it. */
export interface SpindleWay {
  points: readonly Point[];
  /** Depth below the face that is up where it has one of its own; null for every level of the operation. */
  depth: Mm | null;
  /** The last point is the first again. */
  closed: boolean;
  /** How it comes to its depth. */
  entry: "outside" | "plunge";
  /** Seen from the way the cutter travels: metal to the left is conventional, to the right climbs; none on one side is full width. "over" is the end of a cutter over a face. */
  cuts: "conventional" | "climb" | "full" | "down" | "over";
  /** Whether a stop may not be passed: a closed end, a corner. */
  stops: readonly boolean[];
}

/** A cutter starts and ends this clear of the part, mm. */
export const clearOff = 2;

const line = (along: "x" | "y", at: Mm, from: Mm, to: Mm): [Point, Point] =>
  along === "x"
    ? [
        [tidy(from), tidy(at)],
        [tidy(to), tidy(at)],
      ]
    : [
        [tidy(at), tidy(from)],
        [tidy(at), tidy(to)],
      ];

/**
 * The direction along an axis that cuts conventional with the metal on one side of the way.
 * @returns 1 toward the high end, −1 toward the low end
 */
export function conventionalAlong(along: "x" | "y", metal: "low" | "high"): 1 | -1 {
  // Metal on the high side: the cutter runs along the side of it that lies low.
  const side = along === "x" ? (metal === "high" ? "front" : "back") : metal === "high" ? "left" : "right";
  const travel = conventionalTravel[side];
  return travel === "right" || travel === "back" ? 1 : -1;
}

/** A way along one axis between two places; where its end is open it comes in from outside and may run past. */
export const straight = (
  along: "x" | "y",
  at: Mm,
  [low, high]: readonly [Mm, Mm],
  toward: 1 | -1,
  open: { low: boolean; high: boolean },
  cuts: SpindleWay["cuts"],
  depth: Mm | null = null,
): SpindleWay => {
  const [from, to] = toward > 0 ? [low, high] : [high, low];
  const starts = toward > 0 ? open.low : open.high;
  const ends = toward > 0 ? open.high : open.low;
  return {
    points: line(along, at, from, to),
    depth,
    closed: false,
    entry: starts ? "outside" : "plunge",
    cuts,
    stops: [!starts, !ends],
  };
};

/** The same way the other way round: what was cut conventional climbs. */
export const reversed = (way: SpindleWay): SpindleWay => ({
  ...way,
  points: [...way.points].reverse(),
  stops: [...way.stops].reverse(),
  entry: way.closed || way.points.length === 1 ? way.entry : way.stops.at(-1) ? "plunge" : "outside",
  cuts: way.cuts === "conventional" ? "climb" : way.cuts,
});

/** Straight down at one place, and up again. */
export const plungeAt = (p: Point): SpindleWay => ({
  points: [p],
  depth: null,
  closed: false,
  entry: "plunge",
  cuts: "down",
  stops: [true],
});
