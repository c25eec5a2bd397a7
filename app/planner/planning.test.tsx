import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import { changeOf } from "../../core/job/index.ts";
import { type Plan, plan, type PlanInputs } from "../../core/plan/index.ts";
import { addJob, Database } from "../../store/index.ts";
import { cheekBlock, dim } from "../../tests/support/cheek-block.ts";
import { JobSession } from "../session/job-session.ts";
import { answersNews, plansBy } from "./only-news.ts";
import { Planning, type Shown } from "./planning.ts";

const length = "part/sizes/length";
let session: JobSession;
let n = 0;

beforeEach(async () => {
  localStorage.clear();
  const db = new Database(`planning-${n++}`);
  await addJob(db, cheekBlock(), [], "2026-11-25T09:00:00.000Z");
  session = (await JobSession.open(db, "cheek-block"))!;
});

/** A planner that answers at once, or when it is let where it was stopped; and what was shown. */
function watched(patience?: number) {
  const asked: PlanInputs[] = [];
  let gate = Promise.resolve();
  let letOn = () => {};
  const stop = () => (gate = new Promise((resolve) => (letOn = resolve)));
  const planning = new Planning(
    session,
    1,
    async (inputs) => {
      asked.push(inputs);
      await gate;
      return plan(inputs);
    },
    patience,
  );
  const shown: (Shown | null)[] = [];
  planning.subscribe(() => {
    if (planning.shown() !== shown.at(-1)) shown.push(planning.shown());
  });
  const settled = () => vi.waitFor(() => expect(planning.working()).toBe(false), { timeout: 5000 });
  return { planning, asked, shown, settled, stop, letOn: () => letOn() };
}
const lengths = (shown: readonly (Shown | null)[]) =>
  shown.map((s) => [s?.state.typed.part.sizes.length?.nominal, s?.plan.target?.length]);

test("a size that is typed and then kept is planned once and shown once, with its plan", async () => {
  const { asked, shown, settled } = watched();
  await settled();
  session.preview(length, { value: dim("95") });
  await settled();
  const before = shown.length;
  const { typed } = shown.at(-1)!.state;
  await session.commit({
    intent: "change",
    changes: [changeOf(session.state.job, length, dim("95"))],
    reason: "",
  });
  await settled();
  expect(asked.map((i) => i.job.part.sizes.length?.nominal)).toEqual([96, 95]);
  expect(lengths(shown.slice(0, before))).toEqual([
    [96, 96],
    [95, 95],
  ]);
  // What is shown after it was kept is the same decision and the same plan: only the time it was saved is new.
  expect(
    shown.slice(before).every((s) => s!.state.typed === typed && s!.plan === shown[before - 1]!.plan),
  ).toBe(true);
});

test("the planner has one thing to do at a time, and what was overtaken is never shown", async () => {
  const { asked, shown, settled, stop, letOn } = watched(60_000);
  await settled();
  void stop();
  for (const size of ["95", "94", "93", "92"]) session.preview(length, { value: dim(size) });
  letOn();
  await settled();
  expect(asked.map((i) => i.job.part.sizes.length?.nominal)).toEqual([96, 95, 92]);
  expect(lengths(shown)).toEqual([
    [96, 96],
    [92, 92],
  ]);
});

test("decisions whose plan takes long are shown before it, and the plan says that it is being worked", async () => {
  const { planning, shown, settled, stop, letOn } = watched(20);
  await settled();
  void stop();
  session.preview(length, { value: dim("95") });
  expect(planning.working()).toBe(true);
  await vi.waitFor(() => expect(lengths(shown).at(-1)).toEqual([95, 96]));
  letOn();
  await settled();
  expect(lengths(shown)).toEqual([
    [96, 96],
    [95, 96],
    [95, 95],
  ]);
});

test("a planner that fails says so, keeps the plan before, and goes on with the next change", async () => {
  let fail = false;
  const planning = new Planning(session, 1, (inputs) =>
    fail ? Promise.reject(new Error("broken")) : Promise.resolve(plan(inputs)),
  );
  planning.subscribe(() => undefined);
  await vi.waitFor(() => expect(planning.shown()).not.toBeNull());
  fail = true;
  session.preview(length, { value: dim("95") });
  await vi.waitFor(() => expect([planning.working(), planning.failed()]).toEqual([false, "Error: broken"]));
  expect(planning.shown()!.plan.target?.length).toBe(96);
  fail = false;
  session.preview(length, { value: dim("94") });
  await vi.waitFor(() => expect(planning.shown()!.plan.target?.length).toBe(94));
  expect(planning.failed()).toBeNull();
});

test("to the worker and back goes only what is new, and what did not change stays the same thing", async () => {
  const sent: object[] = [];
  const answer = answersNews(plan);
  const ask = plansBy((news) => {
    sent.push(Object.keys(news));
    return Promise.resolve(structuredClone(answer(structuredClone(news))));
  });
  const { typed: job, records, equipment } = session.state;
  const inputs: PlanInputs = { job, records, shop: equipment.shop, own: equipment.own, piece: 1 };
  const first: Plan = await ask(inputs);
  const named = { ...job, name: "Another" };
  const second = await ask({ ...inputs, job: named });
  expect(sent).toEqual([
    ["piece", "job", "records", "shop", "own"],
    ["piece", "job"],
  ]);
  expect(second.setups).toBe(first.setups);
  expect(await ask({ ...inputs, job: named })).toEqual(plan({ ...inputs, job: named }));
});
