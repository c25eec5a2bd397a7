import { describe, expect, test } from "vitest";
import { demoShop } from "../../shop/index.ts";
import { block, featureList, featureOf } from "../../../tests/support/cheek-block.ts";
import { checkDrawing } from "../check.ts";
import type { Feature } from "./index.ts";

const long = featureOf("slot", "long", "top", { sizes: { width: "12", depth: "8" }, second: "front 30" });
const shortSlot = (second: string, depth: string) =>
  featureOf("slot", "short", "top", {
    sizes: { width: "8", depth, length: "22" },
    first: "left 48",
    second,
    choices: { end: "closed" },
  });
const chamfer = featureOf("chamfer", "chamfer", "top", {
  sizes: { leg: "1" },
  choices: { edge: "right" },
});
const step = (width: string, depth: string) =>
  featureOf("step", "step", "top", { sizes: { width, depth }, choices: { side: "right" } });
const pocket = featureOf("pocket", "pocket", "top", {
  sizes: { first: "30", second: "24", depth: "10", radius: "5" },
  first: "left 48",
  second: "front 30",
});
const hole = (depth: string) =>
  featureOf("hole", "hole", "top", { sizes: { diameter: "8", depth }, first: "left 48", second: "front 30" });

/** Which features have nothing left to cut, by what takes it. */
const swallowedIn = (...features: Feature[]): string[] =>
  checkDrawing(block(["part/features", featureList(features)]).part, demoShop).flatMap((f) =>
    f.phrase.id === "drawing.swallowed" && "feature" in f ? [f.feature] : [],
  );

describe("a feature of which another takes all", () => {
  test.each<[string, Feature[], string[]]>([
    ["a shorter slot within a longer one", [long, shortSlot("front 30", "6")], ["short"]],
    ["the same whichever is drawn first", [shortSlot("front 30", "6"), long], ["short"]],
    ["a deeper one is left its floor", [long, shortSlot("front 30", "9")], []],
    ["one that stands out at a side is left that side", [long, shortSlot("front 34", "6")], []],
    ["a chamfer on an edge that a step takes away", [chamfer, step("10", "6")], ["chamfer"]],
    [
      "a chamfer on an edge that stays",
      [
        chamfer,
        featureOf("step", "step", "top", {
          sizes: { width: "10", depth: "6" },
          choices: { side: "left" },
        }),
      ],
      [],
    ],
    ["a hole that ends within a pocket", [pocket, hole("9")], ["hole"]],
    ["a hole in the floor of a pocket", [pocket, hole("18")], []],
  ])("%s", (_name, features, expected) => {
    expect(swallowedIn(...features)).toEqual(expected);
  });
});
