import { describe, expect, test } from "vitest";
import { checkItem, checkLasts, demoShop, shopLists } from "../../shop/index.ts";
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
  ["check-stretch", { first: "0.02", second: "0.04", third: "" }, { stretch: 0.03 }],
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
