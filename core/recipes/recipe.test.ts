import { describe, expect, test } from "vitest";
import { polygon, rectangle } from "../frame/index.ts";
import type { Cutout, Prism } from "../part/index.ts";
import { metalFrom, type RecipePlace } from "./recipe.ts";

const sizes = { length: 100, width: 60, height: 40 };

/** A slot along the length, 20 to 40 across, so deep from the top. */
const slot = (deep: number): Prism => ({
  axis: "length",
  outline: rectangle([20, 40], [40 - deep, 40]),
  span: [0, 100],
});
/** A V along the length about the middle of the width, 10 deep. */
const vee: Prism = {
  axis: "length",
  outline: polygon([
    [20, 40],
    [40, 40],
    [30, 30],
  ]),
  span: [10, 90],
};
const pocket = (from: number, to: number): Prism => ({
  axis: "height",
  outline: rectangle([40, 60], [20, 40]),
  span: [from, to],
});

const at = (up: "top" | "bottom", place: readonly [number, number], ...prisms: Prism[]): number =>
  metalFrom(up, place, {
    before: [{ prisms } as unknown as Cutout],
    sizes,
    site: { sizes, shaft: null, middleOf: () => null },
  } as unknown as RecipePlace);

/** A shaft of 40 to half of its length, then 30. */
const onShaft = (up: "top" | "left", place: readonly [number, number]): number =>
  metalFrom(up, place, {
    before: [],
    others: [],
    sizes: { length: 100, width: 40, height: 40 },
    site: {
      sizes: { length: 100, width: 40, height: 40 },
      shaft: [
        { diameter: 40, from: 0, to: 50 },
        { diameter: 30, from: 50, to: 100 },
      ],
      middleOf: () => null,
    },
  } as unknown as RecipePlace);

describe("where metal begins below a face, after what was cut before", () => {
  test.each([
    ["nothing was", at("top", [50, 30]), 0],
    ["at the floor of a pocket", at("top", [50, 30], pocket(28, 40)), 12],
    ["beside that pocket", at("top", [30, 30], pocket(28, 40)), 0],
    ["at the floor of a slot that runs across the line of sight", at("top", [50, 30], slot(7)), 7],
    ["at the bottom of a V", at("top", [50, 30], vee), 10],
    ["on its flank", at("top", [50, 25], vee), 5],
    ["past its end", at("top", [95, 30], vee), 0],
    ["below a pocket in the floor of a slot", at("top", [50, 30], slot(7), pocket(20, 33)), 20],
    ["a cavity that does not come up to the face", at("top", [50, 30], pocket(10, 20)), 0],
    ["from below, a pocket that is open at the top only", at("bottom", [50, 30], pocket(28, 40)), 0],
    ["from below, one that goes through", at("bottom", [50, 30], pocket(0, 40)), 40],
    ["on the crown of a shaft", onShaft("top", [20, 20]), 0],
    ["on the crown of a thinner section", onShaft("top", [70, 20]), 5],
    ["beside the axis, where the round falls away", onShaft("top", [20, 32]), 4],
    ["at the end of a shaft", onShaft("left", [20, 32]), 0],
    ["a thread is drawn, not cut", at("top", [50, 30], { ...pocket(28, 40), thread: true }), 0],
  ])("%s", (_name, deep, expected) => {
    expect(deep).toBeCloseTo(expected, 6);
  });
});
