import * as fc from "fast-check";
import { beforeAll, expect, test } from "vitest";
import { openSolids, type SolidKit } from "./solid.ts";
import { wayInPlan } from "./swept.ts";
import { Workpiece } from "./workpiece.ts";

let kit: SolidKit;
beforeAll(async () => {
  kit = await openSolids();
});

const stroke = fc.record({
  from: fc.tuple(fc.integer({ min: -5, max: 65 }), fc.integer({ min: -5, max: 45 })),
  to: fc.tuple(fc.integer({ min: -5, max: 65 }), fc.integer({ min: -5, max: 45 })),
  r: fc.integer({ min: 2, max: 12 }),
  z: fc.integer({ min: 2, max: 29 }),
});

test("kept as regions by depth, strokes take away just what their bodies would, each what was still there", () => {
  fc.assert(
    fc.property(fc.array(stroke, { minLength: 1, maxLength: 10 }), fc.nat(9), (strokes, flushed) => {
      kit.scope(() => {
        // A block with something cut from its side before.
        const block = kit.box([0, 0, 0], [60, 40, 30]).minus(kit.box([20, -1, 8], [35, 15, 20]));
        const piece = new Workpiece(block, kit);
        let plain = block;
        strokes.forEach(({ from, to, r, z }, i) => {
          const region = kit.region([wayInPlan(from, to, r)]);
          const before = plain.volume;
          plain = plain.minus(region.raised(z, 31));
          const removed = piece.cutAbove(region, z, 0);
          expect(removed?.volume ?? 0).toBeCloseTo(before - plain.volume, 0);
          // Asked for the body in between, it goes on from there.
          if (i === flushed) expect(piece.solid.volume).toBeCloseTo(plain.volume, 0);
        });
        expect(piece.solid.volume).toBeCloseTo(plain.volume, 0);
        expect(piece.solid.minus(plain).volume).toBeLessThan(0.5);
        piece.solid.drop();
      });
    }),
    { numRuns: 40 },
  );
});

test.each([
  ["a slot of 6 by 3", [10, 20], [50, 20], 3, 27, 3, 6],
  ["half of it beside the part", [-10, 0], [70, 0], 3, 27, 3, 3],
  ["a deep one", [-10, 20], [70, 20], 5, 10, 20, 10],
] as const)("%s is as high and as wide as it is", (_what, from, to, r, z, height, across) => {
  kit.scope(() => {
    const piece = new Workpiece(kit.box([0, 0, 0], [60, 40, 30]), kit);
    const removed = piece.cutAbove(kit.region([wayInPlan(from, to, r)]), z, 0)!;
    expect(removed.height).toBeCloseTo(height, 2);
    expect(removed.across).toBeGreaterThan(across * 0.94);
    expect(removed.across).toBeLessThan(across * 1.02);
    piece.solid.drop();
  });
});
