import { beforeAll, describe, expect, test } from "vitest";
import { equipment, type Job } from "../core/job/index.ts";
import { breaksIn, comparingMachines, type MachineComparison, plan, rehearse } from "../core/plan/index.ts";
import { splitAt } from "../core/plan/machine-split.ts";
import { openSolids, type SolidKit } from "../core/rehearse/index.ts";
import { keyOfSetup } from "../core/route/index.ts";
import { demoShop, type Shop } from "../core/shop/index.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { walk } from "./support/walker.ts";

const jobs = demoJobs();
const planned = (job: Job, records = [] as Parameters<typeof plan>[0]["records"]) =>
  plan({ job, records, shop: demoShop, piece: 1 });
const keysOf = ({ setups }: ReturnType<typeof plan>) => setups.map(keyOfSetup);

describe.each(jobs.map((job) => [job.name, job] as const))(
  "%s goes on with on another machine",
  (_n, job) => {
    const whole = planned(job);
    const here = equipment(job, demoShop).machine!.id;
    const others = demoShop.machines.map((m) => m.id).filter((id) => id !== here);
    const cases = breaksIn(whole).flatMap((setup) => others.map((then) => ({ setup, then })));

    test.runIf(cases.length > 0)(
      "what comes before stays, what comes after is there, nothing is lost",
      () => {
        for (const { setup, then } of cases) {
          const made = planned(splitAt(job, keyOfSetup(setup), then));
          const at = whole.setups.indexOf(setup);
          expect(keysOf(made).slice(0, at)).toEqual(keysOf(whole).slice(0, at));
          expect(made.setups.slice(0, at).every((s) => s.machine === here)).toBe(true);
          const after = made.setups.slice(at);
          expect(after.every((s) => s.machine === then)).toBe(true);
          expect(made.setups.flatMap((s) => (s.carried ? [s.number] : []))).toEqual(
            after.length > 0 ? [at + 1] : [],
          );
          expect(made.setups.map((s) => s.number)).toEqual(made.setups.map((_, i) => i + 1));
          const operations = made.setups.flatMap((s) => s.operations.map((o) => o.key));
          expect(new Set(operations).size).toBe(operations.length);
          if (made.refusal) continue;
          const cut = made.setups.flatMap((s) => ("features" in s ? s.features : []));
          const refused = made.features?.refused.map((r) => r.feature) ?? [];
          expect([...new Set([...cut, ...refused])].sort()).toEqual([...job.part.features.order].sort());
          expect(made.overrides.find((o) => o.override.what === "machine")?.state).toBe("applied");
        }
      },
    );
  },
);

const [cheek] = jobs as [Job];
const asCompared = (job: Job, shop: Shop): MachineComparison => {
  const work = comparingMachines(job, shop);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
};
const otherThan = (job: Job) =>
  demoShop.machines.find((m) => m.id !== job.machine && m.kind === "vertical")!.id;

describe("walked over two machines", () => {
  let kit: SolidKit;
  beforeAll(async () => {
    kit = await openSolids();
  });
  const breaks = breaksIn(planned(cheek));

  test.each([Math.floor(breaks.length / 2), breaks.length - 1])("from break %i: nothing found", (i) => {
    const job = splitAt(cheek, keyOfSetup(breaks[i]!), otherThan(cheek));
    const walked = rehearse({ job, shop: demoShop, kit, seed: 4 });
    expect(walked.findings).toEqual([]);
    expect(walked.finished).toBe(true);
  });

  test("what is carried is ticked before the part is placed, and the cutter goes in anew", () => {
    const job = splitAt(cheek, keyOfSetup(breaks[1]!), otherThan(cheek));
    const made = planned(job);
    const { number } = made.setups.find((s) => s.carried)!;
    const place = made.steps.find((s) => s.setup === number && s.kind === "place")!;
    expect(place.ticks.map((t) => t.id).slice(0, 3)).toEqual(["carried", "vise-along", "read-before"]);
    const fits = made.steps.filter((s) => s.setup === number && s.turns);
    expect(fits.length).toBeGreaterThan(0);
    expect(made.steps.filter((s) => s.ticks.some((t) => t.id === "carried"))).toHaveLength(1);
  });

  test("a machine wanted where it is that one already changes nothing of what comes after", () => {
    const early = splitAt(cheek, keyOfSetup(breaks[0]!), cheek.machine);
    const both: Job = {
      ...splitAt(cheek, keyOfSetup(breaks.at(-1)!), otherThan(cheek)),
    };
    both.overrides = {
      byId: { ...both.overrides.byId, early: { ...early.overrides.byId.split!, id: "early" } },
      order: ["early", ...both.overrides.order],
    };
    const made = planned(both);
    const at = made.setups.findIndex((s) => s.carried);
    expect(made.setups[at]!.number).toBe(breaks.at(-1)!.number);
    expect(made.setups.slice(at).every((s) => s.machine === otherThan(cheek))).toBe(true);
    expect(made.overrides.map((o) => o.state)).toEqual(["applied", "applied"]);
  });

  test("what was begun on one machine stays on it, whatever is chosen after", () => {
    const begun = walk(cheek, { until: (s) => s.setup === 3 && s.kind === "touch" });
    const third = keyOfSetup(begun.plan.setups[2]!);
    const made = planned(splitAt(cheek, third, otherThan(cheek)), begun.records);
    expect(made.setups.every((s) => s.machine === cheek.machine)).toBe(true);
    expect(made.overrides.find((o) => o.override.what === "machine")?.state).toBe("impossible");
    const moved = planned({ ...cheek, machine: otherThan(cheek) }, begun.records);
    expect(moved.setups.slice(0, 3).every((s) => s.machine === cheek.machine)).toBe(true);
    expect(moved.setups[3]!.carried).toBe(true);
  });
});

describe("two machines compared with one", () => {
  test("what is offered does more, or is quicker by more than a minute, and is planned as it says", () => {
    for (const job of jobs.slice(0, 4)) {
      const { machines, splits } = asCompared(job, demoShop);
      const best = Math.min(...machines.map((m) => m.minutes ?? Infinity));
      for (const split of splits) {
        const made = planned(splitAt({ ...job, machine: split.first }, split.from, split.then));
        expect(made.minutes.total).toBeCloseTo(split.minutes, 6);
        expect(made.features?.refused.length ?? 0).toBe(split.refused);
        if (split.refused === 0 && Number.isFinite(best)) expect(split.minutes).toBeLessThan(best);
      }
    }
  });

  test("blocks are squared where there is power, and drilled where there is a quill", () => {
    // The knee mill turns with the motor of a toy; the horizontal one takes no drill.
    const machines = demoShop.machines
      .filter((m) => m.kind === "horizontal" || m.id === cheek.machine)
      .map((m) => (m.kind === "horizontal" ? m : { ...m, motorPower: 0.06 }));
    const { machines: alone, splits } = asCompared(cheek, { ...demoShop, machines });
    const [split] = splits;
    expect(split).toMatchObject({ first: "horizontal", then: cheek.machine, refused: 0 });
    expect(alone.find((m) => m.id === "horizontal")!.minutes).toBeNull();
    expect(split!.minutes).toBeLessThan(alone.find((m) => m.id === cheek.machine)!.minutes!);
  });
});
