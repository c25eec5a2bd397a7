import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type PieceRead, seriesOf } from "./series.ts";

const limits = { lower: 9.97, upper: 10.03 };
const one = (piece: number, value: number): PieceRead => ({ piece, low: value, high: value });

describe("how a size runs over the pieces", () => {
  test.each([
    ["a slot that a worn end mill makes narrower", [10, 9.997, 9.994, 9.991, 9.988], -0.003, 11],
    ["a size that stays", [10.001, 9.999, 10, 10.002, 9.998], 0, null],
    ["three pieces tell no trend", [10, 9.99, 9.98], 0, null],
    ["one that is out already by its trend leaves at the next", [10.01, 10.018, 10.026, 10.034], 0.008, 5],
  ])("%s", (_what, values, drift, outAt) => {
    const series = seriesOf(
      values.map((v, i) => one(i + 1, v)),
      limits,
      0.005,
    )!;
    expect(series.drift).toBeCloseTo(drift, 6);
    expect(series.outAt).toBe(outAt);
  });

  test.each([
    ["past a limit", [10, 10, 10.031, 10], 3, "past"],
    ["within U of one", [10, 10, 10.027, 10], 3, "near"],
    ["off the others", [...Array<number>(15).fill(10), 10.02], 16, "odd"],
  ])("a piece %s is to be read again", (_what, values, piece, why) => {
    const series = seriesOf(
      values.map((v, i) => one(i + 1, v)),
      limits,
      0.005,
    )!;
    expect(series.recheck).toEqual([{ piece, why }]);
  });

  test("a piece is judged by its worst place, the trend by its middle", () => {
    const series = seriesOf([{ piece: 1, low: 9.96, high: 10 }], limits, 0)!;
    expect([series.mean, series.recheck]).toEqual([9.98, [{ piece: 1, why: "past" }]]);
  });

  test("none without a reading, with limits turned round, or an uncertainty below nothing", () => {
    expect(seriesOf([], limits, 0)).toBeNull();
    expect(seriesOf([one(1, 10)], { lower: 2, upper: 1 }, 0)).toBeNull();
    expect(seriesOf([one(1, 10)], limits, -1)).toBeNull();
  });

  test("a trend is found whatever its direction, size and place; the order of the pieces changes nothing", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.05, max: 0.05, noNaN: true }).filter((d) => Math.abs(d) > 0.004),
        fc.integer({ min: 5, max: 40 }),
        fc.array(fc.double({ min: -0.001, max: 0.001, noNaN: true }), { minLength: 40, maxLength: 40 }),
        (drift, count, noise) => {
          const reads = Array.from({ length: count }, (_, i) => one(i + 1, 10 + drift * i + noise[i]!));
          const series = seriesOf(reads, limits, 0)!;
          expect(Math.abs(series.drift - drift)).toBeLessThan(0.001);
          expect(seriesOf(reads.toReversed(), limits, 0)).toEqual(series);
        },
      ),
    );
  });
});
