import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { featureOf } from "../../tests/support/cheek-block.ts";
import { cutoutOf, type Feature, siteOf } from "../part/index.ts";
import type { View } from "./view.ts";
import { threeViews } from "./index.ts";

const sizes = { length: 100, width: 60, height: 40 };
const site = siteOf([], sizes);

/** Pieces of the lines of a feature at one place across a view: from, to and how they are seen. */
function piecesOf(
  features: readonly Feature[],
  of: string,
  face: View["face"],
  at: { up: number } | { across: number },
) {
  const drawn = features.map((f, i) => ({ id: f.id, name: f.id, number: i + 1, cutout: cutoutOf(f, site)! }));
  const { figure, views } = threeViews(site, drawn);
  const view = views.find((v) => v.face === face)!;
  const level = "up" in at;
  const [line, zero] = level ? [view.y(at.up), view.x(0)] : [view.x(at.across), view.y(0)];
  const reach = level ? sizes[view.across] : sizes[view.up];
  return figure.shapes
    .flatMap((shape) => {
      if (shape.kind !== "line" || shape.of !== of || shape.ink === "erase" || shape.ink === "center")
        return [];
      const [a, b] = [shape.points[0]!, shape.points.at(-1)!];
      const [off, along] = level ? [1, 0] : [0, 1];
      if ([a, b].some((p) => Math.abs(p[off]! - line) > 1e-3)) return [];
      const ends = [a, b].map((p) => (p[along]! - zero) * (level ? 1 : -1)).sort((x, y) => x - y);
      return ends[0]! < -1e-3 || ends[1]! > reach + 1e-3
        ? []
        : [[...ends.map((e) => Math.round(e * 100) / 100 + 0), shape.ink] as const];
    })
    .sort((a, b) => Number(a[0]) - Number(b[0]));
}

const slot = (id: string, along: "length" | "width", width: string, depth: string) =>
  featureOf("slot", id, "top", { sizes: { width, depth }, choices: { along } });
const step = featureOf("step", "step", "top", {
  sizes: { width: "18", depth: "14" },
  choices: { side: "left" },
});

describe("edges where features cross", () => {
  test.each([
    ["shallower than the step: it ends there", "10", [[18, 100, "edge"]]],
    ["as deep as the step: their floors are one", "14", [[18, 100, "edge"]]],
    ["deeper than the step: it goes on in its floor", "20", [[0, 100, "edge"]]],
  ] as const)("a slot %s", (_what, depth, expected) => {
    expect(piecesOf([slot("slot", "length", "12", depth), step], "slot", "top", { up: 24 })).toEqual(
      expected,
    );
  });

  test("the wall of a step opens where a slot runs into it", () => {
    expect(piecesOf([slot("slot", "length", "12", "14"), step], "step", "top", { across: 18 })).toEqual([
      [0, 24, "edge"],
      [36, 60, "edge"],
    ]);
  });

  test("two slots of one depth leave nothing where they cross", () => {
    const both = [slot("a", "length", "12", "10"), slot("b", "width", "20", "10")];
    expect(piecesOf(both, "a", "top", { up: 24 })).toEqual([
      [0, 40, "edge"],
      [60, 100, "edge"],
    ]);
    expect(piecesOf(both, "b", "top", { across: 40 })).toEqual([
      [0, 24, "edge"],
      [36, 60, "edge"],
    ]);
  });

  test("a hole is gone where a slot has taken its metal, and hidden on below it", () => {
    const hole = featureOf("hole", "hole", "top", { sizes: { diameter: "8" } });
    const pieces = piecesOf([hole, slot("slot", "length", "12", "10")], "hole", "front", { across: 46 });
    expect(pieces).toEqual([[0, 30, "hidden"]]);
  });

  test("a slot stands alone where the other is far from it", () => {
    const far = featureOf("hole", "far", "left", { sizes: { diameter: "6", depth: "10" } });
    const alone = piecesOf([slot("slot", "length", "12", "10")], "slot", "front", { up: 30 });
    expect(piecesOf([slot("slot", "length", "12", "10"), far], "slot", "front", { up: 30 })).toEqual(alone);
  });

  test("whatever crosses a slot, its lines stay within what they were alone, and only come into sight", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 30 }),
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 2, max: 30 }),
        fc.constantFrom("top", "front", "right" as const),
        (width, depth, other, face) => {
          const mine = slot("a", "length", "12", String(depth));
          const crossing = slot("b", "width", String(width), String(other));
          for (const up of [24, 36, 40 - depth]) {
            const alone = piecesOf([mine], "a", face, { up });
            const crossed = piecesOf([mine, crossing], "a", face, { up });
            for (const [from, to, ink] of crossed) {
              const before = alone.find(
                (p) => Number(p[0]) <= Number(from) + 0.02 && Number(p[1]) >= Number(to) - 0.02,
              );
              expect(before).toBeDefined();
              expect(before![2] === "edge" ? ink : "edge").toBe("edge");
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
