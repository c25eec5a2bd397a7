import { cylinderStairs, pocketMoves, type Ring, slotStops, widestLane } from "../recipes/index.ts";
import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { sideReadings } from "./index.ts";

const size = fc.integer({ min: 20, max: 900 }).map((n) => n / 10);
const cutter = fc.integer({ min: 20, max: 250 }).map((n) => n / 10);

/** Distance from a point of the first quadrant to the way of a ring. */
function toRing([x, y]: readonly [number, number], ring: Ring): number {
  const [dx, dy] = [Math.max(0, x - ring.x), Math.max(0, y - ring.y)];
  return x <= ring.x && y <= ring.y ? Math.min(ring.x - x, ring.y - y) : Math.hypot(dx, dy);
}

describe("moves of the spindle", () => {
  test("a slot's stops keep the cutter in it, and reach both ends and both walls", () => {
    fc.assert(
      fc.property(size, size, size, cutter, (from, long, width, d) => {
        const stops = slotStops(from, long, width, d, 0);
        if (d > width || long < width) {
          expect(stops).toBeNull();
          return;
        }
        expect(stops!.low - d / 2).toBeCloseTo(from, 9);
        expect(stops!.high + d / 2).toBeCloseTo(from + long, 9);
        expect(stops!.walls + d / 2).toBeCloseTo(width / 2, 9);
        expect(stops!.high).toBeGreaterThanOrEqual(stops!.low);
      }),
    );
  });

  test("the rings of a pocket clear it without touching its walls, and the last one comes out at its size", () => {
    fc.assert(
      fc.property(size, size, cutter, fc.integer({ min: 0, max: 10 }), (x, y, d, tenths) => {
        const leave = tenths / 10;
        const moves = pocketMoves({ x, y }, d, leave);
        if (d > Math.min(x, y)) {
          expect(moves).toBeNull();
          return;
        }
        const { rings, finish } = moves!;
        const r = d / 2;
        expect(finish.x + r).toBeCloseTo(x / 2, 9);
        expect(finish.y + r).toBeCloseTo(y / 2, 9);
        rings.forEach((ring, i) => {
          expect(ring.x).toBeLessThanOrEqual(finish.x + 1e-9);
          expect(ring.y).toBeLessThanOrEqual(finish.y + 1e-9);
          if (i > 0) expect(ring.x - rings[i - 1]!.x).toBeLessThanOrEqual(widestLane * d + 1e-9);
        });
        // Every place a round cutter can get to lies under one of the ways.
        for (let i = 0; i <= 12; i++)
          for (let j = 0; j <= 12; j++) {
            const point = [(finish.x * i) / 12, (finish.y * j) / 12] as const;
            expect(Math.min(...[...rings, finish].map((ring) => toRing(point, ring)))).toBeLessThanOrEqual(
              r + 1e-6,
            );
          }
      }),
    );
  });

  test("steps of an arc stand out by no more than the cusp, and one step fewer would", () => {
    fc.assert(
      fc.property(
        size,
        cutter,
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 1, max: 9 }),
        (radius, d, share, tenths) => {
          const depth = (radius * share) / 10;
          const cusp = (radius * tenths) / 100;
          const stairs = cylinderStairs(radius, d, depth, cusp);
          if (!stairs) return;
          const out = stairs.map((s, i) => Math.hypot(s.half, radius - (stairs[i - 1]?.depth ?? 0)) - radius);
          expect(Math.max(...out)).toBeLessThanOrEqual(cusp + 1e-6);
          for (const s of stairs) {
            expect(Math.hypot(s.half, radius - s.depth)).toBeCloseTo(radius, 6);
            expect(s.axis - s.half).toBeCloseTo(d / 2, 9);
          }
          expect(stairs.at(-1)!.depth).toBeCloseTo(depth, 6);
          // Fewer even steps would leave a corner that stands out further.
          const fewer = stairs.length - 1;
          if (fewer > 0)
            expect(Math.sqrt(radius ** 2 + stairs.at(-1)!.half ** 2 / fewer) - radius).toBeGreaterThan(
              cusp - 1e-6,
            );
        },
      ),
    );
  });

  test("round a rectangle and in it the axis keeps half a cutter, from either zero", () => {
    fc.assert(
      fc.property(
        size,
        size,
        cutter,
        fc.constantFrom("inside" as const, "outside" as const),
        (x, y, d, of) => {
          const [corner, center] = (["corner", "center"] as const).map((datum) =>
            sideReadings({ x, y }, d, 0, datum, of),
          );
          if (of === "inside" && d > Math.min(x, y)) {
            expect([corner, center]).toEqual([null, null]);
            return;
          }
          const sign = of === "outside" ? 1 : -1;
          expect(corner!.xPlus - corner!.xMinus).toBeCloseTo(x + sign * d, 6);
          expect(center!.yPlus).toBeCloseTo(-center!.yMinus, 9);
          expect(corner!.xMinus - center!.xMinus).toBeCloseTo(x / 2, 6);
          expect(corner!.yPlus - center!.yPlus).toBeCloseTo(y / 2, 6);
        },
      ),
    );
  });
});
