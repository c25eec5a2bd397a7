import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type CutFromAbove, strapPlaces } from "./strap-places.ts";

const cut = fc
  .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 200 }), fc.integer({ min: 2, max: 60 }))
  .map(([x, y, size]): CutFromAbove => ({ x: [x, x + size], y: [y, y + size] }));

describe("where straps stand", () => {
  test("never over a cut or near it, never off the edge, never two over each other", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 300 }),
        fc.integer({ min: 25, max: 200 }),
        fc.array(cut, { maxLength: 6 }),
        fc.integer({ min: 0, max: 6 }),
        (along, between, cuts, owned) => {
          const found = strapPlaces({ along, between, cuts, gone: [], owned });
          if (!found) return;
          const { places, reach } = found;
          expect(places.length).toBeGreaterThanOrEqual(2);
          expect(places.length).toBeLessThanOrEqual(Math.min(4, owned));
          expect(2 * reach).toBeLessThan(between);
          places.forEach(({ edge, left }, i) => {
            expect(left).toBeGreaterThanOrEqual(12.5);
            expect(left).toBeLessThanOrEqual(along - 12.5);
            const [low, high] = edge === "back" ? [-60, reach] : [between - reach, between + 60];
            for (const { x, y } of cuts) {
              const apart = Math.max(x[0] - left - 12.5, left - 12.5 - x[1], y[0] - high, low - y[1]);
              expect(apart).toBeGreaterThanOrEqual(24 - 1e-9);
            }
            for (const other of places.slice(i + 1))
              if (other.edge === edge) expect(Math.abs(other.left - left)).toBeGreaterThanOrEqual(45);
          });
        },
      ),
    );
  });

  test.each<[string, Parameters<typeof strapPlaces>[0], string[] | null]>([
    [
      "at both ends of both edges of a plate with a pocket in its middle",
      { along: 180, between: 140, cuts: [{ x: [60, 120], y: [45, 95] }], gone: [], owned: 4 },
      ["back 14", "back 164", "front 14", "front 164"],
    ],
    [
      "across from each other where two are owned",
      { along: 180, between: 140, cuts: [], gone: [], owned: 2 },
      ["back 14", "front 164"],
    ],
    [
      "beside what earlier cuts took of the corner it would press on",
      { along: 180, between: 140, cuts: [], gone: [{ x: [0, 40], y: [0, 30] }], owned: 4 },
      ["back 53", "back 164", "front 14", "front 164"],
    ],
    [
      "both on the edge that is left where a step runs along the other",
      { along: 180, between: 140, cuts: [{ x: [-15, 195], y: [-15, 20] }], gone: [], owned: 4 },
      ["front 14", "front 164"],
    ],
    ["nowhere with one strap", { along: 180, between: 140, cuts: [], gone: [], owned: 1 }, null],
    [
      "nowhere on a part too narrow for them",
      { along: 180, between: 24, cuts: [], gone: [], owned: 4 },
      null,
    ],
    [
      "nowhere where all of the top is cut",
      { along: 180, between: 140, cuts: [{ x: [0, 180], y: [0, 140] }], gone: [], owned: 4 },
      null,
    ],
  ])("%s", (_name, asked, places) => {
    expect(strapPlaces(asked)?.places.map(({ edge, left }) => `${edge} ${left}`) ?? null).toEqual(places);
  });
});
