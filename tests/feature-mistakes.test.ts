import { describe, expect, test } from "vitest";
import type { Job } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { combinedZ, featureMoves } from "../core/locate/index.ts";
import type { Feature } from "../core/part/index.ts";
import { type Cutter, demoShop, newCutter, type Shop } from "../core/shop/index.ts";
import { block, dim, featureList, featureOf, read } from "./support/cheek-block.ts";
import { appended } from "../core/steps/index.ts";
import { walk } from "./support/walker.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { featureSetupsOf } from "../core/route/index.ts";
import { firstZeros } from "./support/faces.ts";

/** The cheek block, 96 × 60 × 38, with features and what the person set themselves. */
const part = (features: Feature[], ...overrides: { at: string; what: string; value: string }[]): Job =>
  block(
    ["part/features", featureList(features)],
    [
      "overrides/byId",
      Object.fromEntries(
        overrides.map((o, i) => [
          `o${i}`,
          { id: `o${i}`, reason: "tried", since: "2026-11-26T08:00:00Z", ...o },
        ]),
      ),
    ],
    ["overrides/order", overrides.map((_, i) => `o${i}`)],
  );

const planOf = (job: Job, shop: Shop = demoShop) => plan({ job, records: [], shop, piece: 1 });
const idsOf = (job: Job, shop: Shop = demoShop) => {
  const { setups, features, steps, overrides } = planOf(job, shop);
  return [...phraseIds([featureSetupsOf(setups), features?.refused, overrides, steps.map((s) => s.notes)])];
};

const slot = (sizes: Record<string, string>, more: Parameters<typeof featureOf>[3] = {}) =>
  featureOf("slot", "slot", "top", { sizes, ...more });
const hole = (front: string, diameter = "8.5") =>
  featureOf("hole", "hole", "top", { sizes: { diameter }, second: `front ${front}` });
const keyed = demoJobs().find((j) => j.id === "drum-shaft")!;
/** A block of other sizes with one feature, its lump 3 larger all round. */
const sized = (sizes: Record<"length" | "width" | "height", number>, ...features: Feature[]): Job =>
  block(
    ...Object.entries(sizes).flatMap(([axis, size]): [string, unknown][] => [
      [`part/sizes/${axis}`, dim(`${size} ±0.1`)],
      [`stock/measured/${axis}/p1`, read(size + 3)],
      [`stock/measured/${axis}/p2`, read(size + 2.8)],
    ]),
    ["part/features", featureList(features)],
  );
/** Three holes across the block. */
const row = featureOf("hole", "hole", "top", {
  sizes: { diameter: "8.5", pitchSecond: "17.3" },
  numbers: { countFirst: 1, countSecond: 3 },
  second: "front 12.7",
  choices: { pattern: "grid", towardSecond: "back" },
});
const tall = (height: number): Job =>
  sized(
    { length: 80, width: 60, height },
    featureOf("hole", "hole", "top", { sizes: { diameter: "8.5", depth: "20" } }),
  );
const bar = (length: number): Job =>
  sized(
    { length, width: 40, height: 20 },
    featureOf("hole", "hole", "top", { sizes: { diameter: "8.5" }, first: "left 20" }),
  );
const plate = (diameter: string): Job => sized({ length: 80, width: 60, height: 10 }, hole("30", diameter));
const owning = (...cutters: Cutter[]): Shop => ({ ...demoShop, cutters: [...cutters, ...demoShop.cutters] });
const eight = newCutter({
  id: "em-8-2",
  name: "8 end mill, 2 flutes",
  kind: "endMill",
  material: "coatedCarbide",
  diameter: 8,
  teeth: 2,
  fluteLength: 20,
  stickout: 26,
  centerCutting: true,
});
const noFinder: Shop = {
  ...demoShop,
  instruments: demoShop.instruments.filter((i) => i.kind !== "edgeFinder"),
};
const slope = featureOf("slope", "nose", "top", {
  sizes: { width: "12" },
  numbers: { angle: 30 },
  choices: { side: "right" },
});
const step = featureOf("step", "step", "top", {
  sizes: { width: "18", depth: "14" },
  choices: { side: "left" },
});

/** What is to be checked once more when a face is cut again after the features of the cheek block's top. */
const cheek = demoJobs().find((j) => j.id === "cheek-block")!;
let walkedToEight: ReturnType<typeof walk> | undefined;
function faceCutAgain(op: "top/face" | "bottom/face"): string[] {
  const { records } = (walkedToEight ??= walk(cheek, { until: (step) => step.setup === 8 }));
  const more = appended(records, { type: "cut", op, pass: 9, stop: -2, last: false });
  return [...phraseIds(plan({ job: cheek, records: more, shop: demoShop, piece: 1 }).rechecks)];
}

/** Two slots across each other, the second so far from the front, with cutters of carbide alone. */
const crossing = (second: string): string[] =>
  idsOf(
    part([
      slot({ width: "9", depth: "6" }),
      featureOf("slot", "short", "top", {
        sizes: { width: "9", depth: "6", length: "22" },
        first: "left 40",
        second,
        choices: { end: "closed" },
      }),
    ]),
    {
      ...demoShop,
      cutters: [eight, ...demoShop.cutters.filter((c) => c.kind !== "endMill")],
    },
  );

/** Each mistake as it is made, what says so, and the case beside it that must stay silent. */
const caught: [id: string, what: string, slip: () => string[], says: string, near: () => string[]][] = [
  [
    "M09",
    "parallels too thick to lie anywhere clear of a row of holes that come out",
    () =>
      idsOf(
        part(
          [row],
          { at: "hole/spot", what: "fixed", value: "front" },
          { at: "hole/spot", what: "parallels", value: "parallels-16" },
        ),
      ),
    "holding.tooThick",
    () =>
      idsOf(
        part(
          [row],
          { at: "hole/spot", what: "fixed", value: "front" },
          { at: "hole/spot", what: "parallels", value: "parallels-8" },
        ),
      ),
  ],
  [
    "M19",
    "carbide over a gap that was cut before",
    () => crossing("front 26"),
    "M19.interrupted",
    () => crossing("front 12"),
  ],
  [
    "M39",
    "a face cut again after features that count from it",
    () => faceCutAgain("top/face"),
    "M39.feature",
    () => faceCutAgain("bottom/face"),
  ],
  [
    "setup.turned",
    "a part turned half round from its drawing, for the edge it counts from",
    () =>
      idsOf(
        part([
          featureOf("hole", "hole", "top", {
            sizes: { diameter: "8.5" },
            first: "right 20",
            second: "front 20",
          }),
        ]),
      ),
    "setup.turned",
    () =>
      idsOf(
        part([
          featureOf("hole", "hole", "top", {
            sizes: { diameter: "8.5" },
            first: "right 20",
            second: "back 20",
          }),
        ]),
      ),
  ],
  [
    "M20",
    "a part too tall for a drill that is owned: the room is the reason, not the drill",
    () => idsOf(tall(300)),
    "M43.daylight",
    () => idsOf(tall(60)),
  ],
  [
    "M42",
    "a hole near the end of a bar that hangs far out of the jaws",
    () => idsOf(bar(400)),
    "M42.free",
    () => idsOf(bar(150)),
  ],
  [
    "M48",
    "a wide drill through a thin plate that is barely held",
    () => idsOf(plate("12")),
    "M48.grab",
    () => idsOf(plate("8.5")),
  ],
  [
    "M20",
    "a slot deeper than the flutes of all cutters that go in",
    () => idsOf(part([slot({ width: "7", depth: "16" })])),
    "M20.flute",
    () => idsOf(part([slot({ width: "7", depth: "12" })])),
  ],
  [
    "M20",
    "a drill that is not owned",
    () => idsOf(part([hole("20", "7.6")])),
    "M20.none",
    () => idsOf(part([hole("20", "8.5")])),
  ],
  [
    "M28",
    "a cutter of the slot's width, where its run-out still fits",
    () =>
      idsOf(
        part([slot({ width: "8 +0.2/0", depth: "6" }, {})], {
          at: "slot/way",
          what: "way",
          value: "a cutter of the slot's width",
        }),
        owning(eight),
      ),
    "M28.width",
    () =>
      idsOf(
        part([slot({ width: "8 +0.2/0", depth: "6" }, {})], {
          at: "slot/way",
          what: "way",
          value: "under width, each wall by itself",
        }),
        owning(eight),
      ),
  ],
  [
    "M30",
    "the step cut first, though the hole counts from the edge it takes away",
    () =>
      idsOf(
        part(
          [
            step,
            featureOf("slot", "slot", "front", {
              sizes: { width: "6", depth: "5", length: "20" },
              first: "left 40",
              second: "top 8",
              choices: { end: "closed" },
            }),
            featureOf("slope", "slope", "front", {
              sizes: { width: "8", depth: "36" },
              choices: { side: "left" },
            }),
          ],
          {
            at: "route",
            what: "first",
            value: "slope",
          },
        ),
      ),
    "M30.order",
    () =>
      idsOf(
        part(
          [
            step,
            featureOf("slot", "slot", "front", {
              sizes: { width: "6", depth: "5", length: "20" },
              first: "right 40",
              second: "top 8",
              choices: { end: "closed" },
            }),
          ],
          {
            at: "route",
            what: "first",
            value: "step",
          },
        ),
      ),
  ],
  [
    "M33",
    "a slope with the head tilted: the step of the knee is not the depth",
    () => idsOf(part([slope], { at: "nose/way", what: "way", value: "stairs, then the head tilted" })),
    "M33.tilt",
    () => idsOf(part([slope], { at: "nose/way", what: "way", value: "stairs, then filed" })),
  ],
];

describe("mistakes of features", () => {
  test.each(caught)("%s %s", (_id, _what, slip, says, near) => {
    expect(slip()).toContain(says);
    expect(near()).not.toContain(says);
  });

  test("M28 a keyseat is not cut by a cutter of its width: the class does not bear the run-out", () => {
    const made = planOf(keyed, owning(eight)).features!;
    const names = [made.routes[0]!.way, ...made.routes[0]!.others.map((o) => o.name)];
    expect(names.join()).not.toContain("slot's width");
    const loose = planOf(part([slot({ width: "8 +0.2/0", depth: "6" })]), owning(eight)).features!;
    expect([loose.routes[0]!.way, ...loose.routes[0]!.others.map((o) => o.name)].join()).toContain(
      "slot's width",
    );
  });

  test.each([
    ["with cutter and paper", noFinder, (tool: number) => tool / 2 + 0.05],
    ["with a finder, nothing between", demoShop, (tool: number) => tool / 2],
  ])("M23 %s: half of what touches and the paper, with the sign of the side", (_what, shop, off) => {
    const job = part([
      slot(
        { width: "8", depth: "6", length: "30" },
        { first: "left 40", second: "front 20", choices: { end: "closed" } },
      ),
    ]);
    const { pickups } = firstZeros(planOf(job, shop));
    expect(pickups.map((p) => p.axis)).toEqual(["x", "y"]);
    for (const p of pickups) {
      expect(p.off).toBeCloseTo(off(p.tool), 6);
      expect(p.settings[0]).toBeCloseTo(p.side === "minus" ? -p.off : p.off, 6);
    }
    // Z is touched through paper whatever X and Y were touched with.
    expect(planOf(job, shop).steps.find((s) => s.pickup?.axis === "z")!.pickup!.settings).toEqual([0.05]);
  });

  test.each([
    ["paper", 0.03, "paper"],
    ["sides", 0.01 / Math.SQRT2, "finder"],
    ["indicator", 0.005, "indicator"],
    ["finder", 0.01, "finder"],
  ] as const)(
    "zero picked up by %s as the person wants it, with the error that goes with it",
    (value, error, way) => {
      const closed = slot(
        { width: "8", depth: "6", length: "30" },
        { first: "left 40", second: "front 20", choices: { end: "closed" } },
      );
      const made = planOf(part([closed], { at: "slot/rough", what: "pickup", value }));
      const { setups, overrides } = made;
      const [x] = firstZeros(made).pickups;
      expect(overrides.map((o) => o.state)).toEqual(["applied"]);
      expect(x!.way).toBe(way);
      expect(x!.error).toBeCloseTo(Math.hypot(error, 0.0025), 3);
      // Whichever way, the place of the first move counts from the same edge.
      const rough = featureSetupsOf(setups)[0]!.operations.find((o) => o.key === "slot/rough")!;
      const first = featureMoves(rough, firstZeros(made).frame)![0]!;
      const off = rough.diameter / 2 + 0.25;
      expect([25 + off, 55 - off]).toContain(Math.abs(first.to.x!));
    },
  );

  test("an own seat in which something can no longer be cut is not taken, and says why; one that holds is", () => {
    const stem = featureOf("tShape", "stem", "top", { sizes: { stem: "18", depth: "14" } });
    const wish = (value: string) => planOf(part([stem], { at: "stem/low-rough", what: "parallels", value }));
    const low = wish("parallels-8");
    expect(low.overrides.map((o) => o.state)).toEqual(["impossible"]);
    expect(low.features!.refused).toEqual([]);
    const high = wish("parallels-22");
    expect(high.overrides.map((o) => o.state)).toEqual(["applied"]);
    expect(featureSetupsOf(high.setups)[0]!.seat.parallels!.id).toBe("parallels-22");
  });

  test("what was set of features is told even while they are not planned", () => {
    const job = block(
      ["part/features", featureList([hole("20")])],
      [
        "overrides/byId",
        {
          a: {
            id: "a",
            at: "hole/drill",
            what: "cutter",
            value: "drill-9",
            reason: "",
            since: "2026-11-26T08:00:00Z",
          },
        },
      ],
      ["overrides/order", ["a"]],
      [
        "stock/measured/width",
        { p1: { value: 58, written: { text: "58", unit: "mm" } }, p2: null, p3: null, p4: null },
      ],
    );
    for (const asked of [job, block(["part/features", featureList([hole("20")])])]) {
      const made = planOf(asked);
      expect(made.overrides.map((o) => o.override.id)).toEqual(asked.overrides.order);
    }
    expect(planOf(job).overrides[0]!.state).not.toBe("applied");
  });

  test("M24 after every touch the cutter first goes to its place, and only then down", () => {
    for (const job of demoJobs()) {
      const steps = planOf(job).steps.filter((s) => s.pickup || s.move);
      steps.forEach((s, i) => {
        const next = steps[i + 1];
        if (s.pickup && next?.move) expect(next.move.move.kind).toBe("go");
        if (s.pickup)
          expect([...phraseIds(s.notes)].some((id) => id.startsWith("M24") || id === "M23.crown")).toBe(true);
      });
    }
  });

  test("M25 every place counts from the one zero: none is off by more than half a step of its axis", () => {
    const job = demoJobs().find((j) => j.id === "wear-strip")!;
    const targets = planOf(job).steps.flatMap((s) => s.move?.targets ?? []);
    expect(targets.length).toBeGreaterThan(10);
    for (const { settled } of targets) expect(Math.abs(settled.residue)).toBeLessThanOrEqual(0.0127 + 1e-9);
  });

  test("M26 knee and quill are one depth, but not with a tilted head", () => {
    expect(combinedZ(10, 5, 0)).toEqual({ ok: true, value: 15 });
    expect([...phraseIds(combinedZ(10, 5, 10))]).toContain("M26.tilted");
    expect(idsOf(part([slot({ width: "8", depth: "6" })]))).toContain("M26.one");
  });

  test("M33 with the head tilted the knee goes further than the cut is deep", () => {
    const made = planOf(
      part([slope], { at: "nose/way", what: "way", value: "stairs, then the head tilted" }),
    );
    const tilted = featureSetupsOf(made.setups)[0]!.operations.find((o) => o.key === "nose/slope")!;
    const down = featureMoves(tilted, firstZeros(made).frame)!.find((m) => m.kind === "down")!;
    expect(down.to.z).toBeCloseTo(-tilted.floor / Math.cos(Math.PI / 6), 6);
  });

  test("M33 with the head tilted nothing is told by figures, and the head is upright when the part comes out", () => {
    const way = { at: "nose/way", what: "way", value: "stairs, then the head tilted" };
    const { steps } = planOf(part([slope], way));
    const tilted = steps.filter((s) => s.op === "nose/slope");
    expect(tilted.flatMap((s) => [...(s.move ? [s.id] : []), ...(s.pickup ? [s.id] : [])])).toEqual([]);
    expect(tilted.map((s) => s.id)).toContain("by-eye");
    const out = steps.findLast((s) => s.kind === "takeOut")!;
    expect(out.ticks.map((t) => t.id)).toContain("upright");
  });

  test("M33 a head that was tilted is set upright again, and every zero is picked up anew", () => {
    const way = { at: "nose/way", what: "way", value: "stairs, then the head tilted" };
    const lead = featureOf("chamfer", "lead", "top", { sizes: { leg: "1.5" }, choices: { edge: "left" } });
    const cut = { at: "lead/way", what: "way", value: "with a chamfer cutter" };
    const { steps } = planOf(part([slope, lead], way, cut));
    const after = steps.filter((s) => s.op === "lead/chamfer");
    expect(after.flatMap((s) => s.ticks.map((t) => t.id))).toContain("upright");
    expect(after.flatMap((s) => (s.pickup ? [s.pickup.axis] : []))).toEqual(["x", "y", "z"]);
    // Without a tilt nothing is set upright, and the zero of the setup holds.
    const plain = planOf(part([slope, lead], { ...way, value: "stairs, then filed" }, cut)).steps;
    expect(plain.flatMap((s) => s.ticks.map((t) => t.id))).not.toContain("upright");
    expect(plain.filter((s) => s.op === "lead/chamfer" && s.pickup).map((s) => s.pickup!.axis)).toEqual([
      "z",
    ]);
  });

  test("M27 closed ends stop the axis half a cutter before them, not past; open ends run clear", () => {
    const stopsOf = (feature: Feature) => {
      const made = planOf(part([feature]));
      const rough = featureSetupsOf(made.setups)[0]!.operations.find((o) => o.key === "slot/rough")!;
      return {
        rough,
        feeds: featureMoves(rough, firstZeros(made).frame)!.filter((m) => m.kind === "feed"),
      };
    };
    const closed = stopsOf(
      slot(
        { width: "8", depth: "6", length: "30" },
        { first: "left 40", second: "front 20", choices: { end: "closed" } },
      ),
    );
    expect(closed.feeds.every((m) => m.notPast)).toBe(true);
    const xs = closed.feeds.map((m) => Math.abs(m.to.x!));
    // The slot runs from 25 to 55 from its datum edge; roughing leaves 0.25 at its ends.
    expect(Math.max(...xs)).toBeCloseTo(55 - closed.rough.diameter / 2 - 0.25, 6);
    const open = stopsOf(slot({ width: "9", depth: "6" }));
    expect(open.feeds.some((m) => m.notPast)).toBe(false);
  });
});
