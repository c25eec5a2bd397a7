import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Face, faceNames, facesOf, axisOf, axesAcross, type Sizes } from "../frame/index.ts";
import { balanceLump, type FacePoint } from "./balance.ts";
import { type FoundCore, foundCores } from "./core-walls.ts";

const finished: Sizes = { length: 100, width: 60, height: 40 };

/** A square lump with so much over the finished part at each face, probed at three points a face. */
const probed = (over: Record<Face, number>): FacePoint[] =>
  faceNames.flatMap((face) =>
    [
      [10, 10],
      [50, 10],
      [30, 35],
    ].map(([a, b]) => {
      const [first, second] = axesAcross(face);
      const high = facesOf(axisOf(face))[1] === face;
      const reads = high ? finished[axisOf(face)] + over[face] : -over[face];
      return { face, at: { [first]: a, [second]: b, [axisOf(face)]: reads } as unknown as Sizes };
    }),
  );
const even: Record<Face, number> = { left: 4, right: 4, front: 4, back: 4, bottom: 4, top: 4 };
const core = (first: number, second: number): FoundCore[] =>
  foundCores(
    [{ id: "c", face: "top", diameter: 30, first, second, drawnFirst: 50, drawnSecond: 30 }],
    finished,
  );

describe("a core that stays raw", () => {
  test("the thinnest wall beside it is told, and how far it lies off where it is drawn", () => {
    const found = balanceLump(probed(even), finished, { tilt: 0, cores: core(53, 34) })!;
    // Balanced as it lies: the wall at the back is 60 − 34 − 15.
    expect(found.cores).toEqual([{ id: "c", off: 5, wall: { face: "back", thick: 11, drawn: 15 } }]);
  });

  test("kept even, the core goes where it is drawn as far as the faces leave room, and never past their need", () => {
    const asked = { tilt: 0, need: { ...even, left: 1, right: 1, front: 1, back: 1 }, cores: core(52, 36) };
    const plain = balanceLump(probed(even), finished, { ...asked, need: asked.need })!;
    const walls = balanceLump(probed(even), finished, { ...asked, evenWalls: true })!;
    expect(plain.cores[0]!.off).toBeCloseTo(Math.hypot(2, 6), 3);
    // 2 along the length is there; of 6 across, 3 are over the need.
    expect(walls.cores[0]!.off).toBeCloseTo(3, 3);
    for (const face of ["left", "right", "front", "back"] as const)
      expect(walls.faces[face]!.least).toBeGreaterThanOrEqual(1 - 1e-4);
  });

  test("whatever is found, even walls never make a face worse than it needs, nor a core lie further off", () => {
    fc.assert(
      fc.property(
        fc.record(
          Object.fromEntries(faceNames.map((f) => [f, fc.double({ min: 1, max: 6, noNaN: true })])) as Record<
            Face,
            fc.Arbitrary<number>
          >,
        ),
        fc.double({ min: 40, max: 60, noNaN: true }),
        fc.double({ min: 24, max: 36, noNaN: true }),
        (over, first, second) => {
          const asked = { tilt: 0, need: { left: 0.5, front: 0.5 }, cores: core(first, second) };
          const plain = balanceLump(probed(over), finished, asked)!;
          const walls = balanceLump(probed(over), finished, { ...asked, evenWalls: true })!;
          const offOf = ({ cores }: typeof plain) => cores[0]!.off;
          // The sum of the two ways off is made small: together they may differ by the root of two.
          expect(offOf(walls)).toBeLessThanOrEqual(offOf(plain) * Math.SQRT2 + 1e-3);
          expect(walls.smallest).toBeGreaterThanOrEqual(Math.min(0, plain.smallest) - 1e-4);
        },
      ),
      { numRuns: 60 },
    );
  });

  test("what is not whole is no core yet", () => {
    const half = {
      id: "c",
      face: "top",
      diameter: null,
      first: 1,
      second: 1,
      drawnFirst: 1,
      drawnSecond: 1,
    } as const;
    expect(foundCores([half], finished)).toEqual([]);
    expect(foundCores([{ ...half, diameter: 10, drawnFirst: null }], finished)).toEqual([]);
  });
});
