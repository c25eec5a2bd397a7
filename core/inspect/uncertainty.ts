import { dayNumber, type Mm, monthsAfter, tidy } from "../quantity/index.ts";

/** Temperatures of part and instrument when a size was read, °C. */
export interface Temperatures {
  part: number;
  instrument: number;
}

/** What leaves a reading in doubt, each as an expanded uncertainty (k = 2), mm. */
export interface Doubts {
  instrument: Mm;
  /** More for an instrument whose check is overdue. */
  overdue: Mm;
  /** Of the gauge block or pin it was compared with. */
  reference: Mm;
  /** Of temperatures that are known to a degree. */
  temperature: Mm;
  /** All of them: the root of their squares. */
  total: Mm;
}

/** Sizes are as they are at this, °C (ISO 1). */
export const reference: number = 20;
/** Steel of instruments and gauge blocks, mm per m and °C (domain.md 10). */
const steel = 0.0115;
/** How well a temperature by hand or thermometer is known, °C (guess). */
const known = 1;
/** An overdue instrument counts as so many times its uncertainty (guess). */
const overdueFactor = 1.5;
/** A year between checks where the register does not say. */
export const usualInterval = 12;

/**
 * A reading as it would be at 20 °C: a warm part reads large, a warm instrument small.
 * @param expansion of the part, mm per m and °C
 */
export function atReference(value: Mm, at: Temperatures | null, expansion: number): Mm {
  if (!at) return value;
  const grown = expansion * (at.part - reference) - steel * (at.instrument - reference);
  return tidy(value - (value / 1000) * grown);
}

/** What a reading is in doubt by. Nothing given counts as nothing; temperatures not said are taken as alike. */
export function doubtsOf(asked: {
  instrument: Mm;
  overdue: boolean;
  reference: Mm;
  size: Mm;
  expansion: number;
  temperatures: Temperatures | null;
}): Doubts {
  const overdue = asked.overdue ? asked.instrument * Math.sqrt(overdueFactor ** 2 - 1) : 0;
  const temperature = asked.temperatures
    ? (Math.abs(asked.size) / 1000) * known * Math.hypot(asked.expansion, steel)
    : 0;
  const total = Math.hypot(asked.instrument, overdue, asked.reference, temperature);
  return {
    instrument: asked.instrument,
    overdue: tidy(overdue),
    reference: asked.reference,
    temperature: tidy(temperature),
    total: tidy(total),
  };
}

/**
 * Whether the check of an instrument was overdue on a day. One that was never checked is not overdue: nothing is known of it.
 * @param lastCheck yyyy-mm-dd, empty for never
 * @param every months between checks
 */
export function isOverdue(lastCheck: string, every: number | null, on: string): boolean {
  if (lastCheck === "") return false;
  return dayNumber(on) > dayNumber(monthsAfter(lastCheck, every ?? usualInterval));
}

/** A reading with how far it is in doubt. */
export interface Weighed {
  value: Mm;
  u: Mm;
}

/** A reading gives way to later ones of instruments that are better by this. */
const better = 2;

/**
 * Readings that count, in the order they were taken: what was read coarsely before gives way to what a better instrument says
 * after it, unless the two cannot both be true. Then both stay, and the verdict goes by both.
 */
export function counting<R extends Weighed>(readings: readonly R[]): R[] {
  return readings.filter((r, i) => {
    const later = readings.slice(i + 1).filter((q) => q.u * better <= r.u);
    if (later.length === 0) return true;
    const values = later.map((q) => q.value);
    const doubt = r.u + Math.max(...later.map((q) => q.u));
    return r.value < Math.min(...values) - doubt || r.value > Math.max(...values) + doubt;
  });
}
