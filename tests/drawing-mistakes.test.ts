import { describe, expect, test } from "vitest";
import { rectangle } from "../core/frame/index.ts";
import { plan } from "../core/plan/index.ts";
import { checkFeatures, type Feature, limitsOf, siteOf } from "../core/part/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { block, dim, featureList, featureOf } from "./support/cheek-block.ts";
import { phraseIds } from "./support/phrase-ids.ts";

const sizes = { length: 100, width: 60, height: 40 };
const general = { kind: "iso2768", grade: "m" } as const;
const limits = (d: Parameters<typeof limitsOf>[0]) => limitsOf(d, { general });

/** Findings about features of a block of 100 × 60 × 40. */
const inBlock = (...features: Feature[]) =>
  checkFeatures(features, {
    site: siteOf(features, sizes),
    shop: demoShop,
    machine: demoShop.machines[0]!,
    limitsOf: limits,
  });

/** Findings about features of a shaft: 25 for 60, then 30 for 90. */
const inShaft = (...features: Feature[]) => {
  const box = { length: 150, width: 30, height: 30 };
  const site = siteOf(features, box, [
    { diameter: 25, from: 0, to: 60 },
    { diameter: 30, from: 60, to: 150 },
  ]);
  return checkFeatures(features, { site, shop: demoShop, machine: demoShop.machines[0]!, limitsOf: limits });
};

type Sizes = Record<string, string>;
const hole = (given: Sizes = {}, choices: Record<string, unknown> = {}, first = "left 30") =>
  featureOf("hole", "h", "top", {
    sizes: { diameter: "6.6", depth: "10", ...given },
    first,
    choices,
  });
const tapped = (given: Sizes = {}, first = "left 30") =>
  featureOf("hole", "h", "top", {
    sizes: { depth: "24", threadDepth: "16", ...given },
    first,
    choices: { form: "tapped", screw: "M8" },
  });
const key = (given: Sizes = {}, choices: Record<string, unknown> = {}, first = "left 105") =>
  featureOf("keyway", "k", "top", { sizes: { length: "36", ...given }, first, choices });
const woodruff = (given: Sizes = {}, choices: Record<string, unknown> = {}, first = "left 30") =>
  featureOf("woodruff", "w", "top", { sizes: given, first, choices: { key: "606", ...choices } });
const slope = (given: Sizes, numbers: Record<string, number>) =>
  featureOf("slope", "s", "top", { sizes: given, numbers, choices: { side: "right" } });
const chained = (second: string, tolerance: string) => [
  featureOf("hole", "a", "top", { sizes: { diameter: "6", depth: "10" }, first: `left 30 ±${tolerance}` }),
  featureOf("hole", "b", "top", {
    sizes: { diameter: "6", depth: "10" },
    first: `=a left ${second} ±${tolerance}`,
  }),
];
const sized = (retargeted: string, features: Feature[]) =>
  plan({
    job: block(
      ["part/features", featureList(features)],
      ["retargets/length", { size: dim(retargeted), reason: "the lump is short" }],
    ),
    records: [],
    shop: demoShop,
    piece: 1,
  }).findings;

/** Each slip on a drawing, the rule that tells it, and a near case that must stay silent. */
const caught: [what: string, id: string, slip: () => unknown, near: () => unknown][] = [
  [
    "M05: on the center when the length changed",
    "M05.moves",
    () => sized("95", [hole({}, {}, "center")]),
    () => sized("95", [hole()]),
  ],
  [
    "M05: from the far edge",
    "M05.moves",
    () => sized("95", [hole({}, {}, "right 20")]),
    () => sized("96", [hole({}, {}, "right 20")]),
  ],
  [
    "M29: depth of the next key (10 × 8 goes 5 deep)",
    "M29.neighbor",
    () => inShaft(key({ depth: "5" })),
    () => inShaft(key({ depth: "4.1" })),
  ],
  [
    "M29: from the edge, entered from the crown",
    "M29.surface",
    () => inShaft(key({ depth: "3.456" })),
    () => inShaft(key({ depth: "3.456" }, { depthFrom: "edge" })),
  ],
  [
    "M29: a depth of no key",
    "M29.depth",
    () => inShaft(key({ depth: "4.6" })),
    () => inShaft(key({ depth: "4.2" })),
  ],
  [
    "M29: a width of another shaft",
    "M29.width",
    () => inShaft(key({ width: "10" })),
    () => inShaft(key({ width: "8" })),
  ],
  [
    "M29: the depth of another Woodruff key",
    "M29.neighbor",
    () => inShaft(woodruff({ depth: "7.017" }, { depthFrom: "edge" })),
    () => inShaft(woodruff({ depth: "5.44" }, { depthFrom: "edge" })),
  ],
  [
    "M29: an inch depth, from the edge, entered from the crown",
    "M29.surface",
    () => inShaft(woodruff({ depth: "5.442" })),
    () => inShaft(woodruff()),
  ],
  [
    "M31: a hole of the screw's own size",
    "M31.clearance",
    () => inBlock(hole({ diameter: "6" })),
    () => inBlock(hole({ diameter: "6 H7" })),
  ],
  [
    "M31: a hole of an inch screw's own size",
    "M31.clearance",
    () => inBlock(hole({ diameter: "0.25 in" })),
    () => inBlock(hole({ diameter: "0.281 in" })),
  ],
  [
    "M31: a thread deeper than it holds",
    "M31.threadDepth",
    () => inBlock(tapped({ threadDepth: "19" })),
    () => inBlock(tapped()),
  ],
  [
    "M31: the drill of another thread",
    "M31.tapDrill",
    () => inBlock(tapped({ drill: "7.5" })),
    () => inBlock(tapped({ drill: "6.9" })),
  ],
  [
    "M31: no room below the thread",
    "M31.tapRoom",
    () => inBlock(tapped({ depth: "18" })),
    () => inBlock(tapped({ depth: "20" })),
  ],
  [
    "a tapped hole near an edge",
    "drawing.tappedEdge",
    () => inBlock(tapped({}, "left 7")),
    () => inBlock(tapped({}, "left 9")),
  ],
  [
    "a wall too thin",
    "drawing.wall",
    () => inBlock(hole({}, {}, "left 4")),
    () => inBlock(hole({}, {}, "left 7")),
  ],
  [
    "M09: a blind hole whose point comes out below",
    "drawing.point",
    () => inBlock(hole({ depth: "38.5" })),
    () => inBlock(hole({ depth: "34" })),
  ],
  [
    "a hole beyond the edge",
    "drawing.outside",
    () => inBlock(hole({}, {}, "left 1")),
    () => inBlock(hole({}, {}, "left 12")),
  ],
  [
    "the same twice",
    "drawing.twice",
    () => inBlock(hole(), { ...hole(), id: "other" }),
    () => inBlock(hole(), { ...hole({}, {}, "left 60"), id: "o" }),
  ],
  [
    "a wall between two too thin",
    "drawing.between",
    () => inBlock(hole(), { ...hole({}, {}, "left 38"), id: "o" }),
    () => inBlock(hole(), { ...hole({}, {}, "left 40"), id: "o" }),
  ],
  [
    "a hole past another that crosses it",
    "drawing.pastCross",
    () =>
      inBlock(
        hole({ depth: "30" }),
        featureOf("hole", "x", "front", { sizes: { diameter: "6.6", depth: "40" }, first: "left 30" }),
      ),
    () =>
      inBlock(
        hole({ depth: "30" }),
        featureOf("hole", "x", "front", { sizes: { diameter: "6.6", depth: "40" }, first: "left 60" }),
      ),
  ],
  [
    "a place finer than the table",
    "drawing.placing",
    () => inBlock(hole({}, {}, "left 30 ±0.005")),
    () => inBlock(hole({}, {}, "left 30 ±0.01")),
  ],
  [
    "a size finer than the instruments",
    "M35.prove",
    () => inBlock(hole({ diameter: "6.6 +0.005/0" })),
    () => inBlock(hole({ diameter: "6.6 +0.05/0" })),
  ],
  [
    "a chain whose limits add up to the wall",
    "drawing.chain",
    () => inBlock(...chained("24.5", "0.5")),
    () => inBlock(...chained("24.5", "0.1")),
  ],
  [
    "width, depth and angle that disagree",
    "drawing.contradiction",
    () => inBlock(slope({ width: "10", depth: "10" }, { angle: 40 })),
    () => inBlock(slope({ width: "10", depth: "10" }, { angle: 45 })),
  ],
  [
    "an inside corner without a radius",
    "drawing.corner",
    () => inBlock(featureOf("pocket", "p", "top", { sizes: { first: "30", second: "20", depth: "5" } })),
    () =>
      inBlock(
        featureOf("pocket", "p", "top", { sizes: { first: "30", second: "20", depth: "5", radius: "6" } }),
      ),
  ],
  [
    "a seat over a shoulder",
    "drawing.shoulder",
    () => inShaft(key({}, {}, "left 70")),
    () => inShaft(key({}, {}, "left 90")),
  ],
  [
    "a seat over two fifths of its shaft",
    "drawing.keyseatDeep",
    () => inShaft(key({ width: "8", depth: "13" })),
    () => inShaft(key({ width: "8", depth: "11" })),
  ],
  [
    "no cutter for the seat",
    "drawing.woodruffCutter",
    () => inShaft(woodruff({}, { key: "1008" })),
    () => inShaft(woodruff()),
  ],
  ["a keyseat in a block", "drawing.wrongForm", () => inBlock(key()), () => inBlock(hole())],
  [
    "an outline with a sharp inside corner",
    "drawing.corner",
    () => inBlock(outline(0)),
    () => inBlock(outline(6)),
  ],
  [
    "a closed slot shorter than its round ends",
    "drawing.slotShort",
    () => inBlock(slotOf("closed", "20", "15")),
    () => inBlock(slotOf("closed", "20", "20")),
  ],
  [
    "corners larger than a side of the pocket holds",
    "drawing.radius",
    () => inBlock(pocketOf("8")),
    () => inBlock(pocketOf("6")),
  ],
  [
    "an edge to be chamfered that a step takes away",
    "drawing.edgeGone",
    () => inBlock(chamferOf("all"), stepAtBack),
    () => inBlock(chamferOf("left"), stepAtBack),
  ],
  ["a foot narrower than its neck", "drawing.tFoot", () => inBlock(tSlot("11")), () => inBlock(tSlot("21"))],
];

const slotOf = (end: string, width: string, length: string) =>
  featureOf("slot", "s", "top", {
    sizes: { width, depth: "5", length },
    first: "left 50",
    second: "front 30",
    choices: { end },
  });
const pocketOf = (radius: string) =>
  featureOf("pocket", "p", "top", {
    sizes: { first: "30", second: "14", depth: "5", radius },
    first: "left 50",
    second: "front 30",
    choices: { corner: "exact" },
  });
const chamferOf = (edge: string) =>
  featureOf("chamfer", "c", "top", { sizes: { leg: "2" }, choices: { edge } });
const stepAtBack = featureOf("step", "st", "top", {
  sizes: { width: "8", depth: "6" },
  choices: { side: "back" },
});

/** A pocket of a free outline whose corners have a radius. */
const outline = (radius: number): Feature => ({
  ...featureOf("outline", "o", "top", { sizes: { depth: "5" } }),
  corners: rectangle([-20, 20], [-10, 10], radius).map((corner) => ({ ...corner })),
});
const tSlot = (foot: string) =>
  featureOf("tSlot", "t", "top", { sizes: { neck: "12", neckDepth: "10", foot, footHeight: "8" } });

describe("what a drawing gets wrong", () => {
  test.each(caught)("%s: %s", (_what, id, slip, near) => {
    expect([...phraseIds(slip())]).toContain(id);
    expect([...phraseIds(near())]).not.toContain(id);
  });
});
