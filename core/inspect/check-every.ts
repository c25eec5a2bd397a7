import type { Limits } from "../quantity/index.ts";
import type { Series } from "./series.ts";

/** Of how many pieces one is measured, and what says so. */
export interface CheckEvery {
  every: number;
  why: "few" | "again" | "drift" | "spread";
}

/** Fewer pieces than this tell nothing of the spread: each is measured. */
const fewest = 4;
/** Of the pieces left until the trend meets a limit one in three is measured (guess). */
const shareOfDrift = 3;

/**
 * How often a size is measured over a run of pieces (guess, of the trade): every piece until four are read, while one is doubtful, or
 * where the mean lies within three deviations of a limit; then the rarer the further it lies from both.
 * @param u uncertainty of the readings, mm
 */
export function checkEvery(series: Series, { lower, upper }: Limits, u: number): CheckEvery {
  const { pieces, recheck, drift, outAt, mean, spread } = series;
  if (pieces.length < fewest) return { every: 1, why: "few" };
  if (recheck.some((r) => r.why !== "odd")) return { every: 1, why: "again" };
  const last = pieces.at(-1)!.piece;
  if (drift !== 0) {
    const left = outAt === null ? Infinity : outAt - last;
    return { every: Math.min(10, Math.max(1, Math.floor(left / shareOfDrift))), why: "drift" };
  }
  const room = Math.min(upper - mean, mean - lower) - u;
  const deviations = spread > 0 ? room / (spread / 2) : room > 0 ? Infinity : 0;
  const every = deviations < 3 ? 1 : deviations < 4 ? 2 : deviations < 6 ? 5 : 10;
  return { every, why: "spread" };
}
