import type { Cut } from "../cutting/index.ts";
import type { Side } from "../frame/index.ts";
import { conventionalTravel } from "../holding/index.ts";
import { type Mm, type MmPerMin, tidy } from "../quantity/index.ts";
import { clearOff, type SpindleWay, straight } from "./spindle-way.ts";
import { type Round, type Stroke, strokesAlong } from "./strokes.ts";
import type { Reach } from "./sweep.ts";

/** One way over a face: what it cuts across the feed, and where the middle of the cutter goes. */
export interface FaceLane {
  /** Across the feed, from the front edge or the left end of the part as it lies, mm. */
  covers: Reach;
  middle: Mm;
  /** The edge its far side goes out over; null where metal is left on both sides, or one lane covers all. */
  over: Side | null;
}

/**
 * What a cutter sweeps to make a face, seen from above: X from the left end of the part as it lies, Y from its front edge. Where
 * its lanes lie is judged by eye; how deep it goes is counted from the zero.
 */
export interface FaceSweep {
  /** With the end of a cutter over what is up, with a cutter on an arbor, or with the side of one along a wall. */
  by: "end" | "arbor" | "side";
  along: "x" | "y";
  /** Where it is fed to in the passes before the last, and in the last: the right or the back is 1. */
  toward: 1 | -1;
  lastToward: 1 | -1;
  /** How far the part reaches. */
  size: { x: Mm; y: Mm };
  lanes: readonly FaceLane[];
  /** What the cutter takes along and across its feed, mm: the diameter of a round one, the length of one on an arbor. */
  cutter: { diameter: Mm; wide: Mm };
  /** The side of the part a wall lies on; null for what is up. */
  side: Side | null;
  /** How far below the top the end of the cutter goes beside a wall, mm; 0 for what is up. */
  down: Mm;
}

/** The outer lanes go out over the edge by so much, so that no ridge is left on it; mm. */
export const pastEdge = 1;

/**
 * Lanes over a face, side by side from one edge to the other: each takes its width, the cutter out over what is cut already.
 * @param reach what is cut across the feed, mm
 * @param from the edge the first lane lies on
 * @param whole whether the last of them goes out over the far edge too; else it stops at what holds the part there
 */
export function lanesOver(
  reach: Reach,
  { count, width }: { count: number; width: Mm },
  cutter: Mm,
  edges: { from: Side; to: Side; whole: boolean },
): FaceLane[] {
  const half = cutter / 2;
  const [low, high] = reach;
  const up = edges.from === "front" || edges.from === "left" ? 1 : -1;
  const begin = up > 0 ? low : high;
  if (count === 1 && edges.whole)
    return [{ covers: [low, high], middle: tidy((low + high) / 2), over: null }];
  return Array.from({ length: count }, (_, i): FaceLane => {
    const last = i === count - 1;
    const near = tidy(begin + up * width * i);
    const far = last && edges.whole ? (up > 0 ? high : low) : tidy(begin + up * width * (i + 1));
    const out = last && edges.whole ? pastEdge : 0;
    return {
      covers: up > 0 ? [near, far] : [far, near],
      middle: tidy(far + up * (out - half)),
      over: last && edges.whole ? edges.to : i === 0 ? edges.from : null,
    };
  });
}

/** A pass over all lanes of a face. */
export interface FacePass {
  number: number;
  /** What comes off in it, and what came off with it, mm. */
  takes: Mm;
  cumulative: Mm;
  vf: MmPerMin;
  last: boolean;
  /** Once more at the same setting. */
  spring: boolean;
}

/** Where the middle of the cutter goes for a wall that lies so far inside the side of the part, mm. */
function wallAt({ side, size, cutter }: FaceSweep, inside: Mm): Mm {
  const out = cutter.diameter / 2 - inside;
  switch (side) {
    case "right":
      return tidy(size.x + out);
    case "back":
      return tidy(size.y + out);
    default:
      return tidy(-out);
  }
}

/** The ways of one pass: out past both ends of the part, never stopping in it. */
function waysOf(sweep: FaceSweep, pass: FacePass): SpindleWay[] {
  const { along, cutter, size, by } = sweep;
  const run = cutter.diameter / 2 + clearOff;
  const toward = pass.last ? sweep.lastToward : sweep.toward;
  const open = { low: true, high: true };
  const reach = [-run, size[along] + run] as const;
  if (by !== "side")
    return sweep.lanes.map(({ middle }) => straight(along, middle, reach, toward, open, "over"));
  const usual = conventionalTravel[sweep.side ?? "left"];
  const climbs = toward !== (usual === "right" || usual === "back" ? 1 : -1);
  return [
    straight(along, wallAt(sweep, pass.cumulative), reach, toward, open, climbs ? "climb" : "conventional"),
  ];
}

/**
 * Every stroke of a face, pass by pass and lane by lane: beside the part, down or up to the stop, over it to the other end, clear
 * of it back. Z counts from the face as it was before its first pass.
 */
export const faceStrokes = (sweep: FaceSweep, passes: readonly FacePass[]): Stroke[] =>
  strokesAlong(
    passes.flatMap((pass) =>
      waysOf(sweep, pass).map((way): Round => ({
        way,
        depth: sweep.by === "side" ? sweep.down : pass.cumulative,
        level: pass.number,
        levels: passes.at(-1)!.number,
        round: "pass",
        vf: pass.vf,
        takes: pass.takes,
        spring: pass.spring,
      })),
    ),
    { exact: byEye, tilt: null, set: null },
  );

/**
 * The passes of a face as its strokes need them: the last at its own feed, and once more where its wall springs back.
 * @param passes with what comes off in each and what came off with it, mm
 */
export function facePasses(
  cut: Pick<Cut, "vf" | "finishVf" | "spring">,
  passes: readonly Pick<FacePass, "number" | "takes" | "cumulative" | "last">[],
): FacePass[] {
  return passes.flatMap((pass) => {
    const fed = { ...pass, vf: pass.last ? cut.finishVf : cut.vf, spring: false };
    return pass.last && cut.spring ? [fed, { ...fed, spring: true }] : [fed];
  });
}

/** A lane lies where an eye puts it, mm. */
const byEye = 1;
