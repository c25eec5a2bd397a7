import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { calendarFile } from "../exchange/index.ts";
import {
  calendarOf,
  type JobAhead,
  minutesUntil,
  partsByDay,
  planningDays,
  usualTimes,
  type WorkingTimes,
} from "./day-plan.ts";

const start = "2026-12-01"; // a Tuesday
const planned = (jobs: readonly JobAhead[], times: WorkingTimes = usualTimes) => {
  const work = planningDays(jobs, start, times);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
};
const job = (id: string, minutes: number[], more: Partial<JobAhead> = {}, machine = "knee"): JobAhead => ({
  id,
  name: id,
  due: "",
  ready: "",
  stretches: minutes.map((m, i) => ({ machine, name: `setup ${i + 1}`, minutes: m })),
  ...more,
});

const anyJobs = fc
  .array(
    fc.record({
      stretches: fc.array(
        fc.record({
          machine: fc.constantFrom("a", "b", "c", "d"),
          minutes: fc.integer({ min: 0, max: 300 }),
        }),
        { minLength: 1, maxLength: 6 },
      ),
      due: fc.constantFrom("", "2026-12-01", "2026-12-04", "2026-12-20"),
      ready: fc.constantFrom("", "2026-11-20", "2026-12-03"),
    }),
    { maxLength: 12 },
  )
  .map((jobs) =>
    jobs.map((j, i): JobAhead => ({
      id: `j${i}`,
      name: `job ${i}`,
      due: j.due,
      ready: j.ready,
      stretches: j.stretches.map((s, n) => ({ ...s, name: `setup ${n + 1}` })),
    })),
  );

describe("a plan of days", () => {
  test("every minute is planned once; machines and people do one thing at a time; a job goes in its order, not before its day", () => {
    fc.assert(
      fc.property(anyJobs, fc.integer({ min: 1, max: 3 }), (jobs, people) => {
        const made = planned(jobs, { ...usualTimes, people });
        const total = (of: readonly { minutes: number }[]) => of.reduce((sum, s) => sum + s.minutes, 0);
        expect(total(made.stretches)).toBeCloseTo(total(jobs.flatMap((j) => j.stretches)), 6);
        const edges = made.stretches.flatMap((s) => [s.from, s.to]);
        for (const at of edges.map((e) => e + 1e-4)) {
          const busy = made.stretches.filter((s) => s.from < at && s.to > at);
          expect(busy.length).toBeLessThanOrEqual(people);
          expect(new Set(busy.map((s) => s.machine)).size).toBe(busy.length);
          expect(new Set(busy.map((s) => s.jobId)).size).toBe(busy.length);
        }
        for (const { id, ready } of jobs) {
          const mine = made.stretches.filter((s) => s.jobId === id);
          const begins = ready > start ? minutesUntil(ready, start, usualTimes, false) : 0;
          for (const s of mine) expect(s.from).toBeGreaterThanOrEqual(begins - 1e-6);
        }
        expect(made.ends).toBeGreaterThanOrEqual(made.bound - 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test("what is due first is done first, and what cannot be in time is said", () => {
    const made = planned([job("later", [300, 300]), job("due", [200], { due: "2026-12-01" })]);
    expect(made.stretches[0]!.jobId).toBe("due");
    expect(made.jobs.find((j) => j.id === "due")!.late).toBe(0);
    const late = planned([job("due", [400], { due: "2026-12-01" })]);
    expect(late.jobs[0]!.late).toBe(40);
    expect(planned([job("past", [10], { due: "2026-11-20" })]).jobs[0]!.late).toBe(10);
  });

  test("two people work at two machines at once, one does not", () => {
    const jobs = [job("a", [300], {}, "knee"), job("b", [300], {}, "bench")];
    expect(planned(jobs, { ...usualTimes, people: 2 }).ends).toBe(300);
    expect(planned(jobs).ends).toBe(600);
  });

  test("what is made to another waits for it; two that wait for one another are begun all the same", () => {
    const jobs = [job("lid", [50], { after: ["box"], due: "2026-12-01" }), job("box", [300], {}, "bench")];
    const made = planned(jobs, { ...usualTimes, people: 2 });
    expect(made.jobs.find((j) => j.id === "lid")!.ends).toBe(350);
    const ring = [
      job("a", [10], { after: ["b"] }),
      job("b", [10], { after: ["a"] }),
      job("c", [5], { after: ["gone"] }),
    ];
    expect(planned(ring).ends).toBe(25);
  });

  test("setups that follow without a gap are one stretch", () => {
    expect(planned([job("a", [10, 20, 30])]).stretches).toMatchObject([
      { name: "setups 1 to 3", minutes: 60 },
    ]);
  });
});

describe("the calendar", () => {
  const times = { ...usualTimes, off: ["2026-12-03"] };
  test.each([
    [0, false, "2026-12-01", 480],
    [360, false, "2026-12-02", 480],
    [360, true, "2026-12-01", 840],
    [720, false, "2026-12-04", 480],
    [1080, false, "2026-12-07", 480],
  ])("minute %s (end: %s) is on %s", (minute, end, day, at) => {
    expect(calendarOf(minute, start, times, end)).toEqual({ day, minute: at });
  });

  test("no day is found where none is worked", () => {
    expect(calendarOf(1, start, { ...usualTimes, days: usualTimes.days.map(() => false) })).toBeNull();
  });

  test("a stretch over two days has two parts, and is two events", () => {
    const stretch = { machine: "knee", jobId: "a", name: "setup 1", minutes: 400, from: 0, to: 400 };
    expect(partsByDay(stretch, start, times)).toEqual([
      { day: "2026-12-01", from: 480, to: 840 },
      { day: "2026-12-02", from: 480, to: 520 },
    ]);
    const text = calendarFile(
      { stretches: [stretch] },
      start,
      times,
      { machine: () => "Knee mill; old", job: () => "Dogs, six" },
      "2026-12-01T00:00:00.000Z",
    );
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    expect(text).toMatch(/DTSTART:20261201T080000\r?\n/);
    expect(text).toMatch(/DTEND:20261202T084000\r?\n/);
    expect(text).toMatch(/SUMMARY:Dogs\\, six: setup 1/);
    expect(text).toMatch(/LOCATION:Knee mill\\; old/);
    expect(text.startsWith("BEGIN:VCALENDAR")).toBe(true);
  });
});
