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

/** The day of a number, yyyy-mm-dd. */
export function dayOfNumber(number: number): string {
  const z = Math.floor(number) + 719_468;
  const era = Math.floor(z / 146_097);
  const ofEra = z - era * 146_097;
  const year = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365,
  );
  const ofYear = ofEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100));
  const shifted = Math.floor((5 * ofYear + 2) / 153);
  const date = ofYear - Math.floor((153 * shifted + 2) / 5) + 1;
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  const two = (n: number) => String(n).padStart(2, "0");
  return `${String(year + era * 400 + (month <= 2 ? 1 : 0)).padStart(4, "0")}-${two(month)}-${two(date)}`;
}

/** Minutes since 1970 of an ISO time in UTC; NaN where it is none. */
export function minutesOfTime(at: string): number {
  const parts = /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d):(\d\d(?:\.\d+)?)Z$/.exec(at);
  return parts
    ? dayNumber(parts[1]!) * 1440 + Number(parts[2]) * 60 + Number(parts[3]) + Number(parts[4]) / 60
    : NaN;
}
