import "fake-indexeddb/auto";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { Job } from "../../../core/job/index.ts";
import { plan } from "../../../core/plan/index.ts";
import { demoShop } from "../../../core/shop/index.ts";
import type { RecordEvent, Step } from "../../../core/steps/index.ts";
import { appended } from "../../../core/steps/index.ts";
import { block, cheekBlock, featureList, featureOf } from "../../../tests/support/cheek-block.ts";
import { demoJobs } from "../../../tests/support/demo-jobs.ts";
import { jobStub } from "../../../tests/support/job-stub.tsx";
import { walk } from "../../../tests/support/walker.ts";
import { doubledWithin } from "../../instruments/deliberate-press.ts";
import type { JobIntent } from "../../session/intent.ts";
import { MachineStation } from "./machine-station.tsx";

/** The station at the machine, with a real plan behind it, from some step on. */
function openAt(job: Job, until: (step: Step) => boolean, more: RecordEvent[] = []) {
  const sent: RecordEvent[] = [];
  const records = appended(walk(job, { until }).records, ...more);
  const onIntent = (i: JobIntent) => void (i.intent === "append" && sent.push(...i.events));
  render(jobStub(<MachineStation />, { job, records, onIntent })(`/jobs/${job.id}/machine`));
  return sent;
}
const main = () => document.body.textContent;
const space = () => {
  fireEvent.keyDown(document.body, { key: " " });
  fireEvent.keyUp(document.body, { key: " " });
};
const press = (name: RegExp | string) => fireEvent.click(screen.getByRole("button", { name }));
const types = (sent: readonly RecordEvent[]) => sent.map((e) => (e.type === "tick" ? e.tick : e.type));
const at = (op: string, id: string) => (step: Step) => step.op === op && step.id === id;

/** The operation whose setup asks for an indicator along the shaft. */
const opIndicated = (job: Job) =>
  plan({ job, records: [], shop: demoShop, piece: 1 }).steps.find((s) =>
    s.ticks.some((t) => t.id === "indicated"),
  )!.op;

const slotJob = block([
  "part/features",
  featureList([
    featureOf("slot", "s", "top", { sizes: { width: "14", depth: "8" }, second: "center" }),
    featureOf("hole", "h", "top", { sizes: { diameter: "8" }, first: "left 15", second: "front 12" }),
  ]),
]);

beforeEach(() => localStorage.clear());
afterEach(cleanup);

describe("at a face", () => {
  test("the first press begins the setup and ticks, one tick a press", async () => {
    const sent = openAt(cheekBlock(), () => true);
    await screen.findByText(/Safety glasses/);
    space();
    await waitFor(() => expect(types(sent)[0]).toBe("begun"));
    expect(types(sent)).toHaveLength(2);
  });

  test("a pass shows its stop large, and what is locked is asked before it is cut", async () => {
    const sent = openAt(cheekBlock(), at("back/face", "cut-1"));
    const stop = await screen.findByTestId("stop");
    expect(stop.textContent).toMatch(/^−\d+\.\d{2}/);
    space();
    await waitFor(() => expect(types(sent)).toEqual(["locked-1"]));
    await waitFor(() => expect(main()).toMatch(/Cut done/));
  });

  test("where a face is raw is pressed, how deep is typed, and what one more pass takes is told", async () => {
    const sent = openAt(cheekBlock(), at("back/face", "clean"));
    fireEvent.click(await screen.findByRole("button", { name: "left front" }));
    const deep = screen.getByLabelText(/How deep it lies/);
    for (const [text, told] of [
      ["deep", /is not a/],
      ["0", /above 0/],
      ["0.4", /One more pass of 0\.50\s*mm goes past it; the size still gives/],
    ] as const) {
      fireEvent.change(deep, { target: { value: text } });
      await waitFor(() => expect(main()).toMatch(told));
      expect(screen.getByRole<HTMLButtonElement>("button", { name: /Clean to about/ }).disabled).toBe(
        text !== "0.4",
      );
    }
    press("Clean to about 89 %");
    await waitFor(() =>
      expect(sent).toMatchObject([
        { type: "cleanup", op: "back/face", clean: false, raw: [{ x: -1, y: -1 }], deep: 0.4 },
      ]),
    );
    await waitFor(() => expect(main()).toMatch(/Pass 3 of/));
  });

  test("before the last pass a light one can be asked for: it is told next, and a reading after it", async () => {
    const sent = openAt(cheekBlock(), at("front/face", "cut-3"));
    fireEvent.click(await screen.findByRole("button", { name: /light pass first/ }));
    await waitFor(() => expect(types(sent)).toEqual(["prove-3"]));
    await waitFor(() => expect(main()).toMatch(/A light pass first: read the size after it/));
    expect(screen.queryByRole("button", { name: /light pass first/ })).toBeNull();
  });

  test("a cut called done sooner than it can be is asked about once, and kept when it is said to be cut", async () => {
    const sent = openAt(cheekBlock(), at("back/face", "cut-1"), [
      { type: "tick", op: "back/face", tick: "locked-1" },
    ]);
    await screen.findByRole("button", { name: /Cut done/ });
    press(/Cut done/);
    expect((await screen.findByRole("alert")).textContent).toMatch(/at least [\d.]+\s*s.*really cut/);
    expect(sent).toEqual([]);
    press("Not yet");
    expect(screen.queryByText(/really cut/)).toBeNull();
    press(/Cut done/);
    press(/Yes, it is cut/);
    await waitFor(() => expect(types(sent)).toEqual(["cut"]));
  });

  test("a cut that took its time is kept at one press", async () => {
    const sent = openAt(cheekBlock(), at("back/face", "cut-1"), [
      { type: "tick", op: "back/face", tick: "locked-1" },
    ]);
    await screen.findByRole("button", { name: /Cut done/ });
    const later = performance.now() + 60_000;
    const clock = vi.spyOn(performance, "now").mockReturnValue(later);
    press(/Cut done/);
    await waitFor(() => expect(types(sent)).toEqual(["cut"]));
    clock.mockRestore();
  });

  test("a size is typed, then Enter once more is done measuring; nothing in between is lost", async () => {
    const measures = (s: Step) => s.measure !== null && !s.measure.final;
    const sent = openAt(cheekBlock(), measures);
    const field = await screen.findByLabelText<HTMLInputElement>(/, mm$/);
    const expected = /Should read now:\s*([\d.]+)/.exec(main())![1]!;
    fireEvent.change(field, { target: { value: expected } });
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() => expect(types(sent)).toEqual(["reading"]));
    fireEvent.keyDown(screen.getByLabelText(/, mm$/), { key: "Enter" });
    await waitFor(() => expect(types(sent)).toEqual(["reading", "measured"]));
  });

  test("measuring between passes may be left out, and says so in the record", async () => {
    const sent = openAt(cheekBlock(), (s) => s.measure !== null && !s.measure.required);
    await screen.findByLabelText(/, mm$/);
    press("Skip this reading");
    await waitFor(() => expect(sent).toMatchObject([{ type: "measured", skipped: true }]));
  });

  test("a reading that cannot be is asked about before it counts", async () => {
    const sent = openAt(cheekBlock(), (s) => s.measure !== null);
    const field = await screen.findByLabelText(/, mm$/);
    fireEvent.change(field, { target: { value: "6" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(screen.getByRole("alert").textContent).toMatch(/Please check/);
    expect(sent).toEqual([]);
    press("Read again");
    expect(screen.queryByRole("alert")).toBeNull();
  });

  test("what is wrong is said by its cause, and the zero is stale from then on", async () => {
    const sent = openAt(cheekBlock(), at("back/face", "cut-2"));
    await screen.findByTestId("stop");
    press("Something is wrong");
    press(/cutter/i);
    await waitFor(() => expect(sent).toMatchObject([{ type: "stale", cause: "cutter" }]));
    await waitFor(() => expect(main()).toMatch(/stale|anew|again/i));
  });

  test("sides cut in two clampings: the last pass goes by the dye", async () => {
    const school = { id: "s", at: "route", what: "school", value: "twoSetups", reason: "", since: "" };
    const job = block(["overrides/byId/s", school], ["overrides/order", ["s"]]);
    openAt(job, (s) => s.pass?.last === true && s.notes.some((n) => n.phrase.id === "match.dye"));
    await screen.findByTestId("stop");
    expect(main()).toMatch(/until the cutter marks the dye/);
    expect(main()).toMatch(/takes the dye off below/);
  });
});

test("where the dye is marked sooner one press says so, and no deeper pass is told", async () => {
  const school = { id: "s", at: "route", what: "school", value: "twoSetups", reason: "", since: "" };
  const job = block(["overrides/byId/s", school], ["overrides/order", ["s"]]);
  const sent = openAt(job, (s) => s.notes.some((n) => n.phrase.id === "match.sooner"));
  await screen.findByTestId("stop");
  expect(screen.queryByText("The dye is marked")).toBeNull();
  for (let ticks = 0; ticks < 4 && !screen.queryByText("The dye is marked"); ticks++) {
    const before = sent.length;
    space();
    await waitFor(() => expect(sent.length).toBeGreaterThan(before));
    await waitFor(() => expect(document.querySelector("main")?.getAttribute("aria-busy")).toBe("false"));
    // Sooner than this a second press counts as the first, doubled.
    await new Promise((resolve) => setTimeout(resolve, doubledWithin + 50));
  }
  press("The dye is marked");
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ type: "cut", last: true }));
  await waitFor(() => expect(main()).toMatch(/clean/));
});

describe("at a feature", () => {
  test("a zero says what is touched, and one press takes it", async () => {
    const sent = openAt(slotJob, (s) => s.pickup?.axis === "x");
    await screen.findByText(/Pick up/);
    press(/Zero is set/);
    await waitFor(() => expect(types(sent)).toEqual(["zero-x"]));
  });

  test("a move shows where each axis goes; a way without metal is one to be gone to", async () => {
    const sent = openAt(slotJob, (s) => s.move?.move.kind === "go");
    await screen.findByRole("button", { name: /I am there/ });
    expect(main()).toMatch(/X/);
    space();
    await waitFor(() => expect(types(sent).at(-1)).toMatch(/^move-1$/));
  });

  test("a collar that slipped in the middle makes the zero be taken anew before the next move", async () => {
    const until = (s: Step) => s.move?.move.number === 3;
    const op = walk(slotJob, { until }).plan.steps.find(until)!.op;
    openAt(slotJob, until, [{ type: "stale", op, cause: "knee" }]);
    await waitFor(() => expect(main()).toMatch(/Fit Edge finder/));
    expect(screen.queryByText(/I am there/)).toBeNull();
  });
});

test("when all is done the station leads to the Record", async () => {
  openAt(cheekBlock(), () => false);
  await screen.findByText("All steps are done");
  expect(screen.getByRole("link", { name: "To the record" }).getAttribute("href")).toMatch(/record\/1$/);
});

describe("in Brief", () => {
  beforeEach(() => localStorage.setItem("firm-arbor:telling", "brief"));

  test("one answer gives everything that leads to it, and the other answer as well", async () => {
    const given = async (name: RegExp) => {
      const sent = openAt(cheekBlock(), () => true);
      await screen.findByText(/Safety glasses/);
      expect(main()).toMatch(/also ticks the \d+ points above/);
      press(name);
      await waitFor(() => expect(sent.length).toBeGreaterThan(5));
      cleanup();
      return types(sent);
    };
    const [begun, ...right] = await given(/it turns clockwise/);
    expect(begun).toBe("begun");
    expect(right.slice(0, 2)).toEqual(["dressed", "in-reach"]);
    expect(right.slice(-2)).toEqual(["guard", "rotation"]);
    expect((await given(/turns the wrong way/)).at(-1)).toBe("wrong-way");
  });

  test("a cut shows the ways that lead to it and is one press; a reading gives what is deburred before it", async () => {
    const slot = openAt(slotJob, at("s/rough", "move-1"));
    await screen.findAllByTestId("lead");
    expect((await screen.findByTestId("stop")).textContent).toMatch(/^X/);
    press(/Cut done/);
    press(/Yes, it is cut/);
    await waitFor(() => expect(types(slot).filter((t) => /^move-/.test(t)).length).toBeGreaterThan(1));
    cleanup();
    const sent = openAt(cheekBlock(), at("back/face", "deburr"));
    const field = await screen.findByLabelText(/, mm$/);
    fireEvent.change(field, { target: { value: "62.65" } });
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() => expect(types(sent).at(-1)).toBe("reading"));
    expect(
      types(sent)
        .slice(0, -1)
        .every((t) => /^(stopped|deburred|wiped)/.test(t)),
    ).toBe(true);
  });
});

describe("while a part is aligned", () => {
  const shaft = demoJobs().find((j) => j.id === "drum-shaft")!;
  const note = async (start: string, end: string) => {
    const field = await screen.findByLabelText("Indicator at one end");
    fireEvent.change(field, { target: { value: start } });
    fireEvent.change(screen.getByLabelText("At the far end"), { target: { value: end } });
    press("Note the run");
  };

  test("every run is noted and told; what is out cannot be ticked as in line", async () => {
    const sent = openAt(shaft, (step) => step.ticks.some((t) => t.id === "indicated"), [
      { type: "tick", op: opIndicated(shaft), tick: "tight" },
    ]);
    const tick = () => screen.getByRole<HTMLButtonElement>("button", { name: /Side of the shaft indicated/ });
    await screen.findByText(/Side of the shaft indicated/);
    await note("0", "0.08");
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ type: "aligned", tick: "indicated", start: 0, end: 0.08 }),
    );
    await waitFor(() => expect(main()).toMatch(/Run 1: 0\.080 mm more at the far end/));
    expect(tick().disabled).toBe(true);
    space();
    await note("-0.002", "0.002");
    await waitFor(() => expect(main()).toMatch(/Run 2: 0\.004 mm from end to end: near enough/));
    expect(types(sent).filter((t) => t === "indicated")).toEqual([]);
    await waitFor(() => expect(tick().disabled).toBe(false));
    fireEvent.click(tick());
    await waitFor(() => expect(types(sent).at(-1)).toBe("indicated"));
  });
});

describe("when all steps are done", () => {
  const tapped = featureOf("hole", "t", "top", {
    sizes: { depth: "20", threadDepth: "14" },
    first: "left 30",
    second: "center",
    choices: { form: "tapped", screw: "M6" },
  });
  const job = block(["part/features", featureList([tapped])], ["part/squareness", 0.05]);

  test("what the drawing asks and nobody read is asked one by one; what is left is for the plate", async () => {
    const sent = openAt(job, () => false);
    await screen.findByRole("heading", { name: "Squareness" });
    const field = screen.getByLabelText("Squareness, mm");
    fireEvent.change(field, { target: { value: "0" } });
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() =>
      expect(sent).toMatchObject([{ type: "reading", of: "squareness", value: 0, op: null }]),
    );
    await screen.findByRole("heading", { name: /thread · may be left/ });
    press("Go enters, no-go stays out");
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ type: "gauged", of: "t/thread", answer: "passes" }),
    );
    expect(await screen.findByText("Judge the part at the Record.")).toBeTruthy();
  });

  test("left out, it is told how many are left", async () => {
    const sent = openAt(job, () => false);
    await screen.findByRole("heading", { name: "Squareness" });
    press("Leave it for the plate");
    press("Leave it for the plate");
    expect(main()).toMatch(/2 readings are left for the plate/);
    expect(sent).toEqual([]);
  });
});

describe("the stop of a batch", () => {
  const job: Job = {
    ...slotJob,
    quantity: 3,
    overrides: {
      byId: { o: { id: "o", at: "s/rough", what: "stop", value: "against", reason: "", since: "" } },
      order: ["o"],
    },
  };
  const inSlot = (step: Step) => step.op === "s/rough" && step.kind === "clamp";

  test("is noted where it stands, once; no table goes further than one is made", async () => {
    const sent = openAt(job, inSlot);
    fireEvent.click(await screen.findByRole("button", { name: "Note where it stands" }));
    const field = screen.getByLabelText("X, spindle over the stop");
    fireEvent.change(field, { target: { value: "6000" } });
    expect(main()).toMatch(/No table goes that far/);
    fireEvent.change(field, { target: { value: "-12.34" } });
    press("Keep it");
    await waitFor(() => expect(sent.find((e) => e.type === "stopAt")).toMatchObject({ value: -12.34 }));
    await screen.findByText(/The stop stood at X/);
  });

  test("is told to every piece that comes after, and not asked of a single one", async () => {
    const written = { text: "-12.34", unit: "mm" } as const;
    openAt(job, inSlot, [{ type: "stopAt", op: "s/rough", value: -12.34, written }]);
    await screen.findByText(/it must read the same/);
    expect(main()).toMatch(/−12\.340 mm/);
    cleanup();
    openAt({ ...job, quantity: 1 }, inSlot);
    await screen.findByRole("main");
    expect(screen.queryByRole("button", { name: "Note where it stands" })).toBeNull();
  });
});

test("figures are told in the other unit too where that is wanted", async () => {
  localStorage.setItem("firm-arbor:both-units", "on");
  openAt(cheekBlock(), (s) => s.kind === "cut");
  const stop = await screen.findByTestId("stop");
  expect(stop.textContent).toMatch(/mm = .*in$/);
  cleanup();
  localStorage.setItem("firm-arbor:both-units", "off");
  openAt(cheekBlock(), (s) => s.kind === "cut");
  expect((await screen.findByTestId("stop")).textContent).not.toMatch(/in/);
});
