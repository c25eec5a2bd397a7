import { type Mm, notNegative, positive } from "../quantity/index.ts";

/** Next cut to command (mm) when a commanded cut removed less or more than wanted. Offset suits spring and backlash. */
export const offsetModel = (commanded: number, measured: number, next: number) =>
  positive(commanded) && notNegative(measured, next) ? next + (commanded - measured) : NaN;

/** Factor model: suits a scale error; taken only when three cuts prove it. */
export const factorModel = (commanded: number, measured: number, next: number) =>
  positive(commanded, measured) && notNegative(next) ? (next * commanded) / measured : NaN;

/** A cut between two readings: how far the stop went on, and how much came off; mm. */
export interface Leg {
  commanded: Mm;
  took: Mm;
}

/** So many cuts between readings prove that an axis moves more or less than it shows. */
const cutsToProve = 3;
/** How far two readings of one size may differ, mm (guess). */
const betweenReadings: Mm = 0.01;

/**
 * What comes off for each mm that is set, by the last three cuts between readings. An offset makes every cut out by as much, a scale
 * every cut out by its share: the scale is taken only where it explains all three, and no offset does.
 * @returns null where they prove none
 */
export function provenRate(legs: readonly Leg[]): number | null {
  const last = legs.slice(-cutsToProve).filter((l) => positive(l.commanded, l.took));
  if (last.length < cutsToProve) return null;
  const rate =
    last.reduce((sum, l) => sum + l.took * l.commanded, 0) / last.reduce((s, l) => s + l.commanded ** 2, 0);
  const fits = last.every((l) => Math.abs(l.took - rate * l.commanded) <= betweenReadings);
  const all = Math.hypot(...last.map((l) => l.commanded));
  return fits && Math.abs(rate - 1) * all > 3 * betweenReadings ? rate : null;
}
