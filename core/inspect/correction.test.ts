import { expect, test } from "vitest";
import { type Leg, provenRate } from "./correction.ts";

const legs = (...of: [commanded: number, took: number][]): Leg[] =>
  of.map(([commanded, took]) => ({ commanded, took }));

test.each<[string, Leg[], number | null]>([
  ["three cuts, each 4 % more", legs([1, 1.04], [0.5, 0.52], [0.8, 0.832]), 1.04],
  ["each 6 % less, older ones forgotten", legs([1, 1.3], [1, 0.94], [0.5, 0.47], [2, 1.88]), 0.94],
  ["the same offset each time", legs([1, 1.05], [0.3, 0.35], [0.8, 0.85]), null],
  ["two cuts prove nothing", legs([1, 1.04], [0.5, 0.52]), null],
  ["as set, but for what two readings differ by", legs([1, 1.008], [0.5, 0.497], [0.8, 0.804]), null],
  ["thin cuts, out by less than is read", legs([0.1, 0.104], [0.1, 0.104], [0.1, 0.104]), null],
  ["one went the other way", legs([1, 1.04], [-0.5, 0.52], [0.8, 0.832]), null],
])("%s", (_what, of, rate) => {
  const proven = provenRate(of);
  if (rate === null) expect(proven).toBeNull();
  else expect(proven).toBeCloseTo(rate, 3);
});
