import { describe, expect, test } from "vitest";
import { axisNames } from "../frame/index.ts";
import { type FaceCondition, materialById } from "../handbook/index.ts";
import { read } from "../../tests/support/cheek-block.ts";
import {
  conditionAt,
  cutFace,
  cutOrder,
  isReference,
  matchedInOrder,
  newStock,
  rawPiece,
  readingsAlong,
  type Spare,
  spareOf,
  type Stock,
  waysToLie,
} from "./index.ts";

function lump(sizes: [number, number, number], faces: Partial<Stock["conditions"]> = {}): Stock {
  const stock = newStock("sawn");
  axisNames.forEach(
    (axis, i) => (stock.measured[axis] = { p1: read(sizes[i]!), p2: null, p3: null, p4: null }),
  );
  return { ...stock, conditions: { ...stock.conditions, ...faces } };
}

describe("spare metal", () => {
  const limits = { lower: 37.95, upper: 38.05 };

  test.each([
    // what is left at the smallest reading, conditions of front and back, verdict, shortfall
    [40, "sawn", "sawn", "enough", 0],
    [39.05, "sawn", "sawn", "enough", 0],
    [39.0, "sawn", "sawn", "tight", 0],
    [38.95, "sawn", "sawn", "tight", 0],
    [38.9, "sawn", "sawn", "short", 0.05],
    [37.5, "sawn", "sawn", "short", 1.45],
    [41.05, "cast", "cast", "enough", 0],
    [40.9, "cast", "cast", "short", 0.05],
    [38.05, "drawn", "ground", "enough", 0],
    [38.0, "milled", "ground", "tight", 0],
    [37.9, "milled", "milled", "short", 0.05],
  ] as [number, FaceCondition, FaceCondition, string, number][])(
    "%d with %s and %s faces: %s",
    (size, front, back, verdict, shortfall) => {
      const spare = spareOf(lump([100, size, 50], { front, back }), "width", limits);
      expect(spare.verdict).toBe(verdict);
      expect(spare.shortfall).toBeCloseTo(shortfall, 6);
      const comesOff = Math.max(0, size - 38);
      for (const first of Object.values(spare.first)) {
        expect(first).toBeGreaterThanOrEqual(0);
        expect(first).toBeLessThanOrEqual(comesOff + 1e-9);
      }
    },
  );

  test("the face cut first is only cleaned up, under its skin, and leaves the other what its skin asks for", () => {
    const of = (asked = {}) =>
      spareOf(lump([100, 46, 50], { front: "cast", back: "milled" }), "width", limits, asked).first;
    expect(of()).toEqual({ front: 1.8, back: 0.1 });
    // By choice both give alike of what lies over the skins.
    expect(of({ evenly: true })).toEqual({ front: 4.75, back: 3.25 });
    // Little is there: what the other one's skin asks for stays.
    const scarce = spareOf(lump([100, 41.2, 50], { front: "cast", back: "cast" }), "width", limits);
    expect(scarce.first.front).toBeCloseTo(1.7, 6);
  });

  test.each([
    ["bought to size and machined", "milled", 38, 0],
    ["a little over its limits", "milled", 38.3, 0.1],
    ["drawn, and not allowed to stay so", "drawn", 38.3, 0.1],
  ] as [string, FaceCondition, number, number][])("%s", (_what, condition, size, first) => {
    const spare = spareOf(lump([100, size, 50], { front: condition, back: condition }), "width", limits);
    expect(spare.first).toEqual({ front: first, back: first });
  });

  test("hot-rolled tool steel has a soft skin below its scale", () => {
    const skins = (id: string) =>
      spareOf(lump([100, 46, 50], { front: "hotRolled", back: "hotRolled" }), "width", limits, {
        material: materialById(id)!,
      }).skins;
    expect([skins("tool-steel-o1"), skins("steel-low-rolled")]).toEqual([3, 1]);
  });

  test("nothing measured is said, not guessed", () => {
    expect(spareOf(newStock("sawn"), "width", limits)).toMatchObject({ verdict: "unmeasured", first: {} });
  });

  test("the spread of the readings counts: the smallest decides, the largest is cut from", () => {
    const stock = lump([100, 40, 50]);
    stock.measured.width.p2 = read(38.5);
    expect(spareOf(stock, "width", limits)).toMatchObject({
      verdict: "short",
      largest: 40,
      smallest: 38.5,
      spread: 1.5,
    });
  });
});

describe("how the lump lies", () => {
  test("there are six ways, the entered one first", () => {
    expect(waysToLie()).toHaveLength(6);
    expect(waysToLie()[0]).toEqual({ length: "length", width: "width", height: "height" });
  });

  test("sizes are matched in order of size, and the faces go with them", () => {
    const stock = lump([40, 100, 60], { front: "flameCut" });
    const lies = matchedInOrder(stock, { length: 96, width: 55, height: 36 });
    expect(lies).toEqual({ length: "width", width: "height", height: "length" });
    const turned = { ...stock, lies };
    expect(axisNames.map((axis) => readingsAlong(turned, axis)[0])).toEqual([100, 60, 40]);
    expect(conditionAt(turned, "left")).toBe("flameCut");
  });

  test("a lump with a size not measured stays as it is", () => {
    const stock = newStock("sawn");
    stock.measured.width.p1 = read(200);
    expect(matchedInOrder(stock, { length: 96, width: 55, height: 36 })).toEqual(stock.lies);
  });
});

describe("the piece", () => {
  const stock = lump([100, 62, 40], { top: "milled" });
  const spares = Object.fromEntries(
    axisNames.map((axis) => [axis, spareOf(stock, axis, { lower: 30, upper: 31 })]),
  ) as Record<(typeof axisNames)[number], Spare>;
  const raw = rawPiece(stock, spares);

  test("a milled face is a reference as bought, a sawn one is not", () => {
    expect([isReference(raw, "top"), isReference(raw, "front")]).toEqual([true, false]);
  });

  test("a cut face is stamped in order and becomes a reference only when clean (M10)", () => {
    const one = cutFace(raw, "back", "bottom", 60);
    const two = cutFace(one, "bottom", "back", 38, false);
    expect(cutOrder(two)).toEqual(["back", "bottom"]);
    expect(two.sizes).toEqual({ length: 100, width: 60, height: 38 });
    expect([isReference(two, "back"), isReference(two, "bottom")]).toEqual([true, false]);
    expect(two.faces.back.cutFrom).toBe("bottom");
  });
});
