import { describe, expect, test } from "vitest";
import type { Job } from "../job/index.ts";
import { newMate } from "../part/index.ts";
import { demoShop } from "../shop/index.ts";
import type { Record } from "../steps/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { walk } from "../../tests/support/walker.ts";
import { jobAhead, ownTimesOf, paceOf, sawMachine, timeAtMachine } from "./job-ahead.ts";
import { plan } from "./make-plan.ts";

const ahead = (job: Job, records: Record[] = [], more: Parameters<typeof jobAhead>[4] = {}) =>
  jobAhead(job, records, demoShop, demoShop.bars, more);

describe("what is left of a job", () => {
  test.each(demoJobs().map((job) => [job.name, job] as const))(
    "%s: setup by setup, all its minutes",
    (_name, job) => {
      const made = plan({ job, records: [], shop: demoShop, piece: 1 });
      const of = ahead({ ...job, quantity: 1 });
      expect(of.left).toBeCloseTo(made.minutes.total, 6);
      expect(of.stretches.map((s) => s.name)).toEqual(
        [...new Set(made.setups.map((s) => s.clamping))].map((c) => `setup ${c}`),
      );
      expect(new Set(of.stretches.map((s) => s.machine))).toEqual(new Set([job.machine]));
    },
  );

  test("seven pieces take seven times as long, and a slower pace longer", () => {
    const one = ahead(cheekBlock()).left;
    expect(ahead({ ...cheekBlock(), quantity: 7 }).left).toBeCloseTo(7 * one, 6);
    expect(ahead(cheekBlock(), [], { pace: 1.5 }).left).toBeCloseTo(1.5 * one, 6);
  });

  test("what is done is left no more, and a scrapped piece asks for nothing", () => {
    const { records } = walk(cheekBlock(), { until: (s) => s.setup === 4 });
    const half = ahead(cheekBlock(), records);
    expect(half.left).toBeLessThan(ahead(cheekBlock()).left);
    expect(half.stretches[0]!.name).toBe("setup 4");
    const last = records.at(-1)!;
    const gone: Record = {
      seq: last.seq + 1,
      id: "x.1",
      follows: last.id,
      at: last.at,
      by: "",
      piece: 1,
      type: "scrapped",
      reason: "dropped",
    };
    expect(ahead(cheekBlock(), [...records, gone]).left).toBe(0);
  });

  test("blanks that are reserved are sawn first, at the saw", () => {
    const job = cheekBlock();
    const claims = [{ id: "c", jobId: job.id, jobName: "", each: 99, kerf: 2, count: 2 }];
    const rack = [{ ...demoShop.bars[0]!, claims }];
    expect(jobAhead(job, [], demoShop, rack).stretches[0]).toMatchObject({
      name: "saw",
      machine: sawMachine("band-saw"),
      minutes: 4,
    });
  });

  test("it waits for a job whose size it is made to, until that was measured", () => {
    const job = cheekBlock();
    const linked = (measured: boolean, mate: (typeof job.part.sizes)["length"]): Job => ({
      ...job,
      part: {
        ...job.part,
        mates: { byId: { m: newMate("m", { job: "other", measured, mate }) }, order: ["m"] },
      },
    });
    expect(ahead(linked(true, null)).after).toEqual(["other"]);
    expect(ahead(linked(true, job.part.sizes.length)).after).toEqual([]);
    expect(ahead(linked(false, null)).after).toEqual([]);
  });

  test("one that cannot be planned says so", () => {
    const job = cheekBlock();
    expect(ahead(job).blocked).toBe(false);
    expect(ahead({ ...job, part: { ...job.part, material: null } }).blocked).toBe(true);
  });
});

/** So many minutes after eight on the first of December. */
const clockAt = (minutes: number): string => {
  const two = (n: number) => String(n).padStart(2, "0");
  const hour = 8 + Math.floor(minutes / 60);
  return `2026-12-${two(1 + Math.floor(hour / 24))}T${two(hour % 24)}:${two(Math.floor(minutes % 60))}:00.000Z`;
};

describe("a person's own pace", () => {
  const timed = (records: readonly Record[], each: number): Record[] => {
    return records.map((r, i) => ({ ...r, at: clockAt(i * each) }));
  };

  test("is what finished pieces took over what was planned; rehearsals and unfinished ones tell nothing", () => {
    const job = cheekBlock();
    const { records, plan: made } = walk(job, { light: 0.01 });
    const times = ownTimesOf(job, timed(records, 1), demoShop)!;
    expect(times.planned).toBeCloseTo(made.minutes.total, 6);
    expect(paceOf([times])).toBeCloseTo(times.taken / times.planned, 9);
    expect(ownTimesOf(job, records, demoShop)).toBeNull();
    expect(ownTimesOf(job, timed(records.slice(0, 40), 1), demoShop)).toBeNull();
  });

  test.each([
    ["nobody finished one", [], 1],
    ["twice as slow", [{ taken: 200, planned: 100 }], 2],
    [
      "two together",
      [
        { taken: 100, planned: 100 },
        { taken: 200, planned: 100 },
      ],
      1.5,
    ],
    ["a job that lay for days", [{ taken: 9000, planned: 100 }], 5],
    ["one typed afterwards", [{ taken: 1, planned: 100 }], 0.2],
  ])("%s", (_what, times, pace) => {
    expect(paceOf(times)).toBeCloseTo(pace, 9);
  });

  test("pauses over a quarter of an hour are no work", () => {
    const record = (minutes: number, seq: number): Record => ({
      seq,
      id: `t.${seq}`,
      follows: null,
      at: clockAt(minutes),
      by: "",
      piece: 1,
      type: "tick",
      op: "top/face",
      tick: "x",
    });
    expect(timeAtMachine([record(0, 1), record(10, 2), record(50, 3), record(55, 4)])).toMatchObject({
      active: 15,
    });
    expect(timeAtMachine([])).toBeNull();
  });
});
