import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { divisionsTyped, runOf, skimOrSet } from "./run.ts";

describe("an indicator run along an edge", () => {
  test.each([
    [
      "a plain slope",
      { start: 0, end: 6, high: null, low: null },
      { total: 0.06, slope: 0.06, wave: 0, per100: 0.03 },
    ],
    [
      "the same from another place of the needle",
      { start: 40, end: 46, high: 46, low: 40 },
      { total: 0.06, slope: 0.06, wave: 0, per100: 0.03 },
    ],
    [
      "falling to the end",
      { start: 5, end: 1, high: 5, low: 1 },
      { total: 0.04, slope: -0.04, wave: 0, per100: -0.02 },
    ],
    [
      "hollow, its ends level",
      { start: 0, end: 0, high: 0, low: -3 },
      { total: 0.03, slope: 0, wave: 0.03, per100: 0 },
    ],
    [
      "a slope and waves",
      { start: 0, end: 4, high: 5, low: -1 },
      { total: 0.06, slope: 0.04, wave: 0.02, per100: 0.02 },
    ],
  ])("%s", (_what, run, found) => {
    expect(runOf(run, 0.01, 200)).toEqual(found);
  });

  test.each([
    ["highest below an end", { start: 0, end: 6, high: 3, low: 0 }, 0.01, 200],
    ["lowest above an end", { start: 0, end: 6, high: 6, low: 2 }, 0.01, 200],
    ["no division", { start: 0, end: 6, high: null, low: null }, 0, 200],
    ["no length", { start: 0, end: 6, high: null, low: null }, 0.01, 0],
  ])("%s is no run", (_what, run, division, length) => {
    expect(runOf(run, division, length)).toBeNull();
  });

  test("slope and waves never make more than the whole, wherever the needle begins", () => {
    const place = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(place, place, place, fc.nat(20), fc.nat(20), (start, end, from, up, down) => {
        const ends = { start, end, high: Math.max(start, end) + up, low: Math.min(start, end) - down };
        const run = runOf(ends, 0.01, null)!;
        expect(Math.abs(run.slope) + run.wave).toBeCloseTo(run.total, 9);
        const moved = { start: start + from, end: end + from, high: ends.high + from, low: ends.low + from };
        expect(runOf(moved, 0.01, null)).toEqual(run);
      }),
    );
  });
});

test.each([
  ["waves are skimmed where there is metal", { start: 0, end: 0, high: 0, low: -5 }, 0.5, 3, 2, "skim"],
  ["not where there is none", { start: 0, end: 0, high: 0, low: -5 }, 0.1, 3, 2, "set"],
  ["a slope is set anew where that is quicker", { start: 0, end: 5, high: 5, low: 0 }, 0.5, 3, 2, "set"],
  ["and skimmed where it is not", { start: 0, end: 5, high: 5, low: 0 }, 0.5, 1, 2, "skim"],
] as const)("%s", (_what, run, spare, skim, set, better) => {
  expect(skimOrSet(runOf(run, 0.01, null)!, spare, skim, set).better).toBe(better);
});

test.each([
  ["6 div", 0.06],
  ["-2,5 div", -0.025],
  ["0 4 div", 0.04],
  ["0 4 5 -1 div", 0.06],
  ["0/4/5/−1 divisions", 0.06],
  ["0 4 3 -1 div", null],
  ["1 2 3 4 5 div", null],
  ["div", null],
  ["0.06", null],
] as const)("%s is typed in divisions", (text, value) => {
  expect(divisionsTyped(text, 0.01)?.value ?? null).toBe(value);
});
