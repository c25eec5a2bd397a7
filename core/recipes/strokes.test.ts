import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { strokesOf } from "./index.ts";
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
