import { describe, expect, test } from "vitest";
import { placing } from "../../part/index.ts";
import { checkItem, checkLasts, demoShop, shopLists, squareError, stretchOf } from "../../shop/index.ts";
import { phraseText } from "../../working/index.ts";
import { biasSlope } from "../../route/index.ts";
import {
  type CheckedItem,
  checksOf,
  type Entered,
  type Keeps,
  sumById,
  sums,
  withCheck,
  workSum,
} from "../index.ts";

const keeping = sums.flatMap((sum) => (sum.keeps ? [{ id: sum.id, sum, keeps: sum.keeps }] : []));

const enteredOf = (id: string, texts: Record<string, string> = {}): Entered => {
  const { fields } = workSum(sumById(id)!, (key) => texts[key] ?? null, "mm");
  const of = (key: string) => fields.find((f) => f.key === key)!.value;
  return { n: (key) => Number(of(key)), c: (key) => String(of(key)) };
};
const itemFor = (keeps: Keeps) => (demoShop[keeps.list] as CheckedItem[]).find((i) => keeps.fits(i))!;
const kept = (id: string, texts: Record<string, string> = {}) => {
  const { keeps } = sumById(id)!;
  const record = { on: "2026-11-30", texts, unit: "mm" as const };
  return withCheck(itemFor(keeps!), id, keeps!, enteredOf(id, texts), record);
};

describe.each(keeping)("$id", ({ id, keeps }) => {
  test("what it finds is kept with a thing of the shop, with its date, and the thing can still be", () => {
    const made = kept(id);
    expect(shopLists[keeps.list].safeParse(made).success).toBe(true);
    expect(checkItem(keeps.list, made).filter((f) => f.severity === "stop")).toEqual([]);
    expect(made.checks![id]).toMatchObject({ on: "2026-11-30", found: keeps.found(enteredOf(id)) });
  });
  test("it goes stale, and stands with its list", () => {
    expect(keeps.lasts).toBe(checkLasts[id as keyof typeof checkLasts]);
    expect(checksOf(keeps.list).map((s) => s.id)).toContain(id);
  });
});

test("every check that goes stale is one", () => {
  expect(Object.keys(checkLasts).sort()).toEqual(keeping.map((k) => k.id).sort());
});

test.each<[string, Record<string, string>, object]>([
  [
    "check-tram",
    { left: "0", right: "0.04", front: "0.01", back: "0", sweep: "180" },
    { tramAlong: 0.04, tramAcross: -0.01, tramSweep: 180 },
  ],
  ["check-jaw-line", { left: "0.01", right: "0.03", apart: "80" }, { jawLine: 0.025 }],
  ["check-jaw-upright", { bottom: "0", top: "-0.02", height: "40" }, { jawSquareness: -0.025 }],
  [
    "check-bed",
    { left: "0", right: "0.02", along: "100", front: "0.01", back: "0", across: "50" },
    { bedAlong: 0.02, bedAcross: -0.02 },
  ],
  [
    "check-stretch",
    { first: "0.02", second: "0.04", third: "", mounting: "clamps" },
    { stretch: 0.03, mounting: "clamps", stretchBy: { clamps: 0.03 } },
  ],
  [
    "check-jaw-profile",
    { p1: "0", p2: "0.01", p3: "0.02", p4: "0.03", p5: "0.04", jaw: "80", part: "40" },
    { jawLine: 0.05 },
  ],
  ["check-jaw-lift", { first: "0.02", second: "0.04", third: "", above: "15" }, { jawLift: 0.02 }],
  ["check-pull", { pull: "200", gives: "0.02" }, { ownSpring: 10 }],
  ["check-run-out", { near: "0.01", far: "0.03" }, { runOut: 0.03 }],
  ["check-width", { slot: "9.97", runOut: "0.02" }, { measured: 9.95, runOut: 0.02 }],
  ["check-parallels", { aLeft: "22.01", aRight: "22", bLeft: "22", bRight: "22.004" }, { unlike: 0.01 }],
  [
    "check-instrument",
    { block: "25", first: "25.01", second: "25.02", third: "" },
    { error: 0.015, lastCheck: "2026-11-30" },
  ],
])("%s replaces the guess", (id, texts, sets) => {
  expect(kept(id, texts)).toMatchObject(sets);
});

test("the slack of one axis leaves the others as they were", () => {
  const machine = kept("check-slack", { axis: "y", first: "0.2", second: "", third: "" });
  const before = itemFor(sumById("check-slack")!.keeps!) as (typeof demoShop.machines)[number];
  expect(machine).toMatchObject({
    axes: { x: before.axes.x, y: { ...before.axes.y, backlash: 0.2 }, z: before.axes.z },
  });
});

test("what the jaw gives hangs on how the vise is held: where another way was tried it is not known", () => {
  const vise = kept("check-stretch", { first: "0.03", second: "", third: "", mounting: "bolts" });
  const { stretch, stretchBy } = vise as (typeof demoShop.vises)[number];
  expect(stretchOf({ stretch, stretchBy, mounting: "bolts" })).toBe(0.03);
  expect(stretchOf({ stretch, stretchBy, mounting: "side" })).toBeNull();
  expect(stretchOf({ stretch: 0.02, stretchBy: {}, mounting: "side" })).toBe(0.02);
});

const said = (id: string, texts: Record<string, string>) => {
  const { answer } = workSum(sumById(id)!, (key) => texts[key] ?? null, "mm");
  return answer ? answer.warnings.map((w) => w.phrase.id) : ["refused"];
};

test.each([
  [
    "a hollow jaw: the middle is as true as any",
    { p1: "0", p2: "-0.01", p3: "-0.015", p4: "-0.01", p5: "0" },
    "jaw.middle",
  ],
  ["worn at its right", { p1: "0", p2: "0", p3: "0", p4: "0.03", p5: "0.09" }, "jaw.aside"],
  ["a part longer than what was read", { part: "200" }, "refused"],
])("the profile of the jaw tells the seat: %s", (_what, texts, says) => {
  expect(said("check-jaw-profile", { jaw: "120", part: "60", ...texts })).toEqual([says]);
});

test.each([
  [{ fixedLeft: "0", fixedRight: "0", movingLeft: "0.01", movingRight: "0.01" }, []],
  [{ fixedLeft: "0", fixedRight: "0", movingLeft: "0.03", movingRight: "0.01" }, ["jaw.tops"]],
])("the tops of the jaws as a seat: %j", (texts, warned) => {
  expect(said("check-jaw-tops", texts)).toEqual(warned);
});

test.each([
  [{ spots: "12", side: "25.4", where: "all" }, "a slide of a machine"],
  [{ spots: "12", side: "50.8", where: "all" }, "nothing that has to lie flat"],
  [{ spots: "30", side: "25.4", where: "ends" }, "It is hollow"],
])("blue on the plate says how well it bears: %j", (texts, words) => {
  const { answer } = workSum(sumById("blue")!, (key) => (texts as Record<string, string>)[key] ?? null, "mm");
  expect(answer!.warnings.map((w) => phraseText(w.phrase, "mm")).join()).toContain(words);
});

test("a square turned round, and a readout tried on a block, count in what is expected", () => {
  const square = kept("reversal", { first: "0.02", second: "-0.02", height: "80" });
  const error = squareError({ instruments: [square as (typeof demoShop.instruments)[number]] });
  expect(error).toBeCloseTo(0.025, 6);
  expect(biasSlope("square", demoShop.machines[0]!, demoShop.vises[0]!, error)).toEqual({
    slope: 0.00025,
    own: true,
  });
  const [plain] = demoShop.machines;
  const tried = kept("check-readout", { axis: "x", block: "50", shows: "50.01" }) as typeof plain;
  expect(placing(tried!, 150) - placing(plain!, 150)).toBeCloseTo(0.03, 6);
});

test("a plan reckons with what was found: it is the shop's own, no guess", () => {
  const vise = kept("check-jaw-line", {
    left: "0",
    right: "0.05",
    apart: "100",
  }) as (typeof demoShop.vises)[number];
  const machine = demoShop.machines[0]!;
  expect(biasSlope("jawLine", machine, vise)).toEqual({ slope: 0.0005, own: true });
  expect(biasSlope("jawLine", machine, demoShop.vises[0]!).own).toBe(false);
});
