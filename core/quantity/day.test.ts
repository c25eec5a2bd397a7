import fc from "fast-check";
import { expect, test } from "vitest";
import { dayNumber, dayOfNumber, minutesOfTime, monthsAfter } from "./index.ts";

test.each([
  ["1970-01-01", 0],
  ["1970-03-01", 59],
  ["1999-12-31", 10_956],
  ["2000-02-29", 11_016],
  ["2000-03-01", 11_017],
  ["2026-11-30T07:30:00.000Z", 20_787],
])("%s is day %i", (iso, day) => {
  expect(dayNumber(iso)).toBe(day);
});

test("what is no date has no number", () => {
  expect(dayNumber("next week")).toBeNaN();
});

test("the days of every month follow one another, leap years too", () => {
  const long = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  const two = (n: number) => String(n).padStart(2, "0");
  let day = dayNumber("1899-12-31");
  for (let year = 1900; year <= 2110; year++) {
    const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
    long.forEach((days, m) => {
      const last = days + (m === 1 && leap ? 1 : 0);
      expect(dayNumber(`${year}-${two(m + 1)}-01`)).toBe(day + 1);
      expect(dayNumber(`${year}-${two(m + 1)}-${two(last)}`)).toBe(day + last);
      day += last;
    });
  }
});

test.each([
  ["2025-11-30", 12, "2026-11-30"],
  ["2025-11-30", 3, "2026-02-30"],
  ["2026-01-15", 11, "2026-12-15"],
])("%s and %i months is %s", (from, months, to) => {
  expect(monthsAfter(from, months)).toBe(to);
});

test("the day of a number is the day that has it", () => {
  fc.assert(
    fc.property(fc.integer({ min: -100_000, max: 400_000 }), (number) => {
      expect(dayNumber(dayOfNumber(number))).toBe(number);
      expect(dayOfNumber(number)).toMatch(/^\d{4}-\d\d-\d\d$/);
    }),
  );
});

test("minutes of an ISO time; what is none is no number", () => {
  expect(minutesOfTime("1970-01-02T01:30:30.000Z")).toBe(1440 + 90.5);
  expect(minutesOfTime("yesterday")).toBeNaN();
});
