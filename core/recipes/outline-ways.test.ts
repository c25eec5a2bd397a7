import * as fc from "fast-check";
import { expect, test } from "vitest";
import type { Outline } from "../frame/index.ts";
import { distanceTo, isFree, piecesOf } from "./offset.ts";
import { regionWays } from "./outline-ways.ts";

const leave = 0.25;
/** What may stand before the pass along the walls, beside its own allowance, mm. */
const cusp = 0.9;

const outlines = fc
  .record({
    wide: fc.integer({ min: 30, max: 80 }),
    deep: fc.integer({ min: 24, max: 60 }),
    slant: fc.integer({ min: -10, max: 10 }),
    bulges: fc.array(fc.constantFrom(0, 0, 0.2, 0.4, 0.8), { minLength: 4, maxLength: 4 }),
  })
  .map(({ wide, deep, slant, bulges }): Outline =>
    [
      [0, 0],
      [wide, 0],
      [wide + slant, deep],
      [0, deep],
    ].map(([x, y], i) => ({ x: x!, y: y!, bulge: bulges[i]! })),
  );

test("rows over an outline leave no wedge at slanted or round ends, and touch no wall", () => {
  fc.assert(
    fc.property(outlines, fc.constantFrom(6, 8, 10, 12), (outer, diameter) => {
      const r = diameter / 2;
      const around = { x: [0, 90], y: [0, 90] } as const;
      const ways = regionWays({ kind: "region", outer, islands: [], around, leave }, diameter);
      const pieces = piecesOf(outer);
      for (const { points } of ways)
        for (const p of points) expect(isFree(p, pieces, r + leave - 0.01)).toBe(true);
      const far = (p: readonly [number, number]) =>
        Math.min(...ways.map(({ points }) => distanceTo(p, points[0]!, points.at(-1)!)));
      // Every place the cutter's center may come to, and what it would cut there toward each side.
      for (let x = -20; x < 100; x += 3.1)
        for (let y = -20; y < 90; y += 3.1) {
          const center = [x, y] as const;
          const row = ways.find(({ points }) => Math.abs(points[0]![1] - y) < r);
          if (!row || !isFree(center, pieces, r + leave) || !insideOf(outer, center)) continue;
          for (let k = 0; k < 8; k++) {
            const edge = [x + r * Math.cos((k * Math.PI) / 4), y + r * Math.sin((k * Math.PI) / 4)] as const;
            expect(far(edge)).toBeLessThan(r + cusp);
          }
        }
    }),
    { numRuns: 60 },
  );
});

test.each([
  ["a straight-sided one asks for no stroke beside its rows", 0, 0],
  ["a round one does", 0.4, 1],
])("rows round what stands: %s", (_what, bulge, least) => {
  const island: Outline = [
    [31.7, 9.1],
    [73.9, 9.1],
    [73.9, 17.9],
    [31.7, 17.9],
  ].map(([x, y]) => ({ x: x!, y: y!, bulge }));
  const around = { x: [0, 105.5], y: [0, 22] } as const;
  const ways = regionWays({ kind: "region", outer: null, islands: [island], around, leave }, 10);
  const rows = ways.filter(({ points }) => points.some(([x]) => x < 0 || x > 105.5));
  expect(ways.length - rows.length).toBeGreaterThanOrEqual(least);
  if (least === 0) expect(ways.length).toBe(rows.length);
});

/** Whether a place lies within: a way straight left of it crosses the outline an odd number of times. */
const insideOf = (outline: Outline, [x, y]: readonly [number, number]): boolean =>
  piecesOf(outline).filter(([[ax, ay], [bx, by]]) => {
    if (ay > y === by > y) return false;
    return ax + ((y - ay) / (by - ay)) * (bx - ax) < x;
  }).length %
    2 ===
  1;
