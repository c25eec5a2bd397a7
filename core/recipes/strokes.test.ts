import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Stroke, strokesAgain, strokesOf } from "./index.ts";
import { flankStairs } from "./stairs.ts";

/** Stairs in front of a flank, with an end mill that may go so deep in one pass. */
const stairs = (depth: number, wide: number, most: number) => {
  const tracks = flankStairs({ from: 20, to: 20 + wide, depth, side: 1, until: 20 + wide + 3 });
  const levels = Array.from({ length: Math.ceil(depth / most) }, (_, i) => Math.min(depth, most * (i + 1)));
  return {
    tracks,
    strokes: strokesOf({
      sweep: { kind: "tracks", run: { along: "y", from: 0, to: 40, openLow: true, openHigh: true }, tracks },
      by: "mill",
      diameter: 12,
      top: 0,
      floor: depth,
      levels,
      cut: null,
      set: null,
      exact: 0.1,
      tilt: null,
    } as never)!,
  };
};

describe("stairs in front of a slope", () => {
  const sizes = [
    fc.integer({ min: 2, max: 20 }),
    fc.integer({ min: 2, max: 20 }),
    fc.integer({ min: 3, max: 40 }),
  ] as const;

  test("no pass takes more than one may, and every stair comes to its depth", () => {
    fc.assert(
      fc.property(...sizes, (depth, wide, tenths) => {
        const most = tenths / 10;
        const { tracks, strokes } = stairs(depth, wide, most);
        const depths = [...new Set(strokes.flatMap((s) => (s.to.z === undefined ? [] : [-s.to.z])))].sort(
          (a, b) => a - b,
        );
        depths.forEach((d, i) => expect(d - (depths[i - 1] ?? 0)).toBeLessThanOrEqual(most + 1e-6));
        for (const track of tracks) expect(depths.some((d) => Math.abs(d - track.depth!) < 1e-6)).toBe(true);
        expect(depths.at(-1)).toBeCloseTo(depth, 6);
      }),
    );
  });

  test.each([
    ["one pass a stair where it may go that deep", 2, 2, 5],
    ["two where the stair is twice as high", 2, 2, 0.36],
  ])("%s", (_what, depth, wide, most) => {
    const { tracks, strokes } = stairs(depth, wide, most);
    const passes = new Set(strokes.flatMap((s) => (s.to.z === undefined ? [] : [s.to.z]))).size;
    expect(passes).toBe(tracks.length * (most > depth ? 1 : Math.ceil(depth / tracks.length / most)));
  });
});

describe("a cut made once more by a reading", () => {
  /** Passes of a wall along X at a depth of 5, each taking what is given; the last once more. */
  const wall = (takes: readonly number[]): Stroke[] =>
    [...takes, takes.at(-1)!].flatMap((t, i): Stroke[] => {
      const told = {
        number: 0,
        exact: 0.02,
        notPast: false,
        level: i + 1,
        levels: takes.length + 1,
        round: "pass",
        vf: 100,
        takes: t,
        spring: i === takes.length,
      } as const;
      return [
        { ...told, kind: "go", to: { x: -10, y: i }, axis: "x", cuts: "air" },
        { ...told, kind: "down", to: { z: -5 }, axis: "z", cuts: "air" },
        { ...told, kind: "feed", to: { x: 60 }, axis: "x", cuts: "conventional" },
      ];
    });

  test.each([
    [0.05, 1],
    [0.1, 1],
    [0.25, 2],
    [0.3, 2],
    [0.31, 3],
    [5, 3],
  ])("%d left of a wall is cut in %i passes, none deeper than was told", (left, passes) => {
    const again = strokesAgain(wall([0.4, 0.2, 0.1]), { wall: left });
    const levels = [...new Set(again.map((s) => s.level))];
    expect(levels).toEqual(Array.from({ length: passes }, (_, i) => i + 1));
    expect(again.every((s) => !s.spring)).toBe(true);
    expect(again.map((s) => s.number)).toEqual(again.map((_, i) => i + 1));
  });

  test("a floor is cut that much deeper, and once", () => {
    const floors = wall([0.4, 0.2, 0.1]).filter((s) => !s.spring);
    const again = strokesAgain(floors, { floor: 0.12 });
    expect(again.flatMap((s) => s.to.z ?? [])).toEqual([-5.12]);
  });
});
