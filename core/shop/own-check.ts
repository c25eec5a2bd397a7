import { dayNumber } from "../quantity/index.ts";
import * as z from "../zod.ts";

/** What was found when a thing of the shop was tried, kept with the thing. */
export const ownCheckSchema = z.object({
  /** Day it was tried, yyyy-mm-dd. */
  on: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "a date is written yyyy-mm-dd"),
  /** The figure that came of it, mm. */
  found: z.number().min(-10_000).max(10_000),
  /** What was entered, as it was typed, and the unit it was typed for. */
  texts: z.record(z.string(), z.string()),
  unit: z.enum(["mm", "in"]),
});
export type OwnCheck = z.infer<typeof ownCheckSchema>;

/** The newest of every check of a thing, by the check's id; nothing where none was ever made. */
export const ownChecksSchema = z.record(z.string(), ownCheckSchema).optional();

/** Days that each check is believed (guess): what moves often is tried often. */
export const checkLasts = {
  "check-tram": 90,
  "check-slack": 365,
  "check-pull": 730,
  "check-readout": 365,
  "check-jaw-line": 30,
  "check-jaw-profile": 180,
  "check-jaw-tops": 180,
  "check-jaw-lift": 365,
  "check-jaw-upright": 180,
  "check-bed": 365,
  "check-stretch": 365,
  "check-run-out": 180,
  "check-width": 90,
  "check-parallels": 365,
  "check-instrument": 365,
  reversal: 180,
} as const;

/** Days that the pull at a vise's handle, and a stop, are believed (guess). */
export const daysBelieved = { pull: 365, stop: 30 } as const;
export type CheckId = keyof typeof checkLasts;

/** How old a check is, and whether it still says anything. */
interface CheckAge {
  days: number;
  stale: boolean;
}

/**
 * @param lasts days that a check is believed
 * @param today ISO date or time
 */
export function ageOfCheck({ on }: Pick<OwnCheck, "on">, lasts: number, today: string): CheckAge {
  const days = Math.max(0, dayNumber(today) - dayNumber(on));
  return { days, stale: days > lasts };
}
