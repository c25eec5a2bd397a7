import { type Axis, type Face, facesOf, type Sizes } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { type Balance, moved } from "./balance.ts";
import type { SplitLine } from "./stock.ts";

/** One half of a casting, from its outer face to the split line; mm. */
export interface Half {
  face: Face;
  drawn: Mm;
  /** As it came, where it is thinnest. */
  raw: Mm;
  /** What comes off its face there when the split line is put where it is drawn. */
  over: Mm;
}

/**
 * A split line against the balance of a lump: how far it lies off where it is drawn, and what either half gives when it is followed.
 * @returns `line` is where it lies as the part lies in the blank, mm; null while it is not entered, or a face beside it was not probed
 */
export function splitSays(
  { axis, found, drawn }: SplitLine,
  { motion, faces }: Pick<Balance, "motion" | "faces">,
  finished: Sizes,
): { line: Mm; off: Mm; halves: readonly [Half, Half] } | null {
  const [low, high] = facesOf(axis);
  const [atLow, atHigh] = [faces[low], faces[high]];
  if (found === null || drawn === null || !atLow || !atHigh) return null;
  const middle = { length: finished.length / 2, width: finished.width / 2, height: finished.height / 2 };
  const line = tidy(moved(motion, { ...middle, [axis]: found })[axis]);
  const off = tidy(line - drawn);
  return {
    line,
    off,
    halves: [
      { face: low, drawn, raw: tidy(line + atLow.least), over: tidy(atLow.least + off) },
      {
        face: high,
        drawn: tidy(finished[axis] - drawn),
        raw: tidy(finished[axis] - line + atHigh.least),
        over: tidy(atHigh.least - off),
      },
    ],
  };
}

/** Standing higher than so many times its narrower side a lump is knocked over by a height gauge (guess). */
const tallest = 3;

/** What keeps a lump from tipping while it stands on the low face of a size to be scribed. */
export type Standing = "by itself" | "angle plate" | "weight";

/**
 * How a lump stands on the low face of a size: by itself; against an angle plate where it is tall; with a weight over the middle where
 * it lies on packed rests and only one of them holds a side.
 * @param packed whether packing lifts it there
 */
export function standsOn(axis: Axis, sizes: Sizes, packed: boolean): Standing {
  const base = Math.min(...(Object.keys(sizes) as Axis[]).filter((a) => a !== axis).map((a) => sizes[a]));
  if (sizes[axis] > tallest * base) return "angle plate";
  return packed ? "weight" : "by itself";
}
