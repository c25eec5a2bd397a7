import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Axis, axisNames, axisOf, downOf, type Face, faceNames } from "../frame/index.ts";
import { type FaceCondition, faceConditions } from "../handbook/index.ts";
import { cutFace, type Piece, unevenBy } from "../stock/index.ts";
import { rankSeats } from "./round-the-block.ts";
import type { NextCut } from "./next-cut.ts";
import { schoolApplies, type SchoolName, schoolNames, schoolRule } from "./schools.ts";

const block = (sizes: readonly number[], conditions: readonly FaceCondition[]): Piece => ({
  faces: Object.fromEntries(
    faceNames.map((face, i) => [
      face,
      {
        condition: conditions[i]!,
        bought: conditions[i]!,
        bow: null,
        order: null,
        cutFrom: null,
        rest: null,
        clean: false,
      },
    ]),
  ) as Piece["faces"],
  sizes: Object.fromEntries(axisNames.map((axis, i) => [axis, sizes[i]!])) as Piece["sizes"],
  uneven: { length: 0, width: 0, height: 0 },
});

const blocks = fc
  .tuple(
    fc.array(fc.integer({ min: 5, max: 300 }), { minLength: 3, maxLength: 3 }),
    fc.array(fc.constantFrom<FaceCondition>(...faceConditions), { minLength: 6, maxLength: 6 }),
  )
  .map(([sizes, conditions]) => block(sizes, conditions));

/** What a cut asked for leaves of a piece: the whole face, what straps or jaws leave free of it, or the rest of it. */
function cutAs(piece: Piece, { at, face, extent }: NextCut): Piece {
  const from = axisOf(at.fixed) === axisOf(face) ? downOf(at) : at.fixed;
  const rest = extent === "part" ? { proud: 1, across: 10 } : null;
  return cutFace(piece, face, from, piece.sizes[axisOf(face)], true, rest);
}

/** Follows a rule to its end; every face it asks for. */
function followed(school: SchoolName, ends: Axis, from: Piece): { asked: NextCut[]; piece: Piece } {
  const next = schoolRule(school, ends);
  const asked: NextCut[] = [];
  let piece = from;
  for (let cut = next(piece); cut; cut = next(piece)) {
    asked.push(cut);
    if (asked.length > 12) throw new Error(`${school} asks for ${asked.map((a) => a.face).join(", ")}`);
    piece = cutAs(piece, cut);
  }
  return { asked, piece };
}

describe("schools of squaring", () => {
  test.each(schoolNames)(
    "%s comes to an end with every face cut, none of them twice for the same",
    (school) => {
      fc.assert(
        fc.property(blocks, fc.constantFrom(...axisNames), (piece, ends) => {
          fc.pre(schoolApplies(school, piece));
          const { asked, piece: done } = followed(school, ends, piece);
          expect(
            faceNames.filter((f) => done.faces[f].order === null || done.faces[f].rest !== null),
          ).toEqual([]);
          const keys = asked.map((a) => `${a.face} ${a.extent}`);
          expect(new Set(keys).size).toBe(keys.length);
        }),
        { numRuns: 60 },
      );
    },
  );

  test.each(["round", "widest"] as const)(
    "%s goes on from any faces that were cut in any order: one that needed nothing is passed over",
    (school) => {
      fc.assert(
        fc.property(
          blocks,
          fc.constantFrom(...axisNames),
          fc.shuffledSubarray([...faceNames], { minLength: 0, maxLength: 5 }),
          (piece, ends, before) => {
            const begun = before.reduce<Piece>(
              (p, face) => cutFace(p, face, standing(face), p.sizes[axisOf(face)]),
              piece,
            );
            const { asked } = followed(school, ends, begun);
            expect(asked.map((a) => a.face).sort()).toEqual(
              faceNames.filter((f) => !before.includes(f)).sort(),
            );
          },
        ),
        { numRuns: 150 },
      );
    },
  );

  test.each(["round", "widest"] as const)("%s cuts a face over a seat that lies across from it", (school) => {
    fc.assert(
      fc.property(blocks, fc.constantFrom(...axisNames), (piece, ends) => {
        for (const { at, face } of followed(school, ends, piece).asked) {
          expect(at.up).toBe(face);
          expect(axisOf(at.fixed)).not.toBe(axisOf(face));
        }
      }),
      { numRuns: 60 },
    );
  });
});

/** Any face across from another, for where it was located. */
const standing = (face: Face): Face => faceNames.find((f) => axisOf(f) !== axisOf(face))!;

describe("the first seat", () => {
  const sawn = block([100, 60, 40], ["sawn", "sawn", "sawn", "sawn", "sawn", "sawn"]);
  const bowed = (bows: Partial<Record<Face, number>>): Piece => ({
    ...sawn,
    faces: Object.fromEntries(
      faceNames.map((face) => [face, { ...sawn.faces[face], bow: bows[face] ?? null }]),
    ) as Piece["faces"],
  });

  test.each<[string, Partial<Record<Face, number>>, Face]>([
    ["of faces alike the widest", {}, "bottom"],
    ["one tried under a straightedge and found flatter than such faces are", { front: 0.1 }, "front"],
    ["not the widest that was found bowed", { bottom: 1.5 }, "top"],
    ["the flatter of two that were tried", { front: 0.2, back: 0.1 }, "back"],
  ])("%s", (_what, bows, first) => {
    expect(rankSeats(bowed(bows), faceNames)[0]).toBe(first);
  });

  test("once it is cut a face is as flat as it was milled, whatever it was", () => {
    const cut = cutFace(bowed({ bottom: 2 }), "bottom", "front", 40);
    expect(unevenBy(cut, "bottom")).toBeLessThan(0.05);
  });
});
