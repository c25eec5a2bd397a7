import "fake-indexeddb/auto";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { ChakraProvider } from "@chakra-ui/react";
import { Profiler } from "react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { planner } from "../planner/planner.ts";
import Job, { clientAction, clientLoader, HydrateFallback, shouldRevalidate } from "./job.tsx";
import Drawing from "./drawing.tsx";
import Machine from "./machine.tsx";
import { useJob } from "../instruments/job-context.tsx";
import { system } from "../theme/system.ts";
import { addJob, database, loadJob } from "../../store/index.ts";
import { cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { plannerWithoutWorker } from "../../tests/support/planner-worker.ts";

/** The open job whole: the real store, the worker's own code behind a channel, the job's route, frame and stations. */
let id = "";
let n = 0;
const plans = vi.spyOn(planner, "plan");
let repaints = 0;
/** Every time anything within the station was painted. */
let commits = 0;

plannerWithoutWorker();

// Here the planner shares the thread with the store and the stations: it is given the time that a worker takes beside them.
vi.mock(import("../planner/planning.ts"), async (load) => {
  const { Planning } = await load();
  class Patient extends Planning {
    constructor(...[session, piece, ask]: ConstructorParameters<typeof Planning>) {
      super(session, piece, ask, 60_000);
    }
  }
  return { Planning: Patient };
});

beforeEach(async () => {
  localStorage.clear();
  id = `block-${n++}`;
  await addJob(database(), { ...cheekBlockWithFeatures(), id }, [], "2026-11-25T09:00:00.000Z");
});
afterEach(cleanup);

/** Shows what hangs on decisions, records and plan, as every part of a station does. */
function Probe() {
  const { plan, job, records } = useJob();
  repaints++;
  return (
    <output data-testid="probe">
      {job.part.sizes.length?.nominal} {plan.target?.length} {records.length} {plan.current}
    </output>
  );
}
const probe = () => screen.getByTestId("probe").textContent;

async function open(path: string, Station: () => React.ReactNode) {
  const station = (
    <Profiler id="station" onRender={() => void commits++}>
      <Station />
      <Probe />
    </Profiler>
  );
  const Counted = () => station;
  const Stub = createRoutesStub([
    {
      path: "/jobs/:jobId",
      Component: Job as never,
      HydrateFallback,
      loader: clientLoader as never,
      action: clientAction as never,
      shouldRevalidate,
      children: [{ path, Component: Counted }],
    },
  ]);
  render(
    <ChakraProvider value={system}>
      <Stub initialEntries={[`/jobs/${id}/${path.replace(/\/:.*/, "")}`]} />
    </ChakraProvider>,
  );
  await waitFor(() => expect(document.querySelector("main")?.getAttribute("aria-busy")).toBe("false"), {
    timeout: 8000,
  });
}
/** Nothing is asked for any more, and what would follow by itself has followed. */
async function allSettled() {
  for (let quiet = 0; quiet < 3;) {
    const before = [plans.mock.calls.length, commits];
    await new Promise((resolve) => setTimeout(resolve, 500));
    quiet = before[0] === plans.mock.calls.length && before[1] === commits ? quiet + 1 : 0;
  }
}

test("one size typed: one plan, one repaint of what hangs on it, kept", { timeout: 20_000 }, async () => {
  await open("drawing", Drawing);
  await allSettled();
  plans.mockClear();
  repaints = commits = 0;
  const field = screen.getByLabelText<HTMLInputElement>("Length");
  fireEvent.change(field, { target: { value: "95" } });
  await allSettled();
  expect((await loadJob(database(), id))!.job.part.sizes.length?.nominal).toBe(95);
  expect(probe()).toBe("95 95 0 0");
  expect([plans.mock.calls.length, repaints]).toEqual([1, 1]);
});

test("a size that the plan shows already is kept all the same on Enter", { timeout: 20_000 }, async () => {
  await open("drawing", Drawing);
  const field = screen.getByLabelText<HTMLInputElement>("Length");
  field.focus();
  fireEvent.change(field, { target: { value: "94" } });
  await waitFor(() => expect(probe()).toBe("94 94 0 0"), { timeout: 5000 });
  fireEvent.keyDown(field, { key: "Enter" });
  await allSettled();
  expect((await loadJob(database(), id))!.job.part.sizes.length?.nominal).toBe(94);
});

test("one tick at the machine: one plan, one repaint", { timeout: 20_000 }, async () => {
  await open("machine/:piece?/:operation?/:step?", Machine);
  await allSettled();
  plans.mockClear();
  repaints = commits = 0;
  fireEvent.click(await screen.findByRole("button", { name: /glasses on/ }));
  await allSettled();
  expect((await loadJob(database(), id))!.records.map((r) => r.type)).toEqual(["begun", "tick"]);
  expect(probe()).toBe("96 96 2 0");
  expect([plans.mock.calls.length, repaints]).toEqual([1, 1]);
});
