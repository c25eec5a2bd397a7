import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { blockPlaces } from "./index.ts";

describe("V-blocks under a lying shaft", () => {
  test.each([
    ["as far apart as is usual", 100, 125, [], [25, 75]],
    ["beside a hole where one would stand", 140, 125, [[20, 30]] as const, [49.5, 101.5]],
    ["nowhere where a hole leaves room for one alone", 100, 125, [[20, 30]] as const, null],
    ["one under a short shaft", 60, 125, [], [30]],
    ["one beside a hole in a short shaft", 60, 125, [[5, 15]] as const, [35]],
    [
      "nowhere where holes leave no room",
      60,
      125,
      [
        [5, 15],
        [40, 50],
      ] as const,
      null,
    ],
    ["between the jaws where the shaft is longer", 400, 125, [], [169, 232]],
  ])("%s", (_what, length, jaws, comesOut, places) => {
    const found = blockPlaces(length, jaws, comesOut);
    expect(found === null ? null : found.map((p) => Math.round(p))).toEqual(
      places === null ? null : places.map(Math.round),
    );
  });

  test("they stand under the shaft, between the jaws, clear of each other and of what comes out", () => {
    const stretch = fc
      .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 2, max: 20 }))
      .map(([at, wide]) => [at, at + wide] as const);
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 320 }),
        fc.integer({ min: 80, max: 200 }),
        fc.array(stretch, { maxLength: 4 }),
        (length, jaws, comesOut) => {
          const places = blockPlaces(length, jaws, comesOut) ?? [];
          for (const p of places) {
            expect(p - 18).toBeGreaterThanOrEqual(-1e-9);
            expect(p + 18).toBeLessThanOrEqual(length + 1e-9);
            expect(Math.abs(p - length / 2) + 18).toBeLessThanOrEqual(jaws / 2 + 1e-9);
            for (const [from, to] of comesOut) expect(to < p - 18 || from > p + 18).toBe(true);
          }
          if (places.length === 2) expect(places[1]! - places[0]!).toBeGreaterThanOrEqual(36 - 1e-9);
        },
      ),
    );
  });
});
