import * as fc from "fast-check";
import { expect, test } from "vitest";
import { axisNames } from "../frame/index.ts";
import { balanceLump, facePoints, splitSays, standsOn } from "./index.ts";

const finished = { length: 100, width: 60, height: 40 };
const lump = (low: number, high: number) =>
  balanceLump(
    facePoints([
      { id: "a", face: "bottom", first: 10, second: 10, reads: -low },
      { id: "b", face: "top", first: 10, second: 10, reads: finished.height + high },
    ]),
    finished,
    { tilt: 0 },
  )!;

test("a split line that lies where it is drawn leaves both halves what the balance gives them", () => {
  const said = splitSays({ axis: "height", found: 18, drawn: 18 }, lump(2, 2), finished)!;
  expect(said.off).toBeCloseTo(0, 9);
  expect(said.halves.map((h) => [h.face, h.drawn, h.raw, h.over])).toEqual([
    ["bottom", 18, 20, 2],
    ["top", 22, 24, 2],
  ]);
});

test("followed, what one half gains the other loses; both halves together are the lump at its thinnest", () => {
  const over = fc.double({ min: 0, max: 5, noNaN: true });
  fc.assert(
    fc.property(over, over, fc.double({ min: 10, max: 30, noNaN: true }), (low, high, found) => {
      const balance = lump(low, high);
      const { off, halves } = splitSays({ axis: "height", found, drawn: 20 }, balance, finished)!;
      expect(halves[0].raw + halves[1].raw).toBeCloseTo(finished.height + low + high, 6);
      expect(halves[0].over - off).toBeCloseTo(balance.faces.bottom!.least, 6);
      expect(halves[1].over + off).toBeCloseTo(balance.faces.top!.least, 6);
      for (const h of halves) expect(h.raw - h.drawn).toBeCloseTo(h.over, 6);
    }),
  );
});

test.each([
  ["not found", { axis: "height", found: null, drawn: 20 }],
  ["not drawn", { axis: "height", found: 20, drawn: null }],
  ["across a size nobody probed", { axis: "width", found: 20, drawn: 20 }],
] as const)("a split line %s says nothing", (_what, split) =>
  expect(splitSays(split, lump(1, 1), finished)).toBeNull(),
);

test.each([
  ["a low block", { length: 100, width: 60, height: 40 }, false, ["by itself", "by itself", "by itself"]],
  ["packed", { length: 100, width: 60, height: 40 }, true, ["weight", "weight", "weight"]],
  [
    "a long bar on its end",
    { length: 200, width: 40, height: 40 },
    true,
    ["angle plate", "weight", "weight"],
  ],
  [
    "a plate on its edge",
    { length: 100, width: 80, height: 10 },
    false,
    ["angle plate", "angle plate", "by itself"],
  ],
] as const)("%s: what keeps it from tipping", (_what, sizes, packed, expected) =>
  expect(axisNames.map((axis) => standsOn(axis, sizes, packed))).toEqual(expected),
);
