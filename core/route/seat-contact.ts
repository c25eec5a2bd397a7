import { type Axis, alongJaws, axisOf, facesOf, type Orientation, type Sizes } from "../frame/index.ts";
import { type ParallelSpan, parallelSpans, type Seat } from "../holding/index.ts";
import { inPrism, type Prism } from "../part/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";

/** Where a block is really touched in a vise once features are cut out of it: never from its outside alone. */
export interface SeatContact {
  /** How high each jaw has metal in front of it, from the lowest to the highest place, mm. */
  fixed: Mm;
  moving: Mm;
  /** Area that stands on the bed, or on each parallel, mm². */
  supports: { at: "bed" | ParallelSpan["at"]; area: Mm }[];
}

/** Least area that carries a part, mm² (guess). */
export const leastSupport = 15;

/** Places are asked about in so many rows and columns. */
const rows = 12;
const columns = 40;
/** So far inside a face it is asked whether metal stands there, mm. */
const skin = 0.15;

/**
 * What of a block touches jaws and bed.
 * @param gone what was cut out before
 * @param parallel length of the parallels, mm
 */
export function contactIn(
  { seat, at }: { seat: Seat; at: Orientation },
  gone: readonly Prism[],
  sizes: Sizes,
  vise: Pick<Vise, "jawWidth" | "jawChamfer">,
  parallel: Mm,
): SeatContact {
  const up = axisOf(at.up);
  const across = axisOf(at.fixed);
  const along = alongJaws(at);
  const put = (axis: Axis, face: boolean, off: Mm) => (face ? sizes[axis] - off : off);
  const upHigh = facesOf(up)[1] === at.up;
  const fixedHigh = facesOf(across)[1] === at.fixed;
  const place = { length: 0, width: 0, height: 0 };
  /** Whether metal stands at a place: along the jaws from the low end, from the fixed face inward, up from below. */
  const metal = (x: Mm, y: Mm, z: Mm): boolean => {
    if (gone.length === 0) return true;
    place[along] = x;
    place[across] = put(across, fixedHigh, y);
    place[up] = put(up, !upHigh, z);
    return !gone.some((prism) => inPrism(prism, place));
  };
  const middle = sizes[along] / 2;
  const over = (width: Mm): Mm[] => {
    const half = Math.min(width, sizes[along]) / 2;
    return Array.from({ length: columns }, (_, i) => middle - half + (2 * half * (i + 0.5)) / columns);
  };
  const top = Math.max(skin, seat.grip - vise.jawChamfer);
  const heights = Array.from({ length: rows + 1 }, (_, i) => skin + ((top - 2 * skin) * i) / rows);
  const before = over(vise.jawWidth);
  const jaw = (y: Mm): Mm => {
    const held = heights.filter((z) => before.some((x) => metal(x, y, z)));
    if (held.length === 0) return 0;
    // Between two rows that are asked about the truth lies somewhere: the smaller is told.
    const whole = held.length === heights.length;
    return whole ? top : tidy(held.at(-1)! - held[0]!);
  };
  const carried = (from: Mm, to: Mm, width: Mm): Mm => {
    const half = Math.min(width, sizes[along]);
    const deep = Array.from({ length: rows }, (_, i) => from + ((to - from) * (i + 0.5)) / rows);
    const under = over(width);
    const met = under.reduce((n, x) => n + deep.filter((y) => metal(x, y, skin)).length, 0);
    return (met / (rows * columns)) * half * (to - from);
  };
  const between = sizes[across];
  const { parallels } = seat;
  return {
    fixed: jaw(skin),
    moving: jaw(between - skin),
    supports: parallels
      ? parallelSpans(parallels, between).map(({ at: where, from, to }) => ({
          at: where,
          area: carried(from, to, parallel),
        }))
      : [{ at: "bed", area: carried(0, between, vise.jawWidth) }],
  };
}
