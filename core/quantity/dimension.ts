import { place } from "./bounds.ts";
import * as z from "../zod.ts";
import type { Mm } from "./units.ts";

export const lengthUnitSchema = z.enum(["mm", "in"]);

/** A size as a drawing gives it: canonical mm plus how it was written. */
export const dimensionSchema = z
  .object({
    /** mm */
    nominal: place,
    /** Deviations from nominal in mm; null when the general tolerance applies. */
    upper: place.nullable(),
    lower: place.nullable(),
    /** A fit class such as h7 when one was written. */
    fit: z.string().nullable(),
    written: z.object({ text: z.string(), unit: lengthUnitSchema }),
  })
  .refine(({ upper, lower }) => (upper === null) === (lower === null), "it has one limit only")
  .refine(
    ({ upper, lower }) => upper === null || lower === null || lower <= upper,
    "its upper limit lies under its lower one",
  );
export type Dimension = z.infer<typeof dimensionSchema>;

/** Lower and upper limit of a size in mm. */
export interface Limits {
  lower: Mm;
  upper: Mm;
}

/** What a person aims at: the middle of the limits (domain.md 1, Target). */
export function middle(limits: Limits): Mm {
  return tidy((limits.lower + limits.upper) / 2);
}

/** Removes binary dust far below any measuring instrument, so that sums of decimals compare as decimals. */
export function tidy(value: number): number {
  return Math.round(value * 1e9) / 1e9;
}
