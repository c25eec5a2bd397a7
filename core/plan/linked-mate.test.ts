import { describe, expect, test } from "vitest";
import { drawnSite, featuresOf, holeMiddles, newMate } from "../part/index.ts";
import { demoShop } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { appended } from "../steps/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { dim } from "../../tests/support/cheek-block.ts";
import { readingEvent } from "../../tests/support/reading-event.ts";
import type { Job } from "../job/index.ts";
import { judgedBy } from "./judged-reading.ts";
import { carriedHole, holesToCarry, linkedInCircle, linkedSize, takenOver } from "./linked-mate.ts";
import { walk } from "../../tests/support/walker.ts";
import { comparingMachines } from "./machine-comparison.ts";
import { plan } from "./make-plan.ts";

const [cheek, pawl] = demoJobs() as [Job, Job];
const by = judgedBy(cheek, demoShop);

describe("a size of a linked job", () => {
  test("is what was drawn, and what was read last of each piece", () => {
    const records = appended(
      [],
      readingEvent("length", 96.02, "caliper"),
      readingEvent("length", 96.04, "caliper"),
    );
    const found = linkedSize("sizes/length", cheek, records, by);
    expect(found.drawn).toMatchObject({ nominal: 96 });
    expect(found.read).toHaveLength(1);
    expect(found.read[0]!.value).toBeCloseTo(96.03, 2);
    expect(linkedSize("sizes/length", cheek, [], by).read).toEqual([]);
    expect(linkedSize("gone/width", cheek, [], by).drawn).toBeNull();
  });

  test("a scrapped piece is nothing to go by", () => {
    const records = appended([], readingEvent("length", 96.02, "caliper"), {
      type: "scrapped",
      reason: "dropped",
    });
    expect(linkedSize("sizes/length", cheek, records, by).read).toEqual([]);
  });

  test("taken over, it is measured with who and when, or drawn with neither", () => {
    const mate = newMate("m", { by: "x", on: "2026-01-01", measured: true });
    expect(takenOver(mate, dim("38"), null)).toMatchObject({ measured: false, by: "", on: "" });
    expect(takenOver(mate, dim("38"), { by: "Ada", on: "2026-12-01" })).toMatchObject({
      measured: true,
      by: "Ada",
    });
  });
});

describe("jobs that wait for one another", () => {
  const linked = (id: string, to: string | null, measured = true): Job => ({
    ...cheek,
    id,
    part: {
      ...cheek.part,
      mates:
        to === null
          ? { byId: {}, order: [] }
          : { byId: { m: newMate("m", { job: to, measured }) }, order: ["m"] },
    },
  });
  const circle = (...jobs: Job[]) => linkedInCircle(jobs[0]!, (id) => jobs.find((j) => j.id === id));
  test.each<[string, Job[], string[] | null]>([
    ["two of each other", [linked("a", "b"), linked("b", "a")], ["a", "b"]],
    ["three in a ring", [linked("a", "b"), linked("b", "c"), linked("c", "a")], ["a", "b", "c"]],
    ["a ring further on", [linked("a", "b"), linked("b", "c"), linked("c", "b")], null],
    ["a chain that ends", [linked("a", "b"), linked("b", null)], null],
    ["one that goes by the drawing", [linked("a", "b"), linked("b", "a", false)], null],
    ["one linked to a job that is gone", [linked("a", "gone")], null],
  ])("%s", (_what, jobs, expected) => {
    expect(circle(...jobs)).toEqual(expected);
  });
});

describe("holes drilled together", () => {
  const holes = holesToCarry(cheek, pawl);

  test("are carried in their places, as large, tapped, or with clearance for their screw", () => {
    expect(holes.length).toBeGreaterThan(0);
    for (const hole of holes) {
      const same = carriedHole(hole, "same", "new");
      if (!same) continue;
      expect(same).toMatchObject({ id: "new", form: "drilled", face: hole.face, first: hole.first });
      const site = drawnSite(cheek.part);
      expect(holeMiddles(same, [10, 10], site)).toEqual(holeMiddles(hole, [10, 10], site));
    }
    const tapped = { ...holes[0]!, form: "tapped" as const, screw: "M6" };
    expect(carriedHole(tapped, "clearance", "c")!.sizes.diameter!.nominal).toBeCloseTo(6.6, 9);
    expect(carriedHole({ ...tapped, screw: "" }, "tapping", "c")).toBeNull();
  });

  test("once carried they are not offered again", () => {
    const byId = Object.fromEntries(holes.map((h) => [h.id, h]));
    const into = { ...pawl, part: { ...pawl.part, features: { byId, order: Object.keys(byId) } } };
    expect(holesToCarry(cheek, into)).toEqual([]);
  });
});

test("machines: one plan each, the chosen one as it is planned, what cannot be done with its reason", () => {
  const work = comparingMachines(cheek, demoShop);
  const seen: number[] = [];
  for (;;) {
    const step = work.next();
    if (!step.done) {
      seen.push(step.value.done);
      continue;
    }
    expect(seen.slice(0, 3)).toEqual([0, 1, 2]);
    expect(step.value.machines.map((m) => m.id).sort()).toEqual(demoShop.machines.map((m) => m.id).sort());
    const chosen = step.value.machines.find((m) => m.chosen)!;
    expect(chosen.id).toBe(cheek.machine);
    for (const m of step.value.machines) expect(m.minutes === null).toBe(m.cannot.length > 0);
    expect(chosen.cutters.length).toBeGreaterThan(2);
    // Every feature is told on every machine, with its minutes or as one that cannot be done there.
    for (const m of step.value.machines) {
      const told = m.of.map((o) => o.key);
      for (const { id } of featuresOf(cheek.part)) expect(told).toContain(id);
      expect(m.of.some((o) => o.minutes === null)).toBe(m.cannot.length > 0);
    }
    return;
  }
});

test("moved half-way, what was begun stays as it was told and the rest is planned on the other machine", () => {
  const walkedOn = walk(cheek, { until: (s) => s.setup === 3 });
  const moved = { ...cheek, machine: "horizontal" === cheek.machine ? "knee" : "bench" };
  const made = plan({ job: moved, records: walkedOn.records, shop: demoShop, piece: 1 });
  const before = walkedOn.plan.setups.slice(0, 2);
  expect(made.setups.slice(0, 2).map((s) => s.title)).toEqual(before.map((s) => s.title));
  expect(made.steps.filter((s) => s.setup < 3).every((s) => s.done)).toBe(true);
  // On the other machine nothing stands in the spindle: the cutter is put in, whatever was in the first one.
  const changes = [{ path: "machine", from: cheek.machine, to: moved.machine }];
  const records = appended(walkedOn.records, { type: "changed", changes, reason: "" });
  const there = plan({ job: moved, records, shop: demoShop, piece: 1 });
  const third = (of: typeof made) => of.steps.filter((s) => s.setup === 3 && s.kind === "check");
  expect(third(there)).toHaveLength(1);
  expect(phraseText(third(there)[0]!.title, "mm")).toMatch(/ in, /);
  const work = comparingMachines(moved, demoShop, undefined, { records: walkedOn.records, piece: 1 });
  for (;;) {
    const step = work.next();
    if (!step.done) continue;
    const first = before.map((s) => s.operations[0].key as string);
    for (const m of step.value.machines) for (const o of m.of) expect(first).not.toContain(o.key);
    return;
  }
});
