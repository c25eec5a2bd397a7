import { beforeAll, describe, expect, test } from "vitest";
import type { Job } from "../core/job/index.ts";
import { plan, rehearse } from "../core/plan/index.ts";
import { openSolids, type SolidKit } from "../core/rehearse/index.ts";
import { boredTo } from "../core/recipes/bore.ts";
import { type Cutter, demoShop, newCutter, type Shop } from "../core/shop/index.ts";
import { onDial } from "../core/steps/index.ts";
import { phraseText } from "../core/working/index.ts";
import { jobOf } from "./parts/described.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { featureOf } from "./support/cheek-block.ts";
import { walk } from "./support/walker.ts";

/** A boring head that goes into the widest drill of the demo shop. */
const head = (given: Partial<Cutter> = {}): Cutter =>
  newCutter({
    id: "head",
    name: "80 boring head",
    kind: "boringHead",
    material: "hss",
    diameter: 11,
    teeth: 1,
    fluteLength: 60,
    stickout: 70,
    shank: 12,
    opens: 80,
    dialDivision: 0.02,
    ...given,
  });
const shopWith = (given?: Partial<Cutter>): Shop => ({
  ...demoShop,
  cutters: [...demoShop.cutters, head(given)],
});
const bored = (diameter: string): Job =>
  jobOf({
    name: "Bored plate",
    material: "aluminum-6061",
    block: ["80", "60", "20"],
    features: [
      {
        ...featureOf("hole", "b", "top", { sizes: { diameter }, first: "left 40", second: "front 30" }),
        form: "bored",
      },
    ],
  });

describe("a hole is bored pass by pass", () => {
  test.each([
    [11.8, 26.01],
    [20, 22],
    [11.8, 12.5],
    [15, 80],
  ])("from %f to %f: never more than the bar takes, and little at last", (from, to) => {
    const sizes = [from, ...boredTo(from, to)];
    const steps = sizes.slice(1).map((d, i) => (d - sizes[i]!) / 2);
    expect(sizes.at(-1)).toBe(to);
    expect(Math.max(...steps)).toBeLessThanOrEqual(0.75 + 1e-6);
    expect(steps.at(-1)).toBeCloseTo(0.1, 6);
    expect(Math.min(...steps.slice(0, -1))).toBeGreaterThan(0);
  });

  test.each([
    ["diameter", 0.02, 10, 0.2],
    ["radius", 0.02, 5, 0.2],
    ["radius", 0.01, 10, 0.2],
  ] as const)(
    "on the %s, a division of %f: 0.2 is %i divisions",
    (dialOn, dialDivision, divisions, opens) => {
      const dial = onDial({ dialOn, dialDivision }, { from: 25.8, to: 26 })!;
      expect(dial.divisions).toBe(divisions);
      expect(dial.opens).toBeCloseTo(opens, 9);
    },
  );

  test("the last opening follows what was read before it", () => {
    const off = 0.05;
    const job = bored("26 H7");
    const { plan: made } = walk(job, { off: (s) => (s.measure?.final ? 0 : off) }, shopWith());
    const last = made.steps.find((s) => s.op === "b/bore" && s.move?.head)!;
    const near = made.steps.find((s) => s.measure?.of === "b/diameter" && !s.measure.final)!;
    expect(last.move!.head!.from).toBeCloseTo(near.measure!.expected + off, 2);
    expect(last.move!.head!.to).toBeCloseTo(26.0105, 3);
  });

  test("read too small at the end, the head is opened once more by what is left; too large, never", () => {
    const again = (off: number) =>
      walk(bored("26 H7"), { off: (s) => (s.measure?.final ? off : 0) }, shopWith()).done.filter((s) =>
        s.id.startsWith("again-1-"),
      );
    const small = again(-0.04);
    expect(small.find((s) => s.move?.head)!.move!.head!.from).toBeCloseTo(26.0105 - 0.04, 3);
    expect(again(0.04)).toEqual([]);
  });

  test.each([
    ["a bar too thick for the drilled hole", { diameter: 20 }, "M49.enters"],
    ["a head that does not open so far", { opens: 20 }, "M49.opens"],
  ] as const)("%s is refused with its reason", (_what, given, id) => {
    const made = plan({ job: bored("26 H7"), records: [], shop: shopWith(given), piece: 1 });
    const [refused] = made.features!.refused;
    expect(phraseText(refused!.reason, "mm")).toMatch(/80 boring head/);
    expect([...phraseIds(refused!.reason)]).toContain(id);
  });

  test("an end mill opens it further where one is owned: fewer passes", () => {
    const mill = newCutter({
      id: "em-20",
      name: "20 end mill",
      kind: "endMill",
      material: "hss",
      diameter: 20,
      teeth: 4,
      fluteLength: 38,
      shank: 20,
      centerCutting: true,
    });
    const passes = (shop: Shop) =>
      plan({ job: bored("26 H7"), records: [], shop, piece: 1 })
        .setups.flatMap((s) => s.operations.map((o) => o.key as string))
        .filter((key) => key.startsWith("b/bore")).length;
    const more = shopWith();
    expect(passes({ ...more, cutters: [...more.cutters, mill] })).toBeLessThan(passes(more) - 3);
  });
});

test.each([
  [{ dialOn: "diameter", dialDivision: 0.02 }, false],
  [{ dialOn: "radius", dialDivision: 0.02 }, true],
  [{ dialDivision: null }, false],
] as const)("a dial too coarse for the limits is told: %o", (given, told) => {
  const made = plan({ job: bored("26 H7"), records: [], shop: shopWith(given), piece: 1 });
  const ids = made.steps.flatMap((s) => s.notes.flatMap((n) => [...phraseIds(n.phrase)]));
  expect(ids.includes("M49.coarse")).toBe(told);
});

describe("told to the letter", () => {
  let kit: SolidKit;
  beforeAll(async () => {
    kit = await openSolids();
  });
  test.each([
    ["diameter", 0.02],
    ["radius", 0.01],
  ] as const)("a dial on the %s: nothing found, and the hole is good", (dialOn, dialDivision) => {
    const walked = rehearse({ job: bored("26 H7"), shop: shopWith({ dialOn, dialDivision }), kit, seed: 3 });
    expect(walked.findings).toEqual([]);
    expect(walked.finished).toBe(true);
    expect(walked.truths.find((t) => t.of === "b/diameter")).toMatchObject({ good: true });
  });
});
