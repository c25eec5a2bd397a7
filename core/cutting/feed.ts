import type { Minutes, Mm, MmPerMin, Rpm } from "../quantity/index.ts";
import type { AxisScrew } from "../shop/index.ts";

/** Table feed: vf = fz z n. */
export const tableFeed = (fz: Mm, teeth: number, n: Rpm): MmPerMin => fz * teeth * n;

/** Feed per tooth of a table feed: fz = vf / (z n). */
export const feedPerToothOf = (vf: MmPerMin, teeth: number, n: Rpm): Mm => vf / (teeth * n);

/** Pace of a handwheel: turns a minute, seconds a turn and a division, for a lead in mm a turn. */
export function handwheelPace(vf: MmPerMin, lead: Mm, divisionsPerTurn: number) {
  const secondsPerTurn = (60 * lead) / vf;
  return { turnsPerMin: vf / lead, secondsPerTurn, secondsPerDivision: secondsPerTurn / divisionsPerTurn };
}

/** Minutes for a cut with run-in and run-out, a number of passes. */
export const cutTime = (length: Mm, approach: Mm, overrun: Mm, vf: MmPerMin, passes = 1): Minutes =>
  ((length + approach + overrun) / vf) * passes;

/** A hand turns a wheel comfortably in 1 to 15 s a turn (domain.md 6). */
const quickestTurn = 1;

export interface FeedChoice {
  vf: MmPerMin;
  by: "power" | "hand";
  /** Seconds a turn at the handwheel. */
  pace: number;
  bound: "wanted" | "step" | "hand";
}

/** Nearest power feed not above the wanted one; without one, by hand, no quicker than a hand can turn. */
export function chooseFeed(axis: AxisScrew, wanted: MmPerMin): FeedChoice {
  const step = [...axis.powerFeeds].sort((a, b) => b - a).find((f) => f <= wanted);
  if (step !== undefined) return { vf: step, by: "power", pace: (60 * axis.lead) / step, bound: "step" };
  const vf = Math.min(wanted, (60 * axis.lead) / quickestTurn);
  return { vf, by: "hand", pace: (60 * axis.lead) / vf, bound: vf < wanted ? "hand" : "wanted" };
}
