import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { clearWays, wallWays } from "./area-ways.ts";
import { distanceTo } from "./offset.ts";
import type { SpindleWay } from "./spindle-way.ts";
import { sideTotal } from "./sweep-size.ts";
import { type Area, sideNames } from "./sweep.ts";

type Place = readonly [x: number, y: number];

/** An area from its low corner, with walls where it ends within the part. */
const areaOf = ([wide, deep]: Place, walls: readonly boolean[]): Area => ({
  x: [0, wide],
  y: [0, deep],
  walls: { xLow: walls[0]!, xHigh: walls[1]!, yLow: walls[2]!, yHigh: walls[3]! },
  boss: null,
  corner: 0,
});

const areas = fc
  .tuple(
    fc.integer({ min: 12, max: 90 }),
    fc.integer({ min: 12, max: 90 }),
    fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
  )
  .map(([wide, deep, walls]) => areaOf([wide, deep], walls));

const leave = 0.25;

/** How far a place is from what ways have gone over with a cutter; below 0 within it. */
const off = (place: Place, ways: readonly SpindleWay[], radius: number): number =>
  Math.min(
    ...ways.flatMap(({ points }) =>
      points.length === 1
        ? [distanceTo(place, points[0]!, points[0]!)]
        : points.slice(1).map((to, i) => distanceTo(place, points[i]!, to)),
    ),
  ) - radius;

/** Places of an area a round cutter can reach: no nearer to two walls that meet than its own round. */
function* reachable({ x, y, walls }: Area, radius: number, within: number): Generator<Place> {
  for (let u = 0.5; u < x[1]; u += 2.3)
    for (let v = 0.5; v < y[1]; v += 2.3) {
      const toX = Math.min(walls.xLow ? u : Infinity, walls.xHigh ? x[1] - u : Infinity);
      const toY = Math.min(walls.yLow ? v : Infinity, walls.yHigh ? y[1] - v : Infinity);
      if (Math.min(toX, toY) < within) continue;
      const inCorner = toX < radius + within && toY < radius + within;
      if (!inCorner) yield [u, v];
    }
}

describe("ways that clear an area", () => {
  test("leave nothing standing but what the cut of its walls takes, whichever of them there are", () => {
    fc.assert(
      fc.property(areas, fc.constantFrom(6, 8, 10, 12), (area, diameter) => {
        const ways = clearWays(area, leave, diameter);
        if (!ways) return;
        // What the walls' own cut is told to take off, and nothing more.
        const left = sideTotal(
          leave,
          { kind: "walls", area, sides: sideNames, of: "area" },
          [{ sweep: { kind: "clear", area, leave }, diameter }],
          diameter,
        );
        for (const place of reachable(area, diameter / 2, left + 0.05))
          expect(off(place, ways, diameter / 2)).toBeLessThan(0.02);
      }),
      { numRuns: 120 },
    );
  });

  test("never come nearer to a wall than the allowance", () => {
    fc.assert(
      fc.property(areas, fc.constantFrom(6, 10, 12), (area, diameter) => {
        const { x, y, walls } = area;
        const r = diameter / 2 + leave - 1e-6;
        for (const [u, v] of clearWays(area, leave, diameter)?.flatMap((w) => w.points) ?? []) {
          if (walls.xLow) expect(u).toBeGreaterThanOrEqual(x[0] + r);
          if (walls.xHigh) expect(u).toBeLessThanOrEqual(x[1] - r);
          if (walls.yLow) expect(v).toBeGreaterThanOrEqual(y[0] + r);
          if (walls.yHigh) expect(v).toBeLessThanOrEqual(y[1] - r);
        }
      }),
      { numRuns: 120 },
    );
  });

  test("begin outside the part where a side is open", () => {
    fc.assert(
      fc.property(areas, fc.constantFrom(6, 10), (area, diameter) => {
        const sides = sideNames.filter((side) => area.walls[side]);
        fc.pre(sides.length > 0 && sides.length < 4);
        // What faces two walls only runs from end to end; the first way of each is what meets solid metal.
        const [first] = clearWays(area, leave, diameter) ?? [];
        fc.pre(first !== undefined);
        expect(first.entry).toBe("outside");
      }),
      { numRuns: 120 },
    );
  });
});

describe("ways along walls", () => {
  const corner = areaOf([30, 20], [false, true, false, true]);
  const walls = (shift: number) =>
    wallWays({ kind: "walls", area: corner, sides: ["xHigh", "yHigh"], of: "area" }, 10, shift);

  test.each([0, -0.2, -1.5])("stop in a corner as far off the wall ahead as off their own: %d", (shift) => {
    for (const { points } of walls(shift))
      for (const [x, y] of points) {
        expect(x).toBeLessThanOrEqual(30 - 5 + shift + 1e-6);
        expect(y).toBeLessThanOrEqual(20 - 5 + shift + 1e-6);
      }
    const ends = walls(shift).flatMap((w) => w.points);
    expect(ends).toContainEqual([25 + shift, 15 + shift]);
  });
});

test("rings round a boss begin in the start hole, in whichever corner the setup turns it to, and cut neither boss nor wall", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 14, max: 40 }),
      fc.integer({ min: 14, max: 40 }),
      fc.constantFrom(...([0, 1] as const)),
      fc.constantFrom(...([0, 1] as const)),
      fc.constantFrom(8, 10, 12),
      (gapX, gapY, right, back, diameter) => {
        const r = diameter / 2;
        const boss = { x: [gapX, gapX + 20], y: [gapY, gapY + 16] } as const;
        const area: Area = {
          ...areaOf([2 * gapX + 20, 2 * gapY + 16], [true, true, true, true]),
          boss: { x: [...boss.x], y: [...boss.y] },
        };
        const hole: Place = [right ? area.x[1] - gapX / 2 : gapX / 2, back ? area.y[1] - gapY / 2 : gapY / 2];
        const ways = clearWays(area, leave, diameter, hole)!;
        expect(ways[0]!.points[0]).toEqual(hole);
        for (const { points } of ways)
          for (const [i, to] of points.slice(1).entries()) {
            const from = points[i]!;
            expect(Math.min(Math.abs(from[0] - to[0]), Math.abs(from[1] - to[1]))).toBeLessThan(1e-6);
            for (let share = 0; share <= 1; share += 0.125) {
              const [x, y] = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
              const toBoss = Math.hypot(
                Math.max(boss.x[0] - x, 0, x - boss.x[1]),
                Math.max(boss.y[0] - y, 0, y - boss.y[1]),
              );
              const toWall = Math.min(x, area.x[1] - x, y, area.y[1] - y);
              expect(Math.min(toBoss, toWall)).toBeGreaterThan(r);
            }
          }
      },
    ),
  );
});
