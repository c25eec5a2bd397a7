import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { axesAcross, axisOf, type Face, faceNames, facesOf, type Sizes } from "../frame/index.ts";
import {
  allowanceAt,
  balanceLump,
  facePoints,
  type FacePoint,
  moved,
  packingFor,
  scribedAt,
} from "./index.ts";

const finished: Sizes = { length: 120, width: 80, height: 46 };

/** Points of a block with so much on every side, three or more a face, moved by a small motion. */
function lump(over: number, motion: Parameters<typeof moved>[0]): FacePoint[] {
  return faceNames.flatMap((face) => {
    const axis = axisOf(face);
    const [a, b] = axesAcross(face);
    const at = face === facesOf(axis)[0] ? -over : finished[axis] + over;
    return [
      [0.1, 0.1],
      [0.9, 0.15],
      [0.5, 0.9],
    ].map(([u, v]) => ({
      face,
      at: moved(motion, { [axis]: at, [a]: u! * finished[a], [b]: v! * finished[b] } as unknown as Sizes),
    }));
  });
}
const small = fc.double({ min: -0.02, max: 0.02, noNaN: true });
const shift = fc.double({ min: -3, max: 3, noNaN: true });
const motion = fc.record({
  shift: fc.record({ length: shift, width: shift, height: shift }),
  turn: fc.record({ length: small, width: small, height: small }),
});

describe("balance of a lump", () => {
  test("a block that was only moved and tilted is found again: what was over on every side is over again", () => {
    fc.assert(
      fc.property(motion, fc.double({ min: 0.5, max: 4, noNaN: true }), (moved, over) => {
        const found = balanceLump(lump(over, moved), finished, { tilt: 0.06 })!;
        // A small tilt back and forth leaves something of the second order.
        expect(found.smallest).toBeGreaterThan(over - 0.15);
        expect(found.smallest).toBeGreaterThanOrEqual(found.asPlaced - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  test("what is said to come off is what the motion gives, nowhere less than the smallest", () => {
    fc.assert(
      fc.property(motion, (moving) => {
        const points = lump(2, moving);
        const need = { top: 0.5, left: 1 } as Partial<Record<Face, number>>;
        const found = balanceLump(points, finished, { tilt: 0.06, need })!;
        for (const { face, at } of points) {
          const off = allowanceAt(face, moved(found.motion, at), finished);
          expect(off - (need[face] ?? 0)).toBeGreaterThanOrEqual(found.smallest - 1e-4);
          expect(off).toBeGreaterThanOrEqual(found.faces[face]!.least - 1e-9);
          expect(off).toBeLessThanOrEqual(found.faces[face]!.most + 1e-9);
        }
      }),
      { numRuns: 30 },
    );
  });

  test("a tilt that is forbidden, or not told by three points a face, is not used", () => {
    const crooked = lump(2, {
      shift: { length: 1, width: 0, height: 0 },
      turn: { length: 0.01, width: 0, height: 0.01 },
    });
    const level = balanceLump(crooked, finished, { tilt: 0 })!;
    const few = balanceLump(
      crooked.filter((_, i) => i % 3 !== 2),
      finished,
      { tilt: 0.05 },
    )!;
    for (const found of [level, few]) expect(Object.values(found.motion.turn)).toEqual([0, 0, 0]);
    expect(level.smallest).toBeLessThan(balanceLump(crooked, finished, { tilt: 0.05 })!.smallest);
  });

  test("a locked face keeps its place: nothing less than its need comes off it, the others give what they can", () => {
    const points = lump(2, {
      shift: { length: 0, width: 0, height: 1.5 },
      turn: { length: 0, width: 0, height: 0 },
    });
    const found = balanceLump(points, finished, { tilt: 0, locked: ["bottom"] })!;
    expect(found.faces.bottom!.least).toBeGreaterThanOrEqual(-1e-6);
    expect(found.smallest).toBeGreaterThanOrEqual(2 - 1e-6);
  });

  test.each([
    ["nothing probed", []],
    [
      "one face of every size only",
      lump(2, { shift: { length: 0, width: 0, height: 0 }, turn: { length: 0, width: 0, height: 0 } }).filter(
        (p) => p.face === facesOf(axisOf(p.face))[0],
      ),
    ],
  ])("%s gives no balance", (_what, points) =>
    expect(balanceLump(points, finished, { tilt: 0.05 })).toBeNull(),
  );

  test("a size of which both faces are probed is balanced without the others", () => {
    const points = facePoints([
      { id: "a", face: "bottom", first: 10, second: 10, reads: -1 },
      { id: "b", face: "top", first: 10, second: 10, reads: 50 },
      { id: "c", face: "top", first: null, second: 10, reads: 50 },
    ]);
    const found = balanceLump(points, finished, { tilt: 0.05 })!;
    expect(found.smallest).toBeCloseTo(2.5, 6);
    const lines = scribedAt("height", found, finished)!;
    expect(lines.low).toBeCloseTo(2.5, 6);
    expect(lines.high).toBeCloseTo(48.5, 6);
    expect(scribedAt("length", found, finished)).toBeNull();
  });

  test("packing lifts the side that has to come up, and the lowest rest gets nothing", () => {
    const packing = packingFor({ shift: finished, turn: { length: 0.01, width: 0, height: 0 } }, finished);
    expect(packing.map((p) => Math.round(p.under * 1000) / 1000)).toEqual([0, 0, 0.64]);
  });
});
