import { beforeAll, describe, expect, test } from "vitest";
import { materials } from "../handbook/index.ts";
import { demoShop, type Machine, newCutter, type Shop } from "../shop/index.ts";
import type { Part } from "../part/index.ts";
import { block, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { zero } from "../../tests/support/told-by-hand.ts";
import { noChance } from "./chance.ts";
import type { FindingSort } from "./finding.ts";
import { judgePart } from "./judge.ts";
import { LiteralMachine } from "./literal-machine.ts";
import { rawBlock } from "./lump.ts";
import { openSolids, type Solid, type SolidKit } from "./solid.ts";
import type { Instruction, Thing } from "./told.ts";

/** A milled block of 60 × 40 × 30, 12 above the jaws on parallels of 22, cut with an end mill of 10; zero at its left front top. */

const knee = demoShop.machines.find((m) => m.id === "knee")!;
const dials: Machine = {
  ...knee,
  axes: {
    x: { ...knee.axes.x, readout: null, backlash: 0.2 },
    y: { ...knee.axes.y, readout: null, backlash: 0.2 },
    z: knee.axes.z,
  },
};
const shop: Shop = {
  ...demoShop,
  cutters: [
    ...demoShop.cutters,
    newCutter({
      id: "left",
      name: "left",
      kind: "endMill",
      material: "hss",
      diameter: 10,
      teeth: 2,
      fluteLength: 22,
      hand: "left",
      centerCutting: true,
    }),
    newCutter({
      id: "necked",
      name: "necked",
      kind: "endMill",
      material: "hss",
      diameter: 6,
      teeth: 2,
      fluteLength: 5,
      shank: 10,
      stickout: 30,
      centerCutting: true,
    }),
  ],
};
const parallels = {
  id: "parallels",
  height: 22,
  thickness: 8,
  length: 125,
  inset: 0,
  single: false,
} as const satisfies Thing;
const rod: Thing = { id: "rod", diameter: 12, height: 31 };

type Step = Instruction;
const place = (more: Partial<Extract<Step, { do: "place" }>> = {}): Step => ({
  do: "place",
  at: { up: "top", fixed: "back" },
  on: "vise",
  things: [parallels],
  out: null,
  squared: null,
  projection: 12,
  ...more,
});
const clamp: Step = { do: "clamp", grip: 16, loose: false };
const fit = (cutter = "em-10-2", more: Partial<Extract<Step, { do: "fit" }>> = {}): Step => ({
  do: "fit",
  cutter,
  rpm: 1115,
  turns: { way: "clockwise", seen: "from above" },
  upright: false,
  ...more,
});
type Move = Extract<Step, { do: "move" }>;
const move = (how: Move["how"], to: Move["to"], more: Partial<Move> = {}): Step => ({
  do: "move",
  how,
  to,
  counted: {},
  approach: {},
  cuts: how === "feed" || how === "in",
  exact: 0.05,
  limits: { across: 10, along: 3 },
  vf: 110,
  rpm: 1115,
  power: null,
  cutter: "em-10-2",
  spring: false,
  minutes: 0.5,
  ...more,
});
const begin = [place(), clamp, fit(), zero("x"), zero("y"), zero("z")];
/** A slot along X at a place across, so deep. */
const slot = (y: number, deep: number, more: Partial<Move> = {}): Step[] => [
  move("go", { x: -7, y }, more),
  move("down", { z: -deep }, more),
  move("feed", { x: 67 }, more),
];
const hole = (x: number, y: number, z: number, more: Partial<Move> = {}): Step[] => [
  move("go", { x, y }, more),
  move("down", { z }, { cuts: true, ...more }),
];
const pass = (stop: number, more: Partial<Extract<Step, { do: "pass" }>> = {}): Step => ({
  do: "pass",
  face: "top",
  by: "end",
  axis: "z",
  stop,
  down: null,
  depth: 1,
  width: 40,
  lanes: [4, 12, 20, 28, 36].map((at) => ({ from: "front", in: at })),
  feedAlong: "x",
  travel: "right",
  vf: 110,
  rpm: 1115,
  power: null,
  cutter: "em-10-2",
  spring: false,
  dye: null,
  ...more,
});
const dialZero = (axis: "x" | "y") => zero(axis, { setting: null, moveOn: 5.05 });
const finder = { kind: "finder", diameter: 10 } as const;
const centered = zero("x", {
  tool: finder,
  medium: 0,
  setting: 0,
  touches: [{ from: "left" }, { from: "right" }],
});

let kit: SolidKit;
beforeAll(async () => {
  kit = await openSolids();
});

interface Lump {
  sizes?: [number, number, number];
  /** Takes something out of the block first. */
  without?: (kit: SolidKit) => Solid;
  machine?: Machine;
}

function obey(
  steps: readonly Step[],
  { sizes = [60, 40, 30], without, machine = knee }: Lump = {},
  drawing?: Part,
) {
  const [length, width, height] = sizes;
  return kit.scope(() => {
    const lump = rawBlock(
      {
        readings: { length: [], width: [], height: [] },
        conditions: {
          left: "milled",
          right: "milled",
          front: "milled",
          back: "milled",
          bottom: "milled",
          top: "milled",
        },
        target: { length, width, height },
        u: 0,
      },
      kit,
      noChance,
    );
    const part = without ? { ...lump, solid: lump.solid.minus(without(kit)) } : lump;
    const part_ = drawing ?? block().part;
    const literal = new LiteralMachine({
      kit,
      shop,
      machine,
      vise: shop.vises[0]!,
      material: materials[0]!,
      drawing: part_,
      part,
      chance: noChance,
    });
    steps.forEach((step, i) => literal.obey({ ...step, op: "op", step: `s${i}`, setup: 1 }));
    const end = drawing
      ? judgePart({
          part: literal.part,
          drawing: part_,
          untouched: new Set(),
          unfinished: new Set(),
          axes: ["length", "width", "height"],
          raw: [],
          corners: new Map(),
          form: 0,
          squared: true,
          strokes: literal.strokes,
          kit,
          end: { op: "op", step: "end", setup: 1 },
        })
      : [];
    const findings = [...literal.findings, ...end];
    literal.drop();
    return findings;
  });
}

interface Planted {
  sort: FindingSort;
  what: string;
  /** What met what. */
  names?: string;
  slip: readonly Step[];
  near: readonly Step[];
  lump?: Lump;
  nearLump?: Lump;
  size?: number;
  /** X, Y, Z in the machine's frame, where the wrong has one place. */
  at?: readonly [number, number, number];
  /** The step it belongs to, from the end. */
  last?: number;
}

/** Strapped to the table over its back edge, on packing of 10. */
const strapped = [
  place({
    on: "table",
    things: [
      { id: "packing", height: 10 },
      { id: "straps", count: 2, over: "back", reach: 12 },
    ],
  }),
  ...begin.slice(1),
];
/** Strapped over its back edge where that is told, on a plate or on packing under each strap. */
const clearOf = (left: number, under: Thing): Step[] => [
  place({
    on: "table",
    things: [under, { id: "straps", count: 1, over: "back", reach: 12, at: [{ edge: "back", left }] }],
  }),
  ...begin.slice(1),
];
const onPlate: Thing = { id: "plate", height: 12 };
const underStraps: Thing = { id: "packing", height: 10, underStraps: true };
/** In V-blocks with its top 12 above the jaws, zero in its middle. */
const inBlocks = [
  place({ on: "blocks", things: [{ id: "blocks", at: null }], projection: 12 }),
  ...begin.slice(1, 3),
  zero("x", { touches: [{ from: "left" }, { from: "right" }], setting: 0 }),
  zero("y"),
  zero("z"),
];

const deep = { limits: { across: 20, along: 40 } };

const planted: Planted[] = [
  {
    sort: "hits",
    what: "the cutter two deep in the fixed jaw",
    slip: [...begin, ...slot(38, 14, deep)],
    near: [...begin, ...slot(38, 11.5, deep)],
    size: 2,
    at: [0, 1.5, 39],
    last: 1,
  },
  {
    sort: "hits",
    what: "a hole through into the parallel",
    slip: [...begin, ...hole(30, 34, -31, deep)],
    near: [...begin, ...hole(30, 20, -31, deep)],
    size: 1,
    at: [0, -4.5, 21.5],
  },
  {
    sort: "hits",
    what: "a hole through into the bed",
    slip: [...begin, ...hole(30, 20, -53, deep)],
    near: [...begin, ...hole(30, 20, -51, deep)],
    size: 1,
    at: [0, -20, -0.5],
  },
  {
    sort: "hits",
    what: "down beside the part, into the rod",
    names: "cutter | the rod",
    slip: [place({ things: [parallels, rod] }), ...begin.slice(1), ...hole(30, -8, -25, deep)],
    near: [...begin, ...slot(20, 3)],
  },
  {
    sort: "hits",
    what: "past the left end below the top of the stop",
    names: "cutter | the stop",
    slip: [place({ things: [parallels, { id: "stop" }] }), ...begin.slice(1), ...slot(20, 16, deep)],
    near: [place({ things: [parallels, { id: "stop" }] }), ...begin.slice(1), ...slot(20, 11, deep)],
    size: 2,
  },
  {
    sort: "hits",
    what: "over the table into a strap",
    names: "cutter | a strap",
    slip: [...strapped, ...slot(36, 1)],
    near: [...strapped, ...slot(8, 1)],
  },
  {
    sort: "hits",
    what: "beside the part into a stud",
    names: "cutter | a stud",
    slip: [...strapped, ...slot(52, 6)],
    near: [...strapped, ...slot(8, 1)],
  },
  {
    sort: "hits",
    what: "through the part into the packing",
    names: "cutter | the packing",
    slip: [...strapped, ...hole(30, 12, -32, deep)],
    near: [...strapped, ...hole(30, 12, -29, deep)],
    size: 2,
  },
  {
    sort: "hits",
    what: "down beside a strap that is told elsewhere, into it",
    names: "cutter | a strap",
    slip: [...clearOf(30, onPlate), ...hole(30, 34, -3, deep)],
    near: [...clearOf(46, onPlate), ...hole(14, 34, -3, deep)],
  },
  {
    sort: "hits",
    what: "through the part and too far into the plate below",
    names: "cutter | the plate",
    slip: [...clearOf(46, onPlate), ...hole(14, 20, -40, deep)],
    near: [...clearOf(46, onPlate), ...hole(14, 20, -38, deep)],
    size: 1,
  },
  {
    sort: "hits",
    what: "through the part into the packing under a strap",
    names: "cutter | the packing",
    slip: [...clearOf(46, underStraps), ...hole(56, 34, -31, deep)],
    near: [...clearOf(46, underStraps), ...hole(14, 20, -33, deep)],
  },
  {
    sort: "hits",
    what: "beside a part in V-blocks, down into one",
    names: "cutter | a V-block",
    slip: [...inBlocks, ...hole(31, 20, -29, deep)],
    near: [...inBlocks, ...hole(31, 20, -5, deep)],
  },
  {
    sort: "ploughs",
    what: "down into the part with nothing told to cut",
    slip: [...begin, move("go", { x: 30, y: 20 }), move("down", { z: -3 })],
    near: [...begin, move("go", { x: -7, y: 20 }), move("down", { z: -3 })],
    size: 3,
  },
  {
    sort: "shank",
    what: "a thick shank below the top",
    slip: [
      ...begin.slice(0, 2),
      fit("necked"),
      zero("x"),
      zero("y"),
      zero("z"),
      ...slot(20, 7, { cutter: "necked", ...deep }),
    ],
    near: [
      ...begin.slice(0, 2),
      fit("necked"),
      zero("x"),
      zero("y"),
      zero("z"),
      ...slot(20, 4.5, { cutter: "necked", ...deep }),
    ],
    size: 2,
    last: 1,
  },
  {
    sort: "backsIn",
    what: "backed off into the part",
    slip: [...begin.slice(0, 5), zero("z", { backOff: "into the part" })],
    near: [...begin.slice(0, 5), zero("z")],
    size: 2,
  },
  {
    sort: "tooMuch",
    what: "twice as deep as told",
    slip: [...begin, ...slot(20, 3, { limits: { across: 10, along: 1.5 } })],
    near: [...begin, ...slot(20, 3)],
    size: 1.5,
    at: [0, -20, 50.5],
    last: 1,
  },
  {
    sort: "tooMuch",
    what: "a wall in one stroke",
    slip: [...begin, ...slot(4, 3, { limits: { across: 1, along: 3 } })],
    near: [...begin, ...slot(-4, 3, { limits: { across: 1, along: 3 } })],
    size: 8,
    last: 1,
  },
  {
    sort: "tooHard",
    what: "more power than the motor has",
    slip: [...begin, ...slot(20, 11, { ...deep, vf: 1500 })],
    near: [...begin, ...slot(20, 3, { ...deep, vf: 150 })],
    last: 1,
  },
  {
    sort: "tooHard",
    what: "more power than the cut was told with",
    names: "10 end mill, 2 flutes | the plan",
    slip: [...begin, ...slot(20, 6, { ...deep, power: 0.02 })],
    near: [...begin, ...slot(20, 1, { ...deep, power: 0.02 })],
    last: 1,
  },
  {
    sort: "nothing",
    what: "a stroke over the part",
    slip: [...begin, ...slot(20, -2)],
    near: [...begin, ...slot(20, 1)],
    last: 1,
  },
  {
    sort: "endless",
    what: "pass after pass in the air",
    slip: [...begin, ...Array.from({ length: 9 }, (_, i) => pass(5 - i / 10))],
    near: [...begin, ...Array.from({ length: 3 }, (_, i) => pass(-1 - i / 2))],
  },
  {
    sort: "rubs",
    what: "a chip thinner than the edge",
    slip: [...begin, ...slot(20, 1, { vf: 5 })],
    near: [...begin, ...slot(20, 1, { vf: 40 })],
    size: 0.0028,
    last: 1,
  },
  {
    sort: "stopped",
    what: "a cut with a spindle that was never started",
    slip: [place(), clamp, fit("em-10-2", { turns: null }), zero("x"), zero("y"), zero("z"), ...slot(20, 1)],
    near: [...begin, ...slot(20, 1)],
  },
  {
    sort: "wrongWay",
    what: "a left-hand cutter told clockwise",
    slip: [place(), clamp, fit("left")],
    near: [place(), clamp, fit()],
  },
  {
    sort: "otherSpeed",
    what: "another speed than was set",
    slip: [...begin, ...slot(20, 1, { rpm: 660 })],
    near: [...begin, ...slot(20, 1)],
    size: 455,
  },
  {
    sort: "otherTool",
    what: "another tool than stands in the spindle",
    slip: [...begin, ...slot(20, 1, { cutter: "em-8" })],
    near: [...begin, ...slot(20, 1)],
  },
  {
    sort: "zeroTool",
    what: "the finder named with the cutter in",
    slip: [place(), clamp, fit(), zero("x", { tool: finder, medium: 0 })],
    near: [place(), clamp, zero("x", { tool: finder, medium: 0 }), fit()],
  },
  {
    sort: "finderFast",
    what: "the finder at cutting speed",
    slip: [place(), clamp, fit("em-10-2", { rpm: 2720 }), zero("x", { tool: finder, medium: 0 })],
    near: [place(), clamp, zero("x", { tool: finder, medium: 0 }), fit()],
    size: 2720,
  },
  {
    sort: "stale",
    what: "Z not taken again after the tool was changed",
    slip: [...begin, fit("em-8"), ...slot(20, 1, { cutter: "em-8" })],
    near: [
      ...begin,
      fit("em-8"),
      zero("z", { tool: { kind: "cutter", id: "em-8" } }),
      ...slot(20, 1, { cutter: "em-8" }),
    ],
  },
  {
    sort: "slack",
    what: "a stop from the other side than the zero",
    slip: [
      place(),
      clamp,
      fit(),
      dialZero("x"),
      dialZero("y"),
      zero("z"),
      move("go", { x: 50, y: 20 }),
      move("go", { x: 30 }),
    ],
    near: [place(), clamp, fit(), dialZero("x"), dialZero("y"), zero("z"), move("go", { x: 30, y: 20 })],
    lump: { machine: dials },
    size: 0.2,
  },
  {
    sort: "halved",
    what: "a middle halved between touches from either side",
    slip: [place(), clamp, centered],
    near: [place(), clamp, centered],
    lump: { machine: dials },
    nearLump: {},
    size: 0.1,
  },
  {
    sort: "onAir",
    what: "a parallel where the part was stepped",
    slip: [place(), clamp],
    near: [place(), clamp],
    lump: { without: (k) => k.box([-1, 30, -1], [61, 41, 6]) },
    nearLump: { without: (k) => k.box([-1, 34, -1], [20, 41, 6]) },
    at: [0, -4, 22],
  },
  {
    sort: "noGrip",
    what: "a part that stands higher than the jaws",
    slip: [place({ things: [{ ...parallels, height: 42 }] }), clamp],
    near: [place(), clamp],
  },
  {
    sort: "noGrip",
    what: "a strap over a corner that is cut away",
    names: "a strap",
    slip: clearOf(14, onPlate).slice(0, 2),
    near: clearOf(46, onPlate).slice(0, 2),
    lump: { without: (k) => k.box([-1, 20, 25], [31, 41, 31]) },
    nearLump: { without: (k) => k.box([-1, 20, 25], [31, 41, 31]) },
  },
  {
    sort: "onAir",
    what: "packing under a strap where the part was stepped below",
    names: "the packing",
    slip: clearOf(14, underStraps).slice(0, 2),
    near: clearOf(46, underStraps).slice(0, 2),
    lump: { without: (k) => k.box([-1, 20, -1], [31, 41, 6]) },
    nearLump: { without: (k) => k.box([-1, 20, -1], [31, 41, 6]) },
  },
  {
    sort: "lessGrip",
    what: "a ledge at the moving jaw that is cut away",
    names: "the moving jaw",
    slip: [place(), clamp],
    near: [place(), clamp],
    lump: { without: (k) => k.box([-1, -1, -1], [61, 20, 12]) },
    nearLump: { without: (k) => k.box([-1, -1, 17.5], [61, 4, 31]) },
    size: 10.8,
  },
  {
    sort: "lessGrip",
    what: "less height at the jaw than told",
    slip: [place(), { do: "clamp", grip: 25, loose: false }],
    near: [place(), { do: "clamp", grip: 17, loose: false }],
    size: 7.8,
  },
  {
    sort: "tips",
    what: "a long bar in short jaws",
    slip: [place(), clamp],
    near: [place(), clamp],
    lump: { sizes: [600, 40, 30] },
    nearLump: { sizes: [200, 40, 30] },
    size: 237.5,
  },
  {
    sort: "leftIn",
    what: "the rod left in",
    slip: [
      place({ things: [parallels, rod] }),
      clamp,
      { do: "take out", things: ["parallels"], part: true },
      place(),
    ],
    near: [
      place({ things: [parallels, rod] }),
      clamp,
      { do: "take out", things: ["parallels", "rod"], part: true },
      place(),
    ],
  },
  {
    sort: "side",
    what: "an end told to hang out where it is not",
    slip: [place({ out: { end: "right", by: 10, side: "left" } })],
    near: [place({ out: { end: "right", by: 10, side: "right" } })],
    size: 10,
  },
  {
    sort: "reach",
    what: "no room under the spindle",
    slip: [...begin, ...slot(20, 1)],
    near: [...begin, ...slot(20, 1)],
    lump: { machine: { ...knee, daylight: 120 } },
    nearLump: {},
    // Bed 45, top of the part 52, 5 clear, 28 out and 25 of collet.
    size: 35,
  },
  {
    sort: "notTold",
    what: "figures with the head tilted",
    slip: [...begin, { do: "tilt head", degrees: 30 }, move("go", { x: 30, y: 20 })],
    near: [...begin, move("go", { x: 30, y: 20 })],
  },
  {
    sort: "plunge",
    what: "no teeth at the center",
    slip: [
      place(),
      clamp,
      fit("em-10"),
      zero("x"),
      zero("y"),
      zero("z"),
      ...hole(30, 20, -2, { cutter: "em-10" }),
    ],
    near: [...begin, ...hole(30, 20, -2)],
    size: 2,
  },
];

describe("what is planted in told steps is found, and only that", () => {
  test.each(planted.map((p) => [`${p.sort}: ${p.what}`, p] as const))("%s", (_name, p) => {
    const found = obey(p.slip, p.lump).filter((f) => f.sort === p.sort);
    expect(found.length).toBeGreaterThan(0);
    const step = p.last === undefined ? null : `s${p.slip.length - p.last}`;
    const first = found.find(
      (f) => (step === null || f.step === step) && (p.names === undefined || f.what === p.names),
    );
    expect(first?.step).toBeDefined();
    if (p.size !== undefined) expect(first!.size).toBeCloseTo(p.size, p.size < 0.01 ? 4 : 1);
    if (p.at) p.at.forEach((v, i) => expect(first!.at![i]).toBeCloseTo(v, 0));
    // The near case is silent, of that sort and of those it could be taken for.
    const near = obey(p.near, p.nearLump ?? p.lump);
    const same = (f: (typeof near)[number]) =>
      f.sort === p.sort && (p.names === undefined || f.what === p.names);
    expect(near.filter(same)).toEqual([]);
  });

  test("steps that are right are silent", () => {
    expect(obey([...begin, ...slot(20, 3), { do: "take out", things: ["parallels"], part: true }])).toEqual(
      [],
    );
  });
});

describe("the part against its drawing", () => {
  const drawing = block(
    ["part/sizes/length", { ...block().part.sizes.length, nominal: 60 }],
    ["part/sizes/width", { ...block().part.sizes.width, nominal: 40 }],
    ["part/sizes/height", { ...block().part.sizes.height, nominal: 30 }],
    [
      "part/features",
      featureList([featureOf("slot", "way", "top", { sizes: { width: "10 ±0.05", depth: "3 ±0.05" } })]),
    ],
  ).part;
  const out: Step = { do: "take out", things: ["parallels"], part: true };
  test.each([
    ["left", "a slot 0.6 too shallow", [...begin, ...slot(20, 2.4), out], 0.6],
    ["below", "a slot 0.6 too deep", [...begin, ...slot(20, 3.6), out], 0.6],
    ["below", "a slot off its place", [...begin, ...slot(21, 3), out], 1],
    ["below", "a face cut below its size", [...begin, ...slot(20, 3), pass(-1), out], 0.95],
  ] as const)("%s: %s", (sort, _what, steps, size) => {
    const found = obey(steps, {}, drawing).filter((f) => f.sort === sort);
    expect(found.length).toBeGreaterThan(0);
    // The mean thickness of a piece of metal: of a thin one nearly its own.
    expect(found[0]!.size).toBeGreaterThan(size * 0.55);
    expect(found[0]!.size).toBeLessThan(size * 1.1);
  });
  test("as drawn nothing is found", () => {
    expect(obey([...begin, ...slot(20, 3), out], {}, drawing)).toEqual([]);
  });
});
