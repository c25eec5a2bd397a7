import { type Material, mostThinning, type Range } from "../handbook/index.ts";
import {
  type Minutes,
  type Mm,
  type MmPerMin,
  notNegative,
  positive,
  type Rpm,
  wholeTeeth,
} from "../quantity/index.ts";
import type { AxisScrew } from "../shop/index.ts";

/** Table feed: vf = fz z n. NaN for a feed or speed that is none, or teeth that cannot be. */
export const tableFeed = (fz: Mm, teeth: number, n: Rpm): MmPerMin =>
  positive(fz, n) && wholeTeeth(teeth) ? fz * teeth * n : NaN;

/** Feed per tooth of a table feed: fz = vf / (z n). NaN for a feed or speed that is none, or teeth that cannot be. */
export const feedPerToothOf = (vf: MmPerMin, teeth: number, n: Rpm): Mm =>
  positive(vf, n) && wholeTeeth(teeth) ? vf / (teeth * n) : NaN;

/** Pace of a handwheel: turns a minute, seconds a turn and a division, for a lead in mm a turn; NaN for what cannot be. */
export function handwheelPace(vf: MmPerMin, lead: Mm, divisionsPerTurn: number) {
  if (!positive(vf, lead, divisionsPerTurn))
    return { turnsPerMin: NaN, secondsPerTurn: NaN, secondsPerDivision: NaN };
  const secondsPerTurn = (60 * lead) / vf;
  return { turnsPerMin: vf / lead, secondsPerTurn, secondsPerDivision: secondsPerTurn / divisionsPerTurn };
}

/** Minutes for a cut with run-in and run-out, a number of passes. NaN for a feed that is none, or a length below nothing. */
export const cutTime = (length: Mm, approach: Mm, overrun: Mm, vf: MmPerMin, passes = 1): Minutes =>
  positive(vf) && notNegative(length, approach, overrun, passes)
    ? ((length + approach + overrun) / vf) * passes
    : NaN;

/** A hand turns a wheel comfortably in 1 to 15 s a turn (domain.md 6). */
export const comfortableTurn: Range = [1, 15];

/** Feed per tooth aimed at: the middle of the range, three quarters of it when quickness is asked for, mm. */
export const plainFz = ([low, high]: Range, quick: boolean): Mm => low + (high - low) * (quick ? 0.75 : 0.5);

export interface FeedChoice {
  vf: MmPerMin;
  by: "power" | "hand";
  /** Seconds a turn at the handwheel. */
  pace: number;
  bound: "wanted" | "step" | "hand";
}

/** Nearest power feed not above the wanted one; without one, by hand, no quicker than a hand can turn. */
export function chooseFeed(axis: AxisScrew, wanted: MmPerMin): FeedChoice {
  const step = [...axis.powerFeeds].sort((a, b) => b - a).find((f) => f <= wanted * (1 + 1e-9));
  if (step !== undefined) return { vf: step, by: "power", pace: (60 * axis.lead) / step, bound: "step" };
  const vf = Math.min(wanted, (60 * axis.lead) / comfortableTurn[0]);
  return { vf, by: "hand", pace: (60 * axis.lead) / vf, bound: vf < wanted ? "hand" : "wanted" };
}

/** A feed the person asks for: the power feed when there is one like it, else by hand as asked. */
export function ownFeed(axis: AxisScrew, vf: MmPerMin): FeedChoice {
  const like = axis.powerFeeds.find((f) => Math.abs(f - vf) <= 0.005 * vf);
  return {
    vf: like ?? vf,
    by: like ? "power" : "hand",
    pace: (60 * axis.lead) / (like ?? vf),
    bound: "wanted",
  };
}

/** Lower feeds tried when force or power bind, and higher ones for thin chips, as shares of the plain one. */
const gentler = [1, 0.8, 0.62];
const raised = [1.25, 1.6, 2, mostThinning];

/** Largest ae/D at which the chip of a feed raised by a factor is no thicker than at the plain feed. */
export const thinTo = (factor: number): number => (1 - Math.sqrt(1 - 1 / factor ** 2)) / 2;

/**
 * Feeds per tooth worth comparing: where the range is aimed at, gentler ones inside it, and for cuts on the side raised ones
 * that keep the largest chip where ae is below D/2 (domain.md 6: at most × 2.5, for that move only).
 * @param quick aims at three quarters of the range instead of its middle
 */
export function feedCandidates(range: Range, thins: boolean, quick = false): Mm[] {
  const plain = plainFz(range, quick);
  const slow = new Set(gentler.map((share) => Math.max(range[0], plain * share)));
  return [...slow, ...(thins ? raised.map((factor) => plain * factor) : [])];
}

/** Whether a material must never be rubbed: no spring passes, no dwelling. */
export const neverRub = (material: Material): boolean => material.workHardens;
