import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, test } from "vitest";
import type { Job } from "../../../core/job/index.ts";
import type { Rehearsal } from "../../../core/plan/index.ts";
import type { Finding } from "../../../core/rehearse/index.ts";
import type { Record } from "../../../core/steps/index.ts";
import { block, cheekBlock } from "../../../tests/support/cheek-block.ts";
import { jobStub } from "../../../tests/support/job-stub.tsx";
import { walk } from "../../../tests/support/walker.ts";
import type { JobIntent } from "../../session/intent.ts";
import { MachineStation } from "./machine-station.tsx";

const finding = (more: Partial<Finding>): Finding => ({
  sort: "hits",
  op: "back/face",
  step: "cut-1",
  setup: 1,
  at: null,
  size: 3,
  what: "cutter | the fixed jaw",
  ...more,
});

function open(findings: Finding[], more: Record[] = [], job: Job = cheekBlock()) {
  const intents: JobIntent[] = [];
  const walked: Rehearsal = { findings, truths: [], done: 3, finished: true, records: [] };
  render(
    jobStub(<MachineStation />, {
      job,
      records: [...walk(job, { until: (s) => s.kind === "place" }).records, ...more].map((r, i) => ({
        ...r,
        seq: i + 1,
      })),
      walk: () => Promise.resolve(walked),
      onIntent: (intent) => intents.push(intent),
    })("/jobs/cheek-block/machine"),
  );
  return intents;
}
const firstTick = () => screen.findByRole<HTMLButtonElement>("button", { name: /wiped clean/ });

describe("a setup whose steps go wrong when they are followed to the letter", () => {
  afterEach(() => {
    cleanup();
    localStorage.clear();
  });

  test("waits until the person says why it may go on, and what was found stays in sight", async () => {
    const intents = open([finding({})]);
    await screen.findByText(/hits the fixed jaw/);
    expect((await firstTick()).disabled).toBe(true);
    const go = screen.getByRole<HTMLButtonElement>("button", { name: /I have checked it/ });
    expect(go.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText("Why it is safe to go on"), {
      target: { value: "shorter jaws" },
    });
    fireEvent.click(go);
    await waitFor(() => expect(intents).toHaveLength(1));
    expect(intents[0]).toMatchObject({
      intent: "append",
      events: [
        { type: "tick", tick: "looked-at hits back/face cutter | the fixed jaw" },
        { type: "note", text: "Setup 1 went on past a hold: shorter jaws" },
      ],
    });
    await waitFor(async () => expect((await firstTick()).disabled).toBe(false));
    expect(screen.getByText(/hits the fixed jaw/)).toBeTruthy();
  });

  test("in Brief no answer goes past it until the person says why, and then it does", async () => {
    localStorage.setItem("firm-arbor:telling", "brief");
    const intents = open([finding({})]);
    await screen.findByText(/hits the fixed jaw/);
    const answers = () => [
      screen.getByRole<HTMLButtonElement>("button", { name: /it turns clockwise/ }),
      screen.getByRole<HTMLButtonElement>("button", { name: /turns the wrong way/ }),
    ];
    expect(answers().map((b) => b.disabled)).toEqual([true, true]);
    fireEvent.keyDown(document.body, { key: " " });
    fireEvent.keyUp(document.body, { key: " " });
    for (const answer of answers()) fireEvent.click(answer);
    expect(intents).toEqual([]);
    fireEvent.change(screen.getByLabelText("Why it is safe to go on"), { target: { value: "shorter jaws" } });
    fireEvent.click(screen.getByRole("button", { name: /I have checked it/ }));
    await waitFor(() => expect(answers().map((b) => b.disabled)).toEqual([false, false]));
    expect(screen.getByText(/hits the fixed jaw/)).toBeTruthy();
  });

  test("a size that nobody measured holds it up, and no reason goes past that", async () => {
    const order = ["length", "width", "height"].map((axis): [string, unknown] => [
      `stock/measured/${axis}`,
      { p1: null, p2: null, p3: null, p4: null },
    ]);
    open([], [], block(...order));
    await screen.findByRole("link", { name: "Measure it now" });
    expect((await firstTick()).disabled).toBe(true);
    expect(screen.queryByLabelText("Why it is safe to go on")).toBeNull();
    expect(screen.getByRole("link", { name: "Measure it now" }).getAttribute("href")).toBe(
      "/jobs/cheek-block/stock",
    );
  });

  test("what is found later holds it up anew", async () => {
    const [first] = walk(cheekBlock(), { until: (s) => s.kind === "place" }).records;
    open(
      [finding({}), finding({ what: "holder | the moving jaw" })],
      [
        {
          ...first!,
          type: "tick",
          op: "back/face",
          tick: "looked-at hits back/face cutter | the fixed jaw",
        },
      ],
    );
    await screen.findByText(/hits the moving jaw/);
    expect((await firstTick()).disabled).toBe(true);
  });

  test.each([
    ["what hurts nothing is said and holds nothing up", [finding({ sort: "nothing" })], /Nothing comes off/],
    ["another setup's finding does not concern it", [finding({ setup: 4 })], /wiped clean/],
  ])("%s", async (_what, findings, says) => {
    open(findings);
    await screen.findByText(says);
    await waitFor(async () => expect((await firstTick()).disabled).toBe(false));
  });
});
