import { describe, expect, test } from "vitest";
import {
  anglePlusMinus,
  edgePlusMinus,
  fitClearance,
  generalPlusMinus,
  gradeWidth,
  linearPlusMinus,
  materialIn,
  materials,
  materialsWith,
  noOwnValues,
} from "./index.ts";

const steel = materials[0]!;

describe("own values", () => {
  test("a changed value is marked, the published list stays in order, an added one comes last", () => {
    const own = {
      materials: {
        [steel.id]: { ...steel, kc11: steel.kc11 + 1 },
        mine: { ...steel, id: "mine", name: "Mystery bar" },
      },
    };
    const all = materialsWith(own);
    expect(all.map((m) => m.id)).toEqual([...materials.map((m) => m.id), "mine"]);
    expect([all[0]!.own, all[0]!.changed, all.at(-1)!.own]).toEqual(["changed", ["kc11"], "added"]);
    expect(all.slice(1, -1).every((m) => m.own === null && m.changed.length === 0)).toBe(true);
    expect(materialIn(own, steel.id)?.kc11).toBe(steel.kc11 + 1);
    expect(materialIn(noOwnValues, "mine")).toBeUndefined();
  });

  test("the same values are no change", () =>
    expect(materialsWith({ materials: { [steel.id]: { ...steel } } })[0]!.own).toBeNull());

  test("at least 24 materials, each with source, spread and a caution where it burns", () => {
    expect(materials.length).toBeGreaterThanOrEqual(24);
    for (const m of materials) expect([m.id, m.source.length > 5, m.spread > 0]).toEqual([m.id, true, true]);
    for (const id of ["magnesium", "titanium"])
      expect(materials.find((m) => m.id === id)!.caution).toMatch(/fire|burn/i);
    expect(new Set(materials.map((m) => m.id)).size).toBe(materials.length);
  });
});

describe("tolerances", () => {
  test.each([
    [0.4, "m", undefined],
    [2, "v", null],
    [2500, "f", null],
    [2500, "m", 2],
    [5000, "c", undefined],
  ] as const)("%d mm in class %s: %s", (size, grade, value) =>
    expect(linearPlusMinus(size, grade)).toBe(value),
  );

  test("beyond its rows the nearest one serves a drawing", () => {
    expect(generalPlusMinus({ kind: "iso2768", grade: "f" }, 2500)).toBe(0.5);
    expect(generalPlusMinus({ kind: "iso2768", grade: "m" }, 5000)).toBe(2);
    expect(generalPlusMinus({ kind: "plusMinus", value: 0.2 }, 5000)).toBe(0.2);
  });

  test("coarser classes never allow less", () => {
    for (const size of [1, 5, 20, 100, 300, 700, 1500]) {
      for (const of of [linearPlusMinus, edgePlusMinus, anglePlusMinus]) {
        const row = (["f", "m", "c", "v"] as const).flatMap((g) => of(size, g) ?? []);
        expect(row).toEqual([...row].sort((a, b) => a - b));
      }
    }
  });

  test("grades grow with size and number; a fit is the sum of both widths", () => {
    for (const size of [2, 8, 40, 200]) {
      const widths = [5, 6, 7, 8, 9, 10, 11, 12, 13].map((g) => gradeWidth(size, g)!);
      expect(widths).toEqual([...widths].sort((a, b) => a - b));
      const fit = fitClearance(size, "H7", "g6")!;
      expect(fit.largest - fit.smallest).toBeCloseTo(gradeWidth(size, 7)! + gradeWidth(size, 6)!, 9);
    }
    expect([gradeWidth(300, 7), gradeWidth(10, 20), fitClearance(10, "Z9", "h6")]).toEqual([
      null,
      null,
      null,
    ]);
  });
});
