import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactNode } from "react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { noOwnValues } from "../../core/handbook/index.ts";
import type { Job } from "../../core/job/index.ts";
import { usualTimes, type WorkingTimes } from "../../core/plan/index.ts";
import { type Bar, demoShop } from "../../core/shop/index.ts";
import type { Equipment } from "../../store/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { plannerWithoutWorker } from "../../tests/support/planner-worker.ts";
import type { ShopIntent } from "../shop/shop-intent.ts";
import { system } from "../theme/system.ts";
import type { AheadIntent } from "./ahead-intent.ts";
import { Days } from "./days.tsx";
import { Sawing } from "./sawing.tsx";

plannerWithoutWorker();
const jobs = demoJobs();
const dogs = jobs.find((job) => job.id === "track-dogs")!;
const strip = jobs.find((job) => job.id === "wear-strip")!;
const owned = (rack: Bar[] = demoShop.bars): Equipment => ({
  shop: { ...demoShop, bars: [] },
  rack,
  standIns: [],
  own: noOwnValues,
});
const text = () => document.body.textContent;

/** A page with what it asks of the routes it sends to. */
function open(page: ReactNode, kept = true) {
  const sent: (ShopIntent | AheadIntent)[] = [];
  const action = async ({ request }: { request: Request }) => {
    sent.push((await request.json()) as ShopIntent | AheadIntent);
    return { ok: true, kept };
  };
  const Stub = createRoutesStub([
    { path: "/", Component: () => page },
    { path: "/shop/:list", Component: () => null, action },
    { path: "/ahead/:view", Component: () => null, action },
  ]);
  render(
    <ChakraProvider value={system}>
      <Stub initialEntries={["/"]} />
    </ChakraProvider>,
  );
  return sent;
}

beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal(
    "ResizeObserver",
    class {
      observe() {}
      disconnect() {}
      unobserve() {}
    },
  );
});
afterEach(cleanup);

describe("sawing", () => {
  test("ticked jobs are nested into the rack, and all of it is reserved together", async () => {
    const sent = open(<Sawing jobs={[dogs, strip]} equipment={owned()} />);
    fireEvent.click(await screen.findByLabelText("Track dogs, 6"));
    await waitFor(() => expect(text()).toMatch(/6 × 47\.45 mm Track dogs/));
    expect(text()).toMatch(/Left: 345\.70 mm/);
    expect(text()).toMatch(/No way opens less/);
    fireEvent.click(screen.getByRole("button", { name: "Reserve all of it" }));
    await waitFor(() =>
      expect(sent).toMatchObject([
        {
          intent: "saveAll",
          list: "bars",
          pairs: [{ from: { id: "flat-35-28" }, to: { claims: [{ count: 6 }] } }],
        },
      ]),
    );
  });

  test("a job that no bar serves says what is lacking; one with its blank is not ticked", async () => {
    open(<Sawing jobs={[dogs]} equipment={owned(demoShop.bars.filter((bar) => bar.section === "round"))} />);
    const tick = await screen.findByLabelText<HTMLInputElement>("Track dogs, 6");
    expect(tick.checked).toBe(false);
    await screen.findByText(/Tick the jobs that need a blank/);
    fireEvent.click(tick);
    await waitFor(() => expect(text()).toMatch(/The nearest is Round 40, drawn, too small across by/));
  });

  test("what is sawn off each bar first is read with its unit; what cannot be is said and stays", async () => {
    open(<Sawing jobs={[dogs]} equipment={owned()} />);
    fireEvent.click(await screen.findByLabelText("Track dogs, 6"));
    await waitFor(() => expect(text()).toMatch(/Left: 345\.70 mm/));
    const trim = screen.getByLabelText("Sawn off the end of each bar first");
    fireEvent.change(trim, { target: { value: "1 in" } });
    await waitFor(() => expect(text()).toMatch(/Left: 318\.70 mm/));
    fireEvent.change(trim, { target: { value: "900" } });
    await waitFor(() => expect(text()).toMatch(/It is 0 to 200\.00 mm/));
    expect((trim as HTMLInputElement).value).toBe("900");
  });

  test.each([
    ["no jobs", [], demoShop.bars, /There is no job on the bench/],
    ["no bars", [dogs], [], /The rack is empty/],
  ] as [string, Job[], Bar[], RegExp][])("%s: says what to do", async (_what, some, rack, says) => {
    open(<Sawing jobs={some} equipment={owned(rack)} />);
    await waitFor(() => expect(text()).toMatch(says));
  });

  test("what is reserved already leads to its job", async () => {
    const claims = [{ id: "c", jobId: dogs.id, jobName: "Track dogs", each: 47.45, kerf: 1.6, count: 6 }];
    open(<Sawing jobs={[dogs]} equipment={owned([{ ...demoShop.bars[0]!, claims }])} />);
    const table = await screen.findByRole("region", { name: "Reserved already" });
    expect(within(table).getByRole("link", { name: "Track dogs" }).getAttribute("href")).toBe(
      "/jobs/track-dogs/stock/bar",
    );
    // Nothing of it is wanted any more.
    expect(screen.queryByLabelText(/Track dogs, \d/)).toBeNull();
  });
});

describe("days", () => {
  const page = (times: WorkingTimes = usualTimes, some: Job[] = [dogs, strip], kept = true) =>
    open(<Days jobs={some.map((job) => ({ job, records: [] }))} equipment={owned()} times={times} />, kept);

  test("jobs are laid over their machines, and each says when it is done", async () => {
    page();
    await waitFor(() => expect(text()).toMatch(/All of it is done on/), { timeout: 8000 });
    const table = screen.getByRole("region", { name: "Day by day" });
    expect(within(table).getAllByRole("link", { name: "Track dogs" }).length).toBeGreaterThan(0);
    expect(within(table).getAllByText("Bench mill, dials only").length).toBeGreaterThan(0);
    fireEvent.click(screen.getByLabelText("Track dogs"));
    await waitFor(
      () =>
        expect(
          within(screen.getByRole("region", { name: "Day by day" })).queryByText("Track dogs"),
        ).toBeNull(),
      { timeout: 8000 },
    );
  });

  test("a day that is due is kept against what stood there; one that was changed elsewhere is said", async () => {
    const sent = page(usualTimes, [strip], false);
    const due = await screen.findByLabelText("Wear strip: due");
    fireEvent.change(due, { target: { value: "2026-12-24" } });
    fireEvent.blur(due);
    await waitFor(() =>
      expect(sent).toEqual([
        { intent: "date", jobId: "wear-strip", path: "due", from: "", to: "2026-12-24" },
      ]),
    );
    await waitFor(() => expect(text()).toMatch(/changed in another tab meanwhile/));
  });

  test("hours and people are kept once they can be; what cannot is said and stays", async () => {
    const sent = page(usualTimes, [strip]);
    const people = await screen.findByLabelText("People");
    fireEvent.change(people, { target: { value: "1.5" } });
    fireEvent.blur(people);
    expect(text()).toMatch(/People are a whole number from 1 to 50/);
    expect((people as HTMLInputElement).value).toBe("1.5");
    fireEvent.change(people, { target: { value: "2" } });
    fireEvent.blur(people);
    await waitFor(() => expect(sent).toMatchObject([{ intent: "times", times: { people: 2 } }]));
    fireEvent.click(screen.getByLabelText("Sat"));
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ times: { days: [true, true, true, true, true, true, false] } }),
    );
  });

  test("where no day is worked nothing is planned, and it is said", async () => {
    page({ ...usualTimes, days: usualTimes.days.map(() => false) }, [strip]);
    await waitFor(() => expect(text()).toMatch(/No day of the week is worked: tick one/));
  });
});
