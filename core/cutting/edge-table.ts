import type { Mm } from "../quantity/index.ts";

/** The weighed edge in the cut against depth: what force is read from. Worked once for a cutter, width and material. */
export interface EdgeTable {
  depths: Float64Array;
  peak: Float64Array;
  mean: Float64Array;
}

/** Points of the table; closer together where the cut is shallow and the curve bends. */
const points = 14;

/**
 * @param top deepest it is asked about, mm
 * @param straight goes straight with the depth (straight teeth, depth along the axis): one point is enough
 */
export function edgeTable(
  top: Mm,
  straight: boolean,
  at: (depth: Mm) => { peak: number; mean: number },
): EdgeTable {
  const table: EdgeTable = {
    depths: new Float64Array(points + 1),
    peak: new Float64Array(points + 1),
    mean: new Float64Array(points + 1),
  };
  const whole = straight ? at(top) : null;
  for (let i = 1; i <= points; i++) {
    const share = (i / points) ** 2;
    const depth = top * share;
    const edge = whole ? { peak: whole.peak * share, mean: whole.mean * share } : at(depth);
    table.depths[i] = depth;
    // Deeper is never less: what sampling the turn wavers is taken out.
    table.peak[i] = Math.max(edge.peak, table.peak[i - 1]!);
    table.mean[i] = Math.max(edge.mean, table.mean[i - 1]!);
  }
  return table;
}

/** Value at a depth, straight between points and on beyond the last. */
export function edgeAtDepth({ depths }: EdgeTable, values: Float64Array, depth: Mm): number {
  const top = depths[points]!;
  if (depth >= top) return values[points]! * (depth / top);
  const i = Math.min(points - 1, Math.floor(Math.sqrt(Math.max(0, depth) / top) * points));
  const share = (depth - depths[i]!) / (depths[i + 1]! - depths[i]!);
  return values[i]! + share * (values[i + 1]! - values[i]!);
}

/** The largest depth whose peak stays within a value; the last point when none reaches it. */
export function depthOfPeak({ depths, peak }: EdgeTable, most: number): Mm {
  if (peak[points]! <= most) return depths[points]!;
  let i = 0;
  while (i < points && peak[i + 1]! <= most) i++;
  const rise = peak[i + 1]! - peak[i]!;
  return depths[i]! + (rise > 0 ? ((most - peak[i]!) / rise) * (depths[i + 1]! - depths[i]!) : 0);
}
