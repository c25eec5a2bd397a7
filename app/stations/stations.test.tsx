import { newMate } from "../../core/part/index.ts";
import "fake-indexeddb/auto";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import type { Station } from "../../core/plan/index.ts";
import { newJob } from "../../core/job/index.ts";
import { cheekBlock, read } from "../../tests/support/cheek-block.ts";
import { readingEvent } from "../../tests/support/reading-event.ts";
import { jobStub } from "../../tests/support/job-stub.tsx";
import { appended, walk } from "../../tests/support/walker.ts";
import { stationOf } from "../instruments/stations.ts";
import type { JobContextValue } from "../instruments/job-context.tsx";
import type { JobIntent } from "../session/intent.ts";
import { CutsStation } from "./cuts/cuts-station.tsx";
import { DrawingStation } from "./drawing/drawing-station.tsx";
import { MachineStation } from "./machine/machine-station.tsx";
import { RecordStation } from "./record/record-station.tsx";
import { timeAtMachine } from "../../core/plan/index.ts";
import { SetupsStation } from "./setups/setups-station.tsx";
import { StockStation } from "./stock/stock-station.tsx";

const stations: [name: Station, station: ReactNode, firstUse: RegExp][] = [
  ["drawing", <DrawingStation key="d" />, /Choose the material/],
  ["stock", <StockStation key="s" />, /Enter the drawing first/],
  ["setups", <SetupsStation key="p" />, /once the drawing/],
  ["cuts", <CutsStation key="c" />, /once the drawing/],
  ["machine", <MachineStation key="m" />, /No steps yet/],
  ["record", <RecordStation key="r" />, /Is it good/],
];

const half = walk(cheekBlock(), { until: (s) => s.setup === 4 && s.id === "cut-2", light: 0.03 }).records;

describe("every station", () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);

  test.each(stations)("%s says what to do on first use", async (name, station, firstUse) => {
    const job = newJob("n", "New", "knee", "vise-125");
    render(jobStub(station, { job })(`/jobs/n/${name}`));
    await waitFor(() => expect(document.body.textContent).toMatch(firstUse));
  });

  /** An address of every view: of a setup, of its cut, of a piece. */
  const before: { [station: string]: string } = {
    setups: "/bottom.face",
    cuts: "/bottom.face",
    record: "/1",
  };
  const states = stations.flatMap(([name, station]) =>
    stationOf(name).views.flatMap((view) => {
      const path = view.id ? `${name}${before[name] ?? ""}/${view.id}` : name;
      return [
        [path, "mm", "planned", station, []] as const,
        [path, "in", "half cut", station, half] as const,
      ];
    }),
  );
  test.each(states)("%s in %s, %s: no number is missing", async (path, unit, _state, station, records) => {
    localStorage.setItem("firm-arbor:unit", unit);
    render(jobStub(station, { job: cheekBlock(), records: [...records] })(`/jobs/cheek-block/${path}`));
    await waitFor(() => expect(document.body.textContent.length).toBeGreaterThan(60));
    // Of tabs the one that the address names is open.
    const [open] = screen.queryAllByRole("tab", { selected: true });
    if (path.includes("/")) expect(open?.getAttribute("href")).toBe(`/jobs/cheek-block/${path}`);
    expect(document.body.textContent).not.toMatch(/NaN|undefined|Infinity|\[object/);
    expect(document.querySelectorAll("h1").length).toBe(1);
  });
});

describe("the stations do what they say", () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);
  const intents: JobIntent[] = [];
  const open = (station: ReactNode, path: string, job = cheekBlock(), records = half) => {
    intents.length = 0;
    render(jobStub(station, { job, records, onIntent: (i) => intents.push(i) })(`/jobs/cheek-block/${path}`));
  };

  test("a short lump offers a size it gives, recorded as a deviation", async () => {
    const job = cheekBlock();
    job.stock.measured.height.p2 = read(38.2);
    open(<StockStation />, "stock", job, []);
    fireEvent.click(await screen.findByRole("button", { name: "Record the deviation" }));
    await waitFor(() => expect(intents).toHaveLength(1));
    expect(intents[0]).toMatchObject({
      changes: [{ path: "retargets/height", to: { size: { nominal: 37.1 } } }],
    });
    await waitFor(() => expect(document.body.textContent).toMatch(/The height deviates from the drawing/));
  });

  /** Presses the depth of a cut, to type it there. */
  const openDepth = async () => {
    open(<CutsStation />, "cuts/front.face", cheekBlock(), []);
    const figures = await screen.findAllByTitle("Press to set the depth per pass yourself");
    fireEvent.click(figures[0]!);
  };

  test("an own depth is kept with its reason and taken back", async () => {
    await openDepth();
    fireEvent.change(screen.getByLabelText("Your depth per pass"), { target: { value: "0.5" } });
    fireEvent.change(screen.getByLabelText("Reason"), { target: { value: "chatter" } });
    fireEvent.click(screen.getByRole("button", { name: "Use mine" }));
    await waitFor(() => expect(document.body.textContent).toMatch(/0\.50 mm per pass instead of/));
    fireEvent.click(screen.getByRole("button", { name: "Back to the plan's depth" }));
    await waitFor(() => expect(document.body.textContent).not.toMatch(/a pass instead of/));
  });

  test("a depth the motor cannot take is not applied, and says what would do (M21)", async () => {
    await openDepth();
    fireEvent.change(screen.getByLabelText("Your depth per pass"), { target: { value: "4.2" } });
    fireEvent.click(screen.getByRole("button", { name: "Use mine" }));
    await waitFor(() => expect(document.body.textContent).toMatch(/not applied.*would do/));
  });

  test("the machine shows how a reading moved the rest, and the cut is kept once it is said to be cut", async () => {
    open(<MachineStation />, "machine");
    await waitFor(() =>
      expect(document.body.textContent).toMatch(/After pass 1 you read.*the cut came out 0\.030 mm light/),
    );
    // What is locked is asked first, then that the spindle turns right after the stop to measure.
    fireEvent.click(screen.getByRole("button", { name: /Set there, then/ }));
    for (const name of [/Spindle on again/, /Cut done/, /Yes, it is cut/]) {
      const next = await screen.findByRole<HTMLButtonElement>("button", { name });
      await waitFor(() => expect(next.disabled).toBe(false));
      fireEvent.click(next);
    }
    await waitFor(() => expect(intents).toHaveLength(3));
    expect(intents[2]).toMatchObject({
      intent: "append",
      events: [{ type: "cut", op: "front/face", pass: 2 }],
    });
  });

  test("long comparing shows how far it is, can be stopped, and begun again", async () => {
    let end: (of: null) => void = () => undefined;
    const asked = { times: 0 };
    const comparison: JobContextValue["compareRoutes"] = (onProgress) => {
      asked.times++;
      onProgress({ done: 2, of: 7, what: "Two setups" });
      return new Promise((resolve) => (end = resolve));
    };
    render(
      jobStub(<SetupsStation />, { job: cheekBlock(), comparison })(
        "/jobs/cheek-block/setups/back.face/ways",
      ),
    );
    await screen.findByText(/two setups, 2 of 7 done/);
    end(null);
    fireEvent.click(await screen.findByRole("button", { name: "Work them out" }));
    await screen.findByText(/two setups, 2 of 7 done/);
    expect(asked.times).toBe(2);
  });

  test("ticks are made in their order", async () => {
    open(<MachineStation />, "machine", cheekBlock(), []);
    const second = await screen.findByRole<HTMLButtonElement>("button", { name: /stop button/ });
    expect(second.disabled).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: /glasses on/ }));
    await waitFor(() => expect(intents).toHaveLength(1));
    expect(intents[0]).toMatchObject({ events: [{ type: "begun" }, { type: "tick", tick: "dressed" }] });
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>("button", { name: /stop button/ }).disabled).toBe(false),
    );
  });

  const finish = () => {
    const job = cheekBlock();
    job.part.faces.top.ra = 1.6;
    return job;
  };
  test("a finish is tried: three answers, the one given is kept", async () => {
    open(<RecordStation />, "record", finish(), []);
    fireEvent.click(await screen.findByRole("button", { name: /Ra 1\.6 or finer/ }));
    fireEvent.click(screen.getByRole("button", { name: "Rougher than the plate" }));
    await waitFor(() =>
      expect(intents).toMatchObject([{ events: [{ type: "gauged", of: "ra/top", answer: "tight" }] }]),
    );
    await waitFor(() => expect(document.body.textContent).toMatch(/A light last cut with a sharp cutter/));
  });

  test("a fit is tried with the play that was found, and what cannot be play is said", async () => {
    const job = cheekBlock();
    job.part.mates = {
      byId: {
        m: newMate("m", {
          size: "sizes/width",
          other: "the channel",
          mate: job.part.sizes.width,
          outer: false,
        }),
      },
      order: ["m"],
    };
    open(<RecordStation />, "record", job, []);
    fireEvent.click(await screen.findByRole("button", { name: /Fit in the channel/ }));
    const play = screen.getByLabelText(/Most play/);
    fireEvent.change(play, { target: { value: "loose" } });
    const answer = screen.getByRole<HTMLButtonElement>("button", { name: "Too loose" });
    await waitFor(() => expect(answer.disabled).toBe(true));
    fireEvent.change(play, { target: { value: "0.12" } });
    fireEvent.change(screen.getByLabelText(/Where it binds/), { target: { value: "one end" } });
    await waitFor(() => expect(answer.disabled).toBe(false));
    fireEvent.click(answer);
    await waitFor(() =>
      expect(intents).toMatchObject([
        { events: [{ type: "gauged", of: "fit/m", answer: "loose", play: 0.12, where: "one end" }] },
      ]),
    );
    await waitFor(() =>
      expect(document.body.textContent).toMatch(/shakes by 0\.120\s*mm at one end; 0\.010\s*mm to 0\.060/),
    );
  });

  test("what was sanded is to be read again, and what came off is told", async () => {
    const reading = (value: number) => readingEvent("length", value, "caliper");
    open(<RecordStation />, "record", cheekBlock(), appended([], reading(96.05)));
    fireEvent.change(await screen.findByLabelText(/Worked by hand/), { target: { value: "sanded" } });
    fireEvent.click(screen.getByRole("button", { name: "Note it" }));
    await waitFor(() =>
      expect(intents).toMatchObject([{ events: [{ type: "byHand", of: "length", how: "sanded" }] }]),
    );
    await waitFor(() =>
      expect(document.body.textContent).toMatch(/Sanded: it read 96\.050\s*mm before\. Wipe it/),
    );
    cleanup();
    const after = appended(
      [],
      reading(96.05),
      { type: "byHand", of: "length", how: "sanded" },
      reading(96.02),
    );
    open(<RecordStation />, "record", cheekBlock(), after);
    await waitFor(() => expect(document.body.textContent).toMatch(/96\.020\s*mm now: 0\.030\s*mm less/));
  });

  test.each([
    ["free", { held: "free" }, {}],
    ["warm", { part: "35" }, { temperatures: { part: 35, instrument: 20 } }],
  ] as const)("how it was read goes with the reading: %s", async (_what, typed, kept) => {
    open(<RecordStation />, "record", cheekBlock(), []);
    const field = await screen.findByLabelText(/^Length, mm/);
    if ("held" in typed) fireEvent.change(screen.getByLabelText("Held"), { target: { value: "free" } });
    else fireEvent.change(screen.getByLabelText("Part, °C"), { target: { value: typed.part } });
    fireEvent.change(field, { target: { value: "96" } });
    fireEvent.keyDown(field, { key: "Enter" });
    const expected = "held" in typed ? { held: "free" } : kept;
    await waitFor(() =>
      expect(intents).toMatchObject([{ events: [{ type: "reading", value: 96, ...expected }] }]),
    );
  });

  test("a temperature that cannot be keeps what was typed and says why", async () => {
    open(<RecordStation />, "record", cheekBlock(), []);
    const field = await screen.findByLabelText<HTMLInputElement>(/^Length, mm/);
    fireEvent.change(screen.getByLabelText("Part, °C"), { target: { value: "350" } });
    fireEvent.change(field, { target: { value: "96" } });
    fireEvent.keyDown(field, { key: "Enter" });
    expect(document.body.textContent).toMatch(/A temperature lies between/);
    expect([intents.length, field.value]).toEqual([0, "96"]);
  });

  test("a limit of form is added, its other face follows, and it is taken out again", async () => {
    open(<DrawingStation />, "drawing/faces", cheekBlock(), []);
    fireEvent.click(await screen.findByRole("button", { name: "Add a limit" }));
    const kind = await screen.findByLabelText("is");
    fireEvent.change(kind, { target: { value: "square" } });
    await waitFor(() =>
      expect(screen.getByLabelText<HTMLSelectElement>("Other face").value).not.toBe("bottom"),
    );
    fireEvent.change(screen.getByLabelText("is"), { target: { value: "flat" } });
    await waitFor(() => expect(screen.queryByLabelText("Other face")).toBeNull());
    fireEvent.click(screen.getByRole("button", { name: "Remove" }));
    await waitFor(() => expect(screen.queryByLabelText("is")).toBeNull());
  });

  test("the rework of a size that is too large is planned with a press", async () => {
    const { records } = walk(cheekBlock(), {});
    const tall = appended(records, {
      type: "reading",
      op: null,
      of: "height",
      value: 38.12,
      written: { text: "38.12", unit: "mm" },
      instrument: "mic-25-50",
      questioned: [],
    });
    open(<RecordStation />, "record", cheekBlock(), tall);
    fireEvent.click(await screen.findByRole("button", { name: /plan the rework/ }));
    await waitFor(() =>
      expect(intents).toMatchObject([{ events: [{ type: "rework", of: "height", from: 38.12 }] }]),
    );
    await waitFor(() => expect(document.body.textContent).toMatch(/Rework planned:/));
  });

  test.each([
    ["taken back", "", "Take it back", [{ type: "withdrawn", reason: "misread" }]],
    [
      "put right",
      "95.97",
      "Put it right",
      [
        { type: "withdrawn", reason: "misread" },
        { type: "reading", of: "length", value: 95.97 },
      ],
    ],
  ])("a wrong reading is %s at the record, with the reason", async (_what, right, press, events) => {
    const { records } = walk(cheekBlock(), {});
    open(<RecordStation />, "record", cheekBlock(), records);
    const [first] = await screen.findAllByRole("button", { name: /take back the reading/ });
    fireEvent.click(first!);
    const button = screen.getByRole("button", { name: /^Take it back/ });
    expect(button.hasAttribute("disabled")).toBe(true);
    fireEvent.change(screen.getByLabelText(/^Instead of/), { target: { value: right } });
    fireEvent.change(screen.getByLabelText("Why"), { target: { value: "misread" } });
    fireEvent.click(screen.getByRole("button", { name: press }));
    await waitFor(() => expect(intents).toMatchObject([{ events }]));
  });
});

test("time at the machine leaves pauses out", () => {
  const at = (minute: number) => new Date(Date.UTC(2026, 10, 25, 8, minute)).toISOString();
  const minutes = [0, 5, 9, 60, 62];
  const ticks = minutes.map(() => ({ type: "tick" as const, op: "top/face" as const, tick: "x" }));
  const records = appended([], ...ticks).map((r, i) => ({ ...r, at: at(minutes[i]!) }));
  expect(timeAtMachine(records)?.active).toBeCloseTo(11, 6);
  expect(timeAtMachine([])).toBeNull();
});
