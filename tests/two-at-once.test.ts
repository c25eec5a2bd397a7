import { describe, expect, test } from "vitest";
import type { Job, Override } from "../core/job/index.ts";
import { piecesOf, plan, standingOf, twoAtOnce } from "../core/plan/index.ts";
import { keyOfSetup, type Setup } from "../core/route/index.ts";
import { demoShop, inUse } from "../core/shop/index.ts";
import {
  appended,
  eventsToFinish,
  foldRecords,
  partnerFor,
  type Record,
  recordsOf,
  togetherWith,
  withBeginnings,
} from "../core/steps/index.ts";
import { jobOf } from "./parts/described.ts";
import { toolroomParts } from "./parts/toolroom.ts";
import { demoJobs } from "./support/demo-jobs.ts";

const [vise] = inUse(demoShop).vises;
const batch = (job: Job): Job => ({ ...job, quantity: 4 });
const wanting = (job: Job, at: Override["at"], value: string): Job => ({
  ...job,
  overrides: {
    byId: {
      ...job.overrides.byId,
      two: { id: "two", at, what: "together", value, reason: "", since: "" } as Override,
    },
    order: [...job.overrides.order, "two"],
  },
});
const planned = (job: Job, records: Record[] = [], piece = 1) =>
  plan({ job, records, shop: demoShop, piece });
const setupAt = (setups: readonly Setup[], key: string) => setups.find((s) => keyOfSetup(s) === key)!;

const plates = toolroomParts
  .filter((part) => ["Drill jig plate", "Cam with a hollow"].includes(part.name))
  .map(jobOf);

const cases = [...demoJobs(), ...plates].flatMap((job) => {
  const made = planned(batch(job));
  return twoAtOnce(job, made.setups, vise!, demoShop).flatMap((two) =>
    two.may === "no"
      ? []
      : [{ what: `${job.name}, setup ${two.clamping}, ${two.how}`, job: batch(job), made, two }],
  );
});

test("there is something to hold two at once in every way", () => {
  expect([...new Set(cases.map((c) => c.two.how))].sort()).toEqual([
    "between the jaws",
    "end to end",
    "stacked",
  ]);
});

describe.each(cases.map((c) => [c.what, c] as const))("%s", (_what, { job, made, two }) => {
  const alone = setupAt(made.setups, two.key);
  const wanted = wanting(job, two.key, two.how);
  const both = planned(wanted);
  const setup = setupAt(both.setups, two.key);

  test("is planned for both, each piece in less time, and nothing else changes", () => {
    expect(both.overrides.find((o) => o.override.what === "together")?.state).toBe("applied");
    expect(setup.seat.together).toBe(two.how);
    expect(both.setups.map(keyOfSetup)).toEqual(made.setups.map(keyOfSetup));
    const sum = ({ minutes }: Setup) => minutes.cutting + minutes.handling;
    expect(sum(setup)).toBeLessThan(sum(alone));
    const spans = { "end to end": "along", "between the jaws": "between", stacked: "standing" } as const;
    expect(setup.seat[spans[two.how]]).toBeGreaterThanOrEqual(2 * alone.seat[spans[two.how]]);
    expect(both.steps.some((s) => s.setup === setup.number && s.ticks.some((t) => t.id === "beside"))).toBe(
      true,
    );
  });

  // One of each way is walked: all others differ in nothing that records know.
  const first = cases.find((c) => c.two.how === two.how)!.two === two;
  test.runIf(first)("what is done to one is done to both, and each is read by itself", () => {
    let records: Record[] = [];
    const keep = (piece: number, now: ReturnType<typeof planned>) => {
      const step = now.steps[now.current]!;
      const events = withBeginnings(eventsToFinish(step), now.setups, records, piece, piecesOf(job, records));
      const next = appended(records, ...events);
      records = next.map((r, i) => (i < records.length ? r : { ...r, piece }));
      return step;
    };
    // Both come to this setup by themselves.
    for (const piece of [1, 2])
      for (let i = 0; i < 600; i++) {
        const now = planned(wanted, records, piece);
        if (!now.steps[now.current] || now.steps[now.current]!.setup >= setup.number) break;
        keep(piece, now);
      }
    for (let i = 0; i < 400; i++) {
      const now = planned(wanted, records);
      if (now.steps[now.current]?.setup !== setup.number) break;
      keep(1, now);
    }
    expect(togetherWith(records, two.key, 1)).toBe(2);
    expect(togetherWith(records, two.key, 2)).toBe(1);
    const second = planned(wanted, records, 2);
    const left = second.steps.filter((s) => s.setup === setup.number && !s.done);
    // Only what is read or looked at is still to do on the other piece, and what comes after it.
    expect(
      left.every(
        (s) => s.measure !== null || s.kind === "cleanup" || s.kind === "takeOut" || s.kind === "hand",
      ),
    ).toBe(true);
    const own = recordsOf(records, 2).filter((r) => r.piece === 2 && "op" in r && r.op === two.key);
    expect(own).toEqual([]);
    expect(standingOf(second, records, 2).begun).toBe(true);
    // What is taken back is taken back for both.
    const cut = records.findLast(
      (r) => "op" in r && r.op === two.key && (r.type === "cut" || r.type === "tick"),
    )!;
    const back = appended(records, { type: "withdrawn", of: cut.id });
    expect(foldRecords(back, 2)).not.toEqual(foldRecords(records, 2));
  });
});

describe("the piece that goes in with another", () => {
  const setupOf = (key: string, stays = false) => ({ operations: [{ key }], stays }) as unknown as Setup;
  const here = setupOf("top/face");
  const next = (piece: number, records: Record[], before: Setup[] = []) =>
    partnerFor(here, piece, { pieces: [1, 2, 3], setups: [...before, here], records });
  const of = (piece: number, ...events: Parameters<typeof appended>[1][]) =>
    appended([], ...events).map((r) => ({ ...r, piece }));

  test("is the next that is neither scrapped nor begun there", () => {
    const begun = appended([], { type: "begun", op: "top/face", told: {} as never, with: 2 });
    expect(next(1, [])).toBe(2);
    expect(next(3, begun)).toBeNull();
    expect(next(1, of(2, { type: "scrapped", reason: "" }))).toBe(3);
  });

  test("came out of every setup before it; where none did, none goes in", () => {
    const before = [setupOf("front/face"), setupOf("back/face", true)];
    expect(next(1, [], before)).toBeNull();
    expect(next(1, of(3, { type: "tick", op: "front/face", tick: "out-part" }), before)).toBe(3);
  });

  test("is no other's once its beginning was taken back", () => {
    const begun = appended([], { type: "begun", op: "top/face", told: {} as never, with: 2 });
    expect(togetherWith(begun, "top/face", 2)).toBe(1);
    expect(togetherWith(appended(begun, { type: "withdrawn", of: begun[0]!.id }), "top/face", 2)).toBeNull();
  });
});
