import { type Mm, tidy } from "../quantity/index.ts";
import { widestLane } from "./sweep.ts";

/** A way of the cutter's axis round the middle of a pocket; a ring without height is a line, without both a point. */
export interface Ring {
  /** Half its sizes: the axis goes to ± these. */
  x: Mm;
  y: Mm;
}

export interface PocketMoves {
  /** Roughing, from the middle out. */
  rings: Ring[];
  /** The walls, full depth. */
  finish: Ring;
  /** What the corners keep when the cutter is smaller than they are wanted: their radius comes out as the cutter's. */
  cornerRadius: Mm;
}

/** More rings than anyone walks by hand: a cutter that wants them is too small for the pocket. */
export const mostRings = 200;

/** How many rings clear a pocket besides the innermost one. */
const ringsFor = (smaller: Mm, cutter: Mm, share: number): number =>
  Math.ceil(tidy(smaller / (share * cutter)));

/**
 * Rings that clear a rectangular pocket from its middle, none wider than a share of the cutter.
 * @param leave on every wall for the finish
 * @returns null when the cutter does not go in, or is so small that it takes more than two hundred rings
 */
export function pocketMoves(
  size: { x: Mm; y: Mm },
  cutter: Mm,
  leave: Mm,
  share = widestLane,
): PocketMoves | null {
  if (!(size.x > 0 && size.y > 0 && cutter > 0 && leave >= 0 && share > 0 && share <= 1)) return null;
  const finish = { x: tidy((size.x - cutter) / 2), y: tidy((size.y - cutter) / 2) };
  if (finish.x < 0 || finish.y < 0) return null;
  const outer = { x: Math.max(0, finish.x - leave), y: Math.max(0, finish.y - leave) };
  const smaller = Math.min(outer.x, outer.y);
  // The innermost ring is a line along the longer size; each further one goes out by the same.
  const count = ringsFor(smaller, cutter, share);
  if (!(count <= mostRings)) return null;
  const step = count === 0 ? 0 : smaller / count;
  const rings = Array.from({ length: count + 1 }, (_, i) => {
    const off = smaller - i * step;
    return { x: tidy(outer.x - off), y: tidy(outer.y - off) };
  });
  return { rings, finish, cornerRadius: tidy(cutter / 2) };
}
