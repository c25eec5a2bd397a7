import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { featureOf } from "../../tests/support/cheek-block.ts";
import { axisNames, outlineArea } from "../frame/index.ts";
import { cutoutOf, type Feature, siteOf } from "../part/index.ts";
import { sectionView, type Shape, threeViews } from "./index.ts";

const sizes = { length: 100, width: 60, height: 40 };
const along = (kind: "vGroove" | "tSlot" | "dovetail" | "tShape", given: Record<string, string>) =>
  featureOf(kind, "f", "top", { sizes: given, choices: { along: "length" } });
const features: [what: string, feature: Feature][] = [
  ["a slot", featureOf("slot", "f", "top", { sizes: { width: "12", depth: "10" } })],
  [
    "a closed slot",
    featureOf("slot", "f", "front", {
      sizes: { width: "8", depth: "6", length: "30" },
      choices: { end: "closed" },
    }),
  ],
  [
    "a slot open at one end",
    featureOf("slot", "f", "top", {
      sizes: { width: "8", depth: "6", length: "30" },
      choices: { end: "right" },
    }),
  ],
  [
    "a pocket with a boss",
    featureOf("pocket", "f", "top", {
      sizes: { first: "40", second: "30", depth: "8", radius: "6", bossFirst: "12" },
      choices: { boss: "round" },
    }),
  ],
  [
    "a step",
    featureOf("step", "f", "top", { sizes: { width: "18", depth: "14" }, choices: { side: "left" } }),
  ],
  ["a rebate", featureOf("rebate", "f", "top", { sizes: { width: "8", depth: "5" } })],
  [
    "a slope",
    featureOf("slope", "f", "back", {
      sizes: { width: "15" },
      numbers: { angle: 30 },
      choices: { side: "right" },
    }),
  ],
  ["a V", along("vGroove", { width: "20" })],
  ["a T-slot", along("tSlot", { neck: "10", neckDepth: "8", foot: "18", footHeight: "7" })],
  ["a dovetail", along("dovetail", { wide: "24", depth: "8" })],
  ["a stem", along("tShape", { stem: "14", depth: "9" })],
  [
    "a hollow",
    featureOf("arc", "f", "right", { sizes: { radius: "15", depth: "6" }, choices: { along: "width" } }),
  ],
  [
    "a hollow on top",
    featureOf("arc", "f", "top", { sizes: { radius: "15", depth: "6" }, choices: { along: "length" } }),
  ],
  ["a rounded corner", featureOf("cornerRadius", "f", "top", { sizes: { radius: "9" } })],
  ["a hole", featureOf("hole", "f", "left", { sizes: { diameter: "9", depth: "30" } })],
];

const site = siteOf([], sizes);
const drawnOf = (feature: Feature) => [{ id: "f", name: "f", number: 1, cutout: cutoutOf(feature, site)! }];
const areaOf = (shape: Shape): number =>
  shape.kind === "path"
    ? shape.outlines.reduce((sum, o, i) => sum + (i === 0 ? 1 : -1) * Math.abs(outlineArea(o)), 0)
    : 0;

describe("sections", () => {
  test.each(features)(
    "slices of %s add up to what is cut away, whichever way it is sliced",
    (_what, feature) => {
      const volume = drawnOf(feature)[0]!.cutout.prisms.reduce((sum, { outline, island, span }) => {
        const area = Math.abs(outlineArea(outline)) - (island ? Math.abs(outlineArea(island)) : 0);
        return sum + area * (span[1] - span[0]);
      }, 0);
      for (const axis of axisNames) {
        const slices = 400;
        const step = sizes[axis] / slices;
        let cut = 0;
        for (let i = 0; i < slices; i++) {
          const { shapes } = sectionView(site, drawnOf(feature), axis, (i + 0.5) * step);
          cut +=
            shapes
              .filter((s) => s.kind === "path" && s.ink === "void")
              .reduce((sum, s) => sum + areaOf(s), 0) * step;
        }
        expect(cut / volume, axis).toBeCloseTo(1, 1);
      }
    },
  );
});

/** Ink of the lines of a feature that stand upright at a height in the top view, by their width coordinate. */
function fromAbove(feature: Feature) {
  const { figure, views } = threeViews(site, drawnOf(feature));
  const top = views.find((v) => v.face === "top")!;
  const found = new Map<number, string>();
  for (const shape of figure.shapes) {
    if (shape.kind !== "line" || shape.of !== "f" || shape.ink === "erase" || shape.ink === "center")
      continue;
    const [a, b] = [shape.points[0]!, shape.points.at(-1)!];
    const inTop = [a, b].every(([, y]) => y <= top.y(0) + 0.01 && y >= top.y(sizes.width) - 0.01);
    if (inTop && Math.abs(a[1] - b[1]) < 1e-6)
      found.set(Math.round((top.y(0) - a[1]) * 100) / 100, shape.ink);
  }
  return Object.fromEntries([...found].sort(([a], [b]) => a - b));
}

/** Ink of the lines of a feature that stand upright in the front view, by their place along the length. */
function fromFront(feature: Feature) {
  const { figure, views } = threeViews(site, drawnOf(feature));
  const front = views.find((v) => v.face === "front")!;
  const found = new Map<number, string>();
  for (const shape of figure.shapes) {
    if (shape.kind !== "line" || shape.of !== "f" || shape.ink === "erase" || shape.ink === "center")
      continue;
    const [a, b] = [shape.points[0]!, shape.points.at(-1)!];
    const inFront = [a, b].every(([x, y]) => y >= front.y(sizes.height) - 0.01 && x <= front.beyond + 0.01);
    if (inFront && Math.abs(a[0] - b[0]) < 1e-6)
      found.set(Math.round((a[0] - front.x(0)) * 100) / 100, shape.ink);
  }
  return Object.fromEntries([...found].sort(([a], [b]) => a - b));
}

describe("what is in sight", () => {
  test.each([
    [
      "a pocket with round corners hides its two sides and its boss, no line where a corner begins",
      featureOf("pocket", "f", "top", {
        sizes: { first: "40", second: "30", depth: "8", radius: "6", bossFirst: "12" },
        choices: { boss: "round" },
      }),
      { 30: "hidden", 44: "hidden", 56: "hidden", 70: "hidden" },
    ],
  ])("from the front %s", (_what, feature, wanted) => {
    expect(fromFront(feature)).toEqual(wanted);
  });

  test.each([
    [
      "a T-slot shows its neck and hides its foot",
      "a T-slot",
      { 21: "hidden", 25: "edge", 35: "edge", 39: "hidden" },
    ],
    ["a V shows its edges and its bottom", "a V", { 20: "edge", 30: "edge", 40: "edge" }],
    [
      "a dovetail shows what is narrow and hides what is wide",
      "a dovetail",
      { 18: "hidden", 22.62: "edge", 37.38: "edge", 42: "hidden" },
    ],
    ["a closed slot on another face hides its floor", "a closed slot", { 6: "hidden" }],
    [
      "a hollow shows where it begins and ends, and no line at its bottom",
      "a hollow on top",
      { 18: "edge", 42: "edge" },
    ],
    ["a stem shows its two sides", "a stem", { 23: "edge", 37: "edge" }],
  ])("from above %s", (_what, name, wanted) => {
    expect(fromAbove(features.find(([what]) => what === name)![1])).toEqual(wanted);
  });

  test("what opens below is hidden from above, what opens above is seen", () => {
    fc.assert(
      fc.property(fc.constantFrom("top", "bottom"), fc.integer({ min: 2, max: 30 }), (face, depth) => {
        const slot = featureOf("slot", "f", face as "top", { sizes: { width: "10", depth: String(depth) } });
        expect(Object.values(fromAbove(slot))).toEqual(
          face === "top" ? ["edge", "edge"] : ["hidden", "hidden"],
        );
      }),
    );
  });
});
