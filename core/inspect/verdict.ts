import { type Limits, tidy } from "../quantity/index.ts";

export type Verdict = "good" | "withinU" | "rework" | "under" | "over" | "cannotTell";

export interface GuardedVerdict {
  verdict: "accept" | "reject" | "doubtful";
  insideLimits: boolean;
}

/**
 * Reading against limits with a guard band of the full uncertainty U (mm): the older, plainer form of ISO 14253-1.
 * A reading exactly on the guard line is accepted.
 * @returns null for limits turned round, an uncertainty below nothing, or no reading
 */
export function guardedVerdict(reading: number, limits: Limits, u: number): GuardedVerdict | null {
  if (!Number.isFinite(reading) || !(limits.lower <= limits.upper) || !(u >= 0)) return null;
  const low = tidy(reading - limits.lower);
  const high = tidy(limits.upper - reading);
  const insideLimits = low >= 0 && high >= 0;
  if (tidy(low - u) >= 0 && tidy(high - u) >= 0) return { verdict: "accept", insideLimits };
  if (tidy(low + u) < 0 || tidy(high + u) < 0) return { verdict: "reject", insideLimits };
  return { verdict: "doubtful", insideLimits };
}

export interface SizeVerdict {
  verdict: Verdict;
  largest: number;
  smallest: number;
  spread: number;
  /** How much still to take off where most is left for the target, mm; 0 when nothing. */
  rework: number;
}

/**
 * Verdict of a size by all its readings, not by one (M34), with the guard band of U.
 * good: every point accepted. withinU: inside the limits but within U of one. rework: some point has metal left and none is past
 * its limit. under, over: some point surely past saving, an outside size too small or an inside size or depth too large.
 * cannotTell: U too wide for these limits, or a point just outside them.
 * @param of whether cutting makes the size smaller or larger: a slot too narrow can be cut again, one too wide cannot
 * @returns null without readings, or where the limits or the uncertainty cannot be
 */
export function sizeVerdict(
  readings: number[],
  limits: Limits,
  u: number,
  of: "outside" | "inside" = "outside",
): SizeVerdict | null {
  if (readings.length === 0) return null;
  const largest = Math.max(...readings);
  const smallest = Math.min(...readings);
  const spread = tidy(largest - smallest);
  const high = guardedVerdict(largest, limits, u);
  const low = guardedVerdict(smallest, limits, u);
  if (!high || !low) return null;
  const target = (limits.lower + limits.upper) / 2;
  const made = (verdict: Verdict, rework = 0): SizeVerdict => ({
    verdict,
    largest,
    smallest,
    spread,
    rework: tidy(rework),
  });
  const tooSmall = low.verdict === "reject" && smallest < limits.lower;
  const tooLarge = high.verdict === "reject" && largest > limits.upper;
  if (of === "outside") {
    if (tooSmall) return made("under");
    if (tooLarge) return made("rework", largest - target);
  } else {
    if (tooLarge) return made("over");
    if (tooSmall) return made("rework", target - smallest);
  }
  if (high.verdict === "accept" && low.verdict === "accept") return made("good");
  if (2 * u >= limits.upper - limits.lower) return made("cannotTell");
  if (high.insideLimits && low.insideLimits) return made("withinU");
  return made("cannotTell");
}

/**
 * Verdict of a place: no cut moves it, so past either limit it is past saving.
 * @returns null without readings, or where the limits or the uncertainty cannot be
 */
export function placeVerdict(readings: readonly number[], limits: Limits, u: number): SizeVerdict | null {
  if (readings.length === 0) return null;
  const [largest, smallest] = [Math.max(...readings), Math.min(...readings)];
  const [high, low] = [guardedVerdict(largest, limits, u), guardedVerdict(smallest, limits, u)];
  if (!high || !low) return null;
  const verdict: Verdict =
    high.verdict === "reject" && largest > limits.upper
      ? "over"
      : low.verdict === "reject"
        ? "under"
        : high.verdict === "accept" && low.verdict === "accept"
          ? "good"
          : high.insideLimits && low.insideLimits && 2 * u < limits.upper - limits.lower
            ? "withinU"
            : "cannotTell";
  return { verdict, largest, smallest, spread: tidy(largest - smallest), rework: 0 };
}

/**
 * Verdict of an error of form against its largest: nothing is too small, too large is rework. "No light" and a feeler that does
 * not go say that it is no more than so much: that proves it where so much is allowed, and else nothing.
 * @returns null without readings, or where the limit or the uncertainty cannot be
 */
export function formVerdict(
  readings: readonly { value: number; atMost: boolean }[],
  upper: number,
  u: number,
): SizeVerdict | null {
  if (readings.length === 0 || !(upper >= 0) || !(u >= 0)) return null;
  const values = readings.map((r) => r.value);
  const [largest, smallest] = [Math.max(...values), Math.min(...values)];
  const told = readings.filter((r) => !r.atMost).map((r) => r.value);
  const judged = told.length > 0 ? guardedVerdict(Math.max(...told), { lower: -Infinity, upper }, u) : null;
  const bounded = readings.every((r) => !r.atMost || r.value <= upper);
  const verdict: Verdict =
    judged?.verdict === "reject"
      ? "rework"
      : !bounded
        ? "cannotTell"
        : judged === null || judged.verdict === "accept"
          ? "good"
          : 2 * u >= upper
            ? "cannotTell"
            : "withinU";
  return {
    verdict,
    largest,
    smallest,
    spread: tidy(largest - smallest),
    rework: verdict === "rework" ? tidy(Math.max(...told) - upper) : 0,
  };
}
