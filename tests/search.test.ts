import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Axis, axisNames, axisOf, faceNames, facesOf } from "../core/frame/index.ts";
import { exhaustiveOrder, type ExtraOperation, type Found, searchOrder } from "../core/route/index.ts";
import { block, cheekBlock, read } from "./support/cheek-block.ts";
import { movesOf } from "./support/moves.ts";

/** An axis whose two faces were bought ground to size: nothing is left to cut there. */
const bought = (axis: Axis): [string, unknown][] => [
  ...facesOf(axis).map((face): [string, unknown] => [`stock/conditions/${face}`, "ground"]),
  ...["p1", "p2"].map((p): [string, unknown] => [
    `stock/measured/${axis}/${p}`,
    read(cheekBlock().part.sizes[axis]!.nominal),
  ]),
];
const ground = fc.subarray([...axisNames], { minLength: 1, maxLength: 2 });
const within = (tolerance: number | null): [string, unknown][] => [
  ["part/squareness", tolerance],
  ["part/parallelism", tolerance],
];

/** Operations on some faces: each from one or two sides, some after others, some that cut a reference away. */
const extras: fc.Arbitrary<ExtraOperation[]> = fc
  .array(
    fc.record({
      up: fc.constantFrom(...faceNames),
      either: fc.boolean(),
      needs: fc.subarray([...faceNames], { maxLength: 2 }),
      afterFirst: fc.boolean(),
      destroys: fc.constantFrom(null, null, null, ...faceNames),
      minutes: fc.integer({ min: 1, max: 12 }),
    }),
    { maxLength: 3 },
  )
  .map((list) =>
    list.map(({ up, either, needs, afterFirst, destroys, minutes }, i) => ({
      key: `extra-${i}`,
      approaches: either ? facesOf(axisOf(up)) : [up],
      needs,
      after: afterFirst && i > 0 ? ["extra-0"] : [],
      destroys: destroys === null ? [] : [destroys],
      minutes,
    })),
  );

function same(all: Found | null, found: Found | null) {
  expect(found === null).toBe(all === null);
  if (!all || !found || !found.proven) return;
  expect(found.cost).toBeCloseTo(all.cost, 6);
  expect(found.expansions).toBeLessThanOrEqual(all.expansions);
}

describe("search for the order", () => {
  test("costs the same as looking at every order, and takes up no more states", () => {
    fc.assert(
      fc.property(ground, fc.constantFrom(null, 0.02, 0.05), (axes, tolerance) => {
        const moves = movesOf(block(...axes.flatMap(bought), ...within(tolerance)));
        expect(moves.all.faces.length).toBe(6 - 2 * axes.length);
        same(exhaustiveOrder(moves), searchOrder(moves));
      }),
      { numRuns: 8 },
    );
  });

  test("so it does with operations on the faces", () => {
    fc.assert(
      fc.property(extras, fc.constantFrom(null, 0.05), (list, tolerance) => {
        const axes = ["width", "length"] as const;
        const moves = movesOf(block(...axes.flatMap(bought), ...within(tolerance)), list);
        same(exhaustiveOrder(moves), searchOrder(moves));
      }),
      { numRuns: 60 },
    );
  });

  test("every operation is done once, on its side, after its references and forerunners", () => {
    fc.assert(
      fc.property(extras, (list) => {
        const found = searchOrder(movesOf(cheekBlock(), list), () => true);
        if (!found) return;
        expect(found.clampings.flatMap((c) => c.extras).sort()).toEqual(list.map((e) => e.key).sort());
        const done: string[] = [];
        const cut = new Set<string>();
        for (const clamping of found.clampings) {
          if (clamping.cutsFace) cut.add(clamping.at.up);
          for (const key of clamping.extras) {
            const extra = list.find((e) => e.key === key)!;
            expect(extra.needs.every((face) => cut.has(face))).toBe(true);
            expect(extra.after.every((k) => done.includes(k))).toBe(true);
            done.push(key);
          }
        }
      }),
      { numRuns: 12 },
    );
  });

  test("what can be done while a side is up is done there: one setup less", () => {
    const slot: ExtraOperation = {
      key: "slot",
      approaches: ["top"],
      needs: ["front", "left"],
      after: [],
      destroys: [],
      minutes: 6,
    };
    const [plain, slotted] = [
      searchOrder(movesOf(cheekBlock()))!,
      searchOrder(movesOf(cheekBlock(), [slot]))!,
    ];
    expect(slotted.clampings.length).toBe(plain.clampings.length);
    expect(slotted.clampings.find((c) => c.extras.length > 0)!.at.up).toBe("top");
  });

  test("an operation whose reference never comes has no order", () => {
    const never: ExtraOperation = {
      key: "a",
      approaches: ["top"],
      needs: [],
      after: ["b"],
      destroys: [],
      minutes: 1,
    };
    expect(searchOrder(movesOf(cheekBlock(), [never, { ...never, key: "b", after: ["a"] }]))).toBeNull();
  });

  test("the same block gives the same order", () => {
    const [one, two] = [searchOrder(movesOf(cheekBlock())), searchOrder(movesOf(cheekBlock()))];
    expect(two).toEqual(one);
    expect(new Set(one!.order.map((at) => at.up)).size).toBe(6);
  });

  test("it stops when told to, with a whole order", () => {
    const found = searchOrder(movesOf(block(...within(0.02))), () => false)!;
    expect([found.proven, found.order.length]).toEqual([false, 6]);
  });
});
