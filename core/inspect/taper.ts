import { type Mm, tidy } from "../quantity/index.ts";
import { fitPlane } from "./plane.ts";

/** Where on a face a size was read, seen from above as it lay: −1 at the left and front, 1 at the right and back, 0 in the middle. */
export interface Spot {
  x: -1 | 0 | 1;
  y: -1 | 0 | 1;
}

/** Spots in the order a person goes round a block: the four corners, then the middle. */
export const spotsRound: readonly Spot[] = [
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 1 },
  { x: -1, y: 1 },
  { x: 0, y: 0 },
];

const thirds = [-1, 0, 1] as const;
/** All nine parts of a face as they are seen from above: the back row first. */
export const partsOfFace: readonly Spot[] = thirds
  .toReversed()
  .flatMap((y) => thirds.map((x): Spot => ({ x, y })));

const sideways = { "-1": "left", "0": "", "1": "right" } as const;
const away = { "-1": "front", "0": "", "1": "back" } as const;

/** A spot in words: "left front", "right", "middle". */
export const spotWords = ({ x, y }: Spot): string =>
  [sideways[x], away[y]].filter(Boolean).join(" ") || "middle";

/** How a face lies against the one it is measured from. */
export interface Lies {
  /** How much thicker it is at the right than at the left, and at the back than at the front, over the whole face; mm. */
  right: Mm;
  back: Mm;
  /** What is no slope: how far the readings lie off one plane, highest to lowest, mm; 0 with three spots, which make one. */
  uneven: Mm;
  /** Thickest less thinnest as read, mm. */
  spread: Mm;
  thickest: Spot;
  thinnest: Spot;
}

/**
 * Slope and unevenness of a face from sizes read at three spots or more that do not lie in a line.
 * @returns null where they do not say how it lies
 */
export function liesOf(readings: readonly { value: Mm; spot: Spot }[]): Lies | null {
  const fit = fitPlane(readings.map(({ value, spot }) => [spot.x, spot.y, value]));
  if (!fit) return null;
  const sorted = [...readings].sort((a, b) => b.value - a.value);
  const [high, low] = [sorted[0]!, sorted.at(-1)!];
  return {
    right: tidy(2 * fit.b),
    back: tidy(2 * fit.c),
    uneven: readings.length > 3 ? tidy(fit.flatness) : 0,
    spread: tidy(high.value - low.value),
    thickest: high.spot,
    thinnest: low.spot,
  };
}

/** A shim that takes the taper out of the next cut: how thick, and under which end of the part. */
export interface Shim {
  under: "left" | "right" | "front" | "back";
  thickness: Mm;
}

/**
 * Shims for a part that is thicker at one end because its seat was tilted: the thick end is raised by what it is too thick, so that
 * the cutter takes it off there. Slopes under what a reading can tell need none.
 * @param span over which the slope counts, mm, and over which the part rests: the shim goes under its supports
 */
export function shimsFor(
  { right, back }: Pick<Lies, "right" | "back">,
  least: Mm,
  span: { x: Mm; y: Mm; restX: Mm; restY: Mm },
): Shim[] {
  const shim = (slope: Mm, whole: Mm, rests: Mm, plus: Shim["under"], minus: Shim["under"]): Shim[] =>
    Math.abs(slope) > least && whole > 0
      ? [{ under: slope > 0 ? plus : minus, thickness: tidy((Math.abs(slope) * rests) / whole) }]
      : [];
  return [
    ...shim(right, span.x, span.restX, "right", "left"),
    ...shim(back, span.y, span.restY, "back", "front"),
  ];
}
