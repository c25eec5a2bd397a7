import "fake-indexeddb/auto";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import type { Job } from "../../core/job/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { addJob, database } from "../../store/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { jobStub } from "../../tests/support/job-stub.tsx";
import type { JobIntent } from "../session/intent.ts";
import type { ShopIntent } from "../shop/shop-intent.ts";
import { DrawingStation } from "./drawing/drawing-station.tsx";
import { RecordStation } from "./record/record-station.tsx";
import { SetupsStation } from "./setups/setups-station.tsx";
import { StockStation } from "./stock/stock-station.tsx";

const job = (id: string): Job => demoJobs().find((j) => j.id === id)!;
const intents: JobIntent[] = [];
const asked: ShopIntent[] = [];
const open = (station: ReactNode, path: string, of = job("track-dogs")) => {
  intents.length = 0;
  asked.length = 0;
  const stub = jobStub(station, {
    job: of,
    onIntent: (intent) => intents.push(intent),
    onShop: (intent) => {
      asked.push(intent);
      return { ok: true };
    },
  });
  render(stub(`/jobs/${of.id}/${path}`));
};
const text = () => document.body.textContent;

describe("more than one piece", () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);

  test("a bar is reserved for all blanks with their saw length", async () => {
    open(<StockStation />, "stock/bar");
    const [reserve] = await screen.findAllByRole("button", { name: "Reserve 6" });
    fireEvent.click(reserve!);
    await waitFor(() => expect(asked).toHaveLength(1));
    const bar = demoShop.bars.find((b) => b.id === "flat-35-28")!;
    expect(asked[0]).toMatchObject({
      intent: "save",
      list: "bars",
      from: bar,
      to: { claims: [{ jobId: "track-dogs", each: 47.45, kerf: 1.6, count: 6 }] },
    });
  });

  test("the sizes of a flat are entered as the blank, in one change", async () => {
    open(<StockStation />, "stock/bar");
    fireEvent.click(await screen.findByRole("button", { name: /Enter these sizes as the blank/ }));
    await waitFor(() => expect(intents).toHaveLength(1));
    const [intent] = intents;
    const changes = intent?.intent === "change" ? intent.changes : [];
    const to = (path: string) => changes.find((c) => c.path === path)?.to;
    expect(to("stock/measured/length/p1")).toMatchObject({ value: 47.45 });
    expect(to("stock/measured/height/p1")).toMatchObject({ value: 28 });
    expect(to("stock/form")).toBe("coldDrawn");
  });

  test("how a saw cuts is learned from what was measured; what cannot be is said and stays", async () => {
    open(<StockStation />, "stock/bar");
    const out = await screen.findByLabelText("The cut is out by");
    const over = screen.getByLabelText("over a section of");
    const note = screen.getByRole<HTMLButtonElement>("button", { name: "Note it for the next blank" });
    fireEvent.change(out, { target: { value: "-1" } });
    expect(note.disabled).toBe(true);
    fireEvent.change(out, { target: { value: "0.7" } });
    fireEvent.change(over, { target: { value: "35" } });
    await waitFor(() => expect(note.disabled).toBe(false));
    fireEvent.click(note);
    await waitFor(() => expect(asked).toMatchObject([{ list: "saws", to: { runsOut: 2 } }]));
  });

  test("the order of the pieces is chosen with its minutes beside it", async () => {
    open(<RecordStation />, "record/1/batch");
    const row = (await screen.findByText("Setup by setup")).closest("tr")!;
    fireEvent.click(within(row).getByRole("button", { name: "choose" }));
    await waitFor(() => expect(intents).toMatchObject([{ changes: [{ path: "batch/order", to: "setup" }] }]));
    await waitFor(() => expect(within(row).getByRole("button", { name: "chosen" })).toBeTruthy());
    expect(text()).toMatch(/Two in the vise at once/);
  });

  test("money: nothing is compared without a price; with one the verdict, its terms and what is missing", async () => {
    open(<RecordStation />, "record/1/money");
    await screen.findByText(/Enter a price that was asked for/);
    const price = screen.getByLabelText("Price of one");
    fireEvent.change(price, { target: { value: "-3" } });
    fireEvent.blur(price);
    await waitFor(() => expect(price.getAttribute("aria-invalid")).toBe("true"));
    fireEvent.change(price, { target: { value: "4" } });
    fireEvent.blur(price);
    await waitFor(() => expect(text()).toMatch(/Buying is cheaper/));
    expect(text()).toMatch(/Not entered, and counted as nothing: material/);
    fireEvent.click(screen.getByRole("button", { name: "Tax" }));
    await waitFor(() => expect(text()).toMatch(/tax, plus 0 % of that/));
    const high = screen.getByLabelText("High");
    fireEvent.change(high, { target: { value: "20" } });
    fireEvent.blur(high);
    await waitFor(() => expect(text()).toMatch(/24\.00.*28\.80/));
    fireEvent.click(screen.getByLabelText("counts"));
    await waitFor(() => expect(text()).not.toMatch(/28\.80/));
  });

  test("every machine of the shop with what it takes, or why not; another is chosen with a press", async () => {
    open(<SetupsStation />, "setups/back.face/machines");
    await screen.findByText("planned here");
    for (const { name } of demoShop.machines) expect(text()).toContain(name);
    fireEvent.click(screen.getAllByRole("button", { name: "Plan it there" })[0]!);
    await waitFor(() => expect(intents).toMatchObject([{ changes: [{ path: "machine" }] }]));
  });

  test("a mate is linked to a job of the bench, and its size taken over", async () => {
    await addJob(database(), job("cheek-block"), [], "2026-12-01T08:00:00.000Z");
    open(<DrawingStation />, "drawing/fits");
    const link = await screen.findByLabelText("Its job on this bench");
    fireEvent.change(link, { target: { value: "cheek-block" } });
    const size = await screen.findByLabelText("Its size there");
    fireEvent.change(size, { target: { value: "sizes/height" } });
    fireEvent.click(await screen.findByRole("button", { name: "Take it as drawn" }));
    await waitFor(() =>
      expect(intents.at(-1)).toMatchObject({
        changes: [{ to: { mate: { nominal: 38 }, measured: false, job: "cheek-block" } }],
      }),
    );
    expect(text()).toMatch(/Not measured yet/);
  });
});
