import { type Mm, tidy } from "../quantity/index.ts";
import type { Phrase } from "../working/index.ts";
import { roughly } from "./mill-area.ts";
import type { Work } from "./recipe.ts";
import type { Run, Track } from "./sweep.ts";

/** A slanted flank: where it begins at the face and where it ends, across the run, and how deep; mm. */
export interface Flank {
  /** At the face and at the floor. */
  from: Mm;
  to: Mm;
  depth: Mm;
  /** Where the metal is gone, seen from the flank. */
  side: -1 | 1;
  /** How far the metal goes across, from the line of a stair: to an edge, or to the middle between two flanks. */
  until: Mm;
}

/** What stairs leave in front of a flank, mm. */
export const stairCusp = 0.5;

/**
 * The fewest stairs of equal depth that stand no further out of a flank than the cusp, and cut nothing beyond it: each stands
 * on the flank with its lower corner.
 */
export function flankStairs({ from, to, depth, side, until }: Flank, cusp = stairCusp): Track[] {
  const slant = Math.hypot(to - from, depth);
  // The corner left in front of a stair stands out by its rise × run of the flank / slant.
  const most = (cusp * slant) / Math.max(Math.abs(to - from), 1e-9);
  const count = Math.max(1, Math.min(60, Math.ceil(depth / most - 1e-9)));
  return Array.from({ length: count }, (_, i): Track => {
    const down = (depth * (i + 1)) / count;
    const at = tidy(from + ((to - from) * (i + 1)) / count);
    return { at, side, depth: tidy(down), wide: tidy(Math.abs(until - at)) };
  });
}

/** Stairs along a run in front of one flank or two. */
export const stairWork = (
  title: Phrase,
  run: Run,
  flanks: readonly Flank[],
  top: Mm,
  most: Mm | null,
  task = "stairs",
): Work => ({
  task,
  title,
  sweep: {
    kind: "tracks",
    run,
    tracks: flanks
      .flatMap((flank) => flankStairs(flank))
      .map((t) => ({ ...t, depth: tidy(top + (t.depth ?? 0)) }))
      .sort((a, b) => a.depth - b.depth),
  },
  top,
  floor: tidy(top + Math.max(...flanks.map((f) => f.depth))),
  tool: {
    by: "mill",
    kind: "step",
    most,
    least: null,
    plunges: false,
    total: null,
    halfTolerance: null,
    tilt: null,
  },
  exact: roughly,
  measure: null,
  notes: [],
});
