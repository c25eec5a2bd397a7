import * as z from "../zod.ts";

/** Days as they are written, yyyy-mm-dd, reckoned without a clock. */

/** A day, yyyy-mm-dd; empty for none. */
export const daySchema = z.string().regex(/^(\d{4}-\d{2}-\d{2})?$/, "a date is written yyyy-mm-dd");

/** The number of a day, counted from 1970-01-01; of an ISO time its day. NaN for what is no date. */
export function dayNumber(iso: string): number {
  const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})/.exec(iso) ?? [];
  if (!y || !m || !d) return NaN;
  // Years begin in March here: the day of a leap year comes last (Gregorian calendar).
  const month = (Number(m) + 9) % 12;
  const year = Number(y) - (Number(m) <= 2 ? 1 : 0);
  const leaps = Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400);
  return year * 365 + leaps + Math.floor((153 * month + 2) / 5) + Number(d) - 1 - 719_468;
}

/** The same day so many months later; the 31st of a short month counts as a day of the next. */
export function monthsAfter(iso: string, months: number): string {
  const [, y, m, d] = /^(\d{4})-(\d{2})-(\d{2})/.exec(iso) ?? [];
  const all = Number(y) * 12 + Number(m) - 1 + months;
  return `${String(Math.floor(all / 12)).padStart(4, "0")}-${String((all % 12) + 1).padStart(2, "0")}-${d}`;
}
