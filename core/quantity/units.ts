import Fraction from "fraction.js";

/** Length in millimeters: the canonical unit inside the app. */
export type Mm = number;
/** Table feed in mm/min. */
export type MmPerMin = number;
/** Cutting speed in m/min. */
export type MPerMin = number;
/** Spindle speed in revolutions per minute. */
export type Rpm = number;
/** Power in kW. */
export type Kw = number;
/** Time in minutes. */
export type Minutes = number;

export type LengthUnit = "mm" | "in";

/** One inch in millimeters, exact by definition (1959 agreement). */
export const mmPerInch = 25.4;

/** Length in mm from a value in the given unit. */
export function toMm(value: number, unit: LengthUnit): Mm {
  return unit === "mm" ? value : value * mmPerInch;
}

/** Length in the given unit from mm. */
export function fromMm(value: Mm, unit: LengthUnit): number {
  return unit === "mm" ? value : value / mmPerInch;
}

/**
 * Exact conversion of a decimal text between mm and inch.
 * @returns both values and the inch as a fraction in lowest terms, `n/d`. Throws on text that is no number.
 */
export function convertExact(text: string, unit: LengthUnit): { mm: number; in: number; inFraction: string } {
  const perInch = new Fraction(254, 10);
  const given = new Fraction(text);
  const inches = unit === "in" ? given : given.div(perInch);
  return {
    mm: inches.mul(perInch).valueOf(),
    in: inches.valueOf(),
    inFraction: `${String(inches.n * inches.s)}/${String(inches.d)}`,
  };
}
