import { positive, tidy } from "../quantity/index.ts";
import { done, type Outcome, refused, say } from "../working/index.ts";

/** Handwheel moves. All lengths in one unit (mm or inch): the functions do not care which. */

export interface DialMove {
  turns: number;
  divisions: number;
  divisionsPerTurn: number;
  /** Wanted − moved: what the nearest division leaves. */
  residual: number;
}

/** Divisions in one turn; null when the lead is not a whole number of divisions. */
export function divisionsPerTurn(lead: number, division: number): number | null {
  const count = tidy(lead / division);
  const whole = Math.round(count);
  return lead > 0 && division > 0 && whole >= 1 && Math.abs(count - whole) < 1e-6 ? whole : null;
}

/**
 * A distance from zero as whole turns and divisions, to the nearest division (M25: from one zero, never a sum of moves).
 * @param distance not negative: the sign belongs to the direction of turning
 */
export function dialMove(distance: number, lead: number, division: number): Outcome<DialMove> {
  const perTurn = divisionsPerTurn(lead, division);
  if (perTurn === null) {
    return refused(
      say`The lead of the screw is not a whole number of divisions.`,
      say`Check lead and division of this axis in the shop.`,
    );
  }
  if (!(distance >= 0)) return refused(say`A dial move has no sign.`, say`Turn the other way.`);
  const total = Math.round(tidy(distance / division));
  return done({
    turns: Math.floor(total / perTurn),
    divisions: total % perTurn,
    divisionsPerTurn: perTurn,
    residual: tidy(distance - total * division),
  });
}

/** Dial reading after a signed distance; a motion in + raises the reading. */
export function dialReading(start: number, distance: number, lead: number, division: number): number | null {
  const perTurn = divisionsPerTurn(lead, division);
  if (perTurn === null || !Number.isFinite(start) || !Number.isFinite(distance)) return null;
  const end = (start + Math.round(tidy(distance / division))) % perTurn;
  return (end + perTurn) % perTurn;
}

export type Direction = "+" | "-";

/**
 * Travels that end in the approach direction past the backlash (M25): one move when already going that way, else overshoot
 * and come back. Nothing when already there that way.
 * @returns signed travels; null when backlash or overshoot cannot be
 */
export function movesPastBacklash(
  now: number,
  last: Direction,
  target: number,
  backlash: number,
  overshoot: number,
  approach: Direction,
): number[] | null {
  if (![now, target].every(Number.isFinite) || !(backlash >= 0) || !(overshoot > backlash)) return null;
  const sign = approach === "+" ? 1 : -1;
  const ahead = tidy((target - now) * sign);
  if (last === approach && ahead === 0) return [];
  if (last === approach && ahead > 0) return [tidy(target - now)];
  return [tidy(target - now - sign * overshoot), sign * overshoot];
}

/** Error after equal steps: rounded one by one (chain) and rounded from the datum; NaN for no steps or no division. */
export function roundedSteps(
  step: number,
  count: number,
  division: number,
): { chainErrorLast: number; datumErrorWorst: number } {
  if (!Number.isFinite(step) || !positive(division) || !(count >= 1))
    return { chainErrorLast: NaN, datumErrorWorst: NaN };
  const rounded = (value: number) => Math.round(tidy(value / division)) * division;
  const worst = Math.max(
    ...Array.from({ length: count }, (_, i) => Math.abs(rounded((i + 1) * step) - (i + 1) * step)),
  );
  return { chainErrorLast: tidy(count * (rounded(step) - step)), datumErrorWorst: tidy(worst) };
}
