import * as fc from "fast-check";
import { expect, test } from "vitest";
import { levelBetween, liesOf, shimsFor, type Spot, spotsRound, spotWords, squareReversed } from "./index.ts";

const at = (x: Spot["x"], y: Spot["y"], value: number) => ({ spot: { x, y }, value });

test.each([
  [
    "flat",
    [at(-1, -1, 38), at(1, -1, 38), at(1, 1, 38), at(-1, 1, 38)],
    { right: 0, back: 0, uneven: 0, spread: 0 },
  ],
  [
    "thicker at the right",
    [at(-1, -1, 38), at(1, -1, 38.04), at(1, 1, 38.04), at(-1, 1, 38)],
    { right: 0.04, back: 0, uneven: 0, spread: 0.04 },
  ],
  [
    "thicker at the back",
    [at(-1, -1, 38), at(1, -1, 38), at(1, 1, 38.06), at(-1, 1, 38.06)],
    { right: 0, back: 0.06, uneven: 0, spread: 0.06 },
  ],
  [
    "twisted: no slope, all of it uneven",
    [at(-1, -1, 38.02), at(1, -1, 38), at(1, 1, 38.02), at(-1, 1, 38)],
    { right: 0, back: 0, uneven: 0.02, spread: 0.02 },
  ],
  [
    "three spots make a plane",
    [at(-1, -1, 38), at(1, -1, 38.02), at(-1, 1, 38)],
    { right: 0.02, back: 0, uneven: 0, spread: 0.02 },
  ],
] as const)("a face that is %s", (_what, readings, expected) => {
  const lies = liesOf(readings)!;
  for (const [name, value] of Object.entries(expected))
    expect([name, Math.round(lies[name as keyof typeof expected] * 1e6) / 1e6 + 0]).toEqual([name, value]);
});

test.each([
  ["none", []],
  ["two", [at(-1, -1, 38), at(1, 1, 38.1)]],
  ["three in a line", [at(-1, -1, 38), at(0, 0, 38), at(1, 1, 38.1)]],
  ["one spot three times", [at(1, 1, 38), at(1, 1, 38.1), at(1, 1, 38.2)]],
])("how a face lies is not told by %s", (_what, readings) => expect(liesOf(readings)).toBeNull());

test("a plane of any slope is found, whatever corner is thickest", () => {
  const slope = fc.double({ min: -0.2, max: 0.2, noNaN: true });
  fc.assert(
    fc.property(slope, slope, (right, back) => {
      const read = spotsRound.map((spot) => ({
        spot,
        value: 40 + (spot.x * right) / 2 + (spot.y * back) / 2,
      }));
      const lies = liesOf(read)!;
      expect(lies.right).toBeCloseTo(right, 5);
      expect(lies.back).toBeCloseTo(back, 5);
      expect(lies.uneven).toBeCloseTo(0, 5);
      expect(lies.spread).toBeCloseTo(Math.abs(right) + Math.abs(back), 5);
    }),
  );
});

test.each([
  [{ right: 0.04, back: 0 }, [{ under: "right", thickness: 0.04 }]],
  [
    { right: -0.04, back: 0.1 },
    [
      { under: "left", thickness: 0.04 },
      { under: "back", thickness: 0.05 },
    ],
  ],
  [{ right: 0.004, back: -0.004 }, []],
])("shims for %j", (slopes, expected) =>
  expect(shimsFor(slopes, 0.005, { x: 100, y: 60, restX: 100, restY: 30 })).toEqual(expected),
);

test("spots are called as a person sees them", () =>
  expect(spotsRound.map(spotWords)).toEqual([
    "left front",
    "right front",
    "right back",
    "left back",
    "middle",
  ]));

test.each([
  ["a true square on a face that leans", [0.02, 0.02, 50], { square: 0, face: 0.04 }],
  ["a square that is off on a true face", [0.02, -0.02, 50], { square: 0.04, face: 0 }],
  ["both", [0.03, -0.01, 100], { square: 0.02, face: 0.01 }],
] as const)("reversal: %s", (_what, [first, second, height], expected) => {
  const found = squareReversed(first, second, height)!;
  expect(found.square).toBeCloseTo(expected.square, 9);
  expect(found.face).toBeCloseTo(expected.face, 9);
});

test.each([
  [[0, 0.06, 100, 80], { per100: 0.06, shim: 0.048 }],
  [[0.06, 0, 100, 80], { per100: -0.06, shim: 0.048 }],
  [[1, 1, 50, 40], { per100: 0, shim: 0 }],
] as const)("level between %j", ([left, right, apart, rests], expected) => {
  const found = levelBetween(left, right, apart, rests)!;
  expect(found.per100).toBeCloseTo(expected.per100, 9);
  expect(found.shim).toBeCloseTo(expected.shim, 9);
});

test("what has no height or no distance tells nothing", () => {
  expect([
    squareReversed(0, 0, 0),
    squareReversed(NaN, 0, 10),
    levelBetween(0, 1, 0, 10),
    levelBetween(0, 1, 10, -1),
  ]).toEqual([null, null, null, null]);
});
