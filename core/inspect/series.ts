import { type Limits, type Mm, tidy } from "../quantity/index.ts";

/** What was read of one size on one piece: the smallest and the largest of its places, mm. */
export interface PieceRead {
  piece: number;
  low: Mm;
  high: Mm;
}

/** How a size runs from piece to piece. All lengths in mm. */
export interface Series {
  pieces: readonly PieceRead[];
  /** Of the middles of all pieces. */
  mean: Mm;
  /** How far pieces scatter about their trend: twice the standard deviation; 0 with fewer than four. */
  spread: Mm;
  /** How much it changes from one piece to the next; 0 where no trend stands out of the scatter. */
  drift: Mm;
  /** Where the trend begins: its size at piece 0. */
  start: Mm;
  /** The first piece whose size the trend takes out of the limits; null where it takes none, or none within a thousand. */
  outAt: number | null;
  /** Pieces to read again: past a limit, within U of one, or off the trend by more than three times the scatter. */
  recheck: readonly { piece: number; why: "past" | "near" | "odd" }[];
}

/** A trend stands out where its slope is so many times what scatter alone makes of it (guess). */
const standsOut = 3;
/** Fewer pieces than this have no scatter to speak of. */
const fewest = 4;
const farAhead = 1000;
/** Readings hardly scatter by less than this, mm (guess). */
const leastScatter: Mm = 0.0005;

/**
 * How a size runs over the pieces: a straight line through the middles by least squares, kept only where its slope stands out.
 * @param u uncertainty of the readings, mm
 * @returns null without a piece that was read, or where the limits are turned round
 */
export function seriesOf(reads: readonly PieceRead[], limits: Limits, u: Mm): Series | null {
  if (reads.length === 0 || !(limits.lower <= limits.upper) || !(u >= 0)) return null;
  const pieces = [...reads].sort((a, b) => a.piece - b.piece);
  const points = pieces.map(({ piece, low, high }) => ({ x: piece, y: (low + high) / 2 }));
  const n = points.length;
  const [mx, my] = [points.reduce((s, p) => s + p.x, 0) / n, points.reduce((s, p) => s + p.y, 0) / n];
  const sxx = points.reduce((s, p) => s + (p.x - mx) ** 2, 0);
  const sxy = points.reduce((s, p) => s + (p.x - mx) * (p.y - my), 0);
  const slope = sxx > 0 ? sxy / sxx : 0;
  const about = (k: number) => points.map((p) => p.y - my - k * (p.x - mx));
  const deviation = (left: readonly number[], free: number) =>
    n > free ? Math.sqrt(left.reduce((s, r) => s + r * r, 0) / (n - free)) : 0;
  const scatter = Math.max(leastScatter, deviation(about(slope), 2));
  const drifts = n >= fewest && sxx > 0 && Math.abs(slope) > (standsOut * scatter) / Math.sqrt(sxx);
  const drift = drifts ? slope : 0;
  const left = about(drift);
  const deviated = n >= fewest ? deviation(left, drifts ? 2 : 1) : 0;
  const start = my - drift * mx;
  const past = (at: Mm) => at > limits.upper || at < limits.lower;
  const odd = (i: number) => n >= fewest && Math.abs(left[i]!) > 3 * Math.max(leastScatter, deviated) - 1e-12;
  const whyAgain = ({ low, high }: PieceRead, i: number): Series["recheck"][number]["why"] | null =>
    past(high) || past(low) ? "past" : past(high + u) || past(low - u) ? "near" : odd(i) ? "odd" : null;
  const recheck = pieces.flatMap((p, i) => {
    const why = whyAgain(p, i);
    return why === null ? [] : [{ piece: p.piece, why }];
  });
  return {
    pieces,
    mean: tidy(my),
    spread: n >= fewest ? tidy(2 * deviated) : 0,
    drift: tidy(drift),
    start: tidy(start),
    outAt: leavesAt(start, drift, limits, pieces.at(-1)!.piece),
    recheck,
  };
}

/** The first piece after the last that the trend takes out of the limits. */
function leavesAt(start: Mm, drift: Mm, { lower, upper }: Limits, last: number): number | null {
  if (drift === 0) return null;
  const at = Math.floor(((drift > 0 ? upper : lower) - start) / drift) + 1;
  return Math.max(at, last + 1) > last + farAhead ? null : Math.max(at, last + 1);
}
