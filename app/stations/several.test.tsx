import "fake-indexeddb/auto";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import type { Job } from "../../core/job/index.ts";
import { newMate } from "../../core/part/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { addJob, database } from "../../store/index.ts";
import { dim } from "../../tests/support/cheek-block.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { jobStub } from "../../tests/support/job-stub.tsx";
import { readingEvent } from "../../tests/support/reading-event.ts";
import { appended } from "../../tests/support/walker.ts";
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

  test("work by hand is added with its usual minutes, and its caution stands with it", async () => {
    open(<SetupsStation />, "setups/back.face/order");
    fireEvent.click(await screen.findByRole("button", { name: "Add work by hand" }));
    await waitFor(() => expect(text()).toMatch(/A handle on the file/));
    fireEvent.change(screen.getByLabelText("What"), { target: { value: "grind" } });
    await waitFor(() => expect(text()).toMatch(/No aluminum, brass or plastic on the wheel/));
    expect(screen.getByLabelText<HTMLInputElement>("Minutes").value).toBe("5");
    fireEvent.click(screen.getByRole("button", { name: "remove" }));
    await waitFor(() => expect(text()).not.toMatch(/on the wheel/));
  });

  test("another currency is shown with its dated rate; a rate of nothing is refused at its field", async () => {
    const dogs = job("track-dogs");
    open(<RecordStation />, "record/1/money", {
      ...dogs,
      quote: { ...dogs.quote, buy: { ...dogs.quote.buy, each: 10 } },
    });
    fireEvent.click(await screen.findByRole("button", { name: /in another currency/ }));
    const rate = await screen.findByLabelText("How many for one of ours");
    fireEvent.change(rate, { target: { value: "0" } });
    fireEvent.blur(rate);
    await waitFor(() => expect(text()).toMatch(/A rate is above zero/));
    fireEvent.change(rate, { target: { value: "1.5" } });
    fireEvent.blur(rate);
    await waitFor(() => expect(text()).toMatch(/\(90\.00/));
  });

  test("terms of a price are put in another order, and the sum follows", async () => {
    const dogs = job("track-dogs");
    const term = { name: "", what: "percent" as const, off: false, low: 0, high: 0, counts: true };
    const terms = {
      byId: {
        a: { ...term, id: "a", name: "tax", low: 20, high: 20 },
        b: { ...term, id: "b", name: "shipping", what: "amount" as const, low: 10, high: 10 },
      },
      order: ["a", "b"],
    };
    open(<RecordStation />, "record/1/money", {
      ...dogs,
      quote: { ...dogs.quote, terms, buy: { ...dogs.quote.buy, each: 10 } },
    });
    const paid = () => screen.getByRole("region", { name: "From the price to what is paid" }).textContent;
    await waitFor(() => expect(paid()).toMatch(/in all82\.00/));
    fireEvent.click(screen.getByRole("button", { name: "shipping earlier" }));
    await waitFor(() => expect(paid()).toMatch(/in all84\.00/));
  });

  test("holes of a part that is drilled together are put in with one press", async () => {
    const pawl = job("pawl-plate");
    await addJob(database(), job("cheek-block"), [], "2026-12-01T08:00:00.000Z");
    const mates = { byId: { m: newMate("m", { kind: "drilled", job: "cheek-block" }) }, order: ["m"] };
    open(<DrawingStation />, "drawing/fits", { ...pawl, part: { ...pawl.part, mates } });
    fireEvent.click(await screen.findByRole("button", { name: "the same size" }));
    await waitFor(() => expect(text()).toMatch(/Every hole of Cheek block is in this part too/));
  });

  test("the other half as it was measured gives this one, as a deviation", async () => {
    const pawl = job("pawl-plate");
    const read = appended([], readingEvent("height", 38.02, "micrometer-50"));
    await addJob(database(), job("cheek-block"), read, "2026-12-01T08:00:00.000Z");
    const mate = newMate("m", {
      kind: "sum",
      job: "cheek-block",
      path: "sizes/height",
      size: "sizes/height",
      mate: dim("54"),
    });
    open(<DrawingStation />, "drawing/fits", {
      ...pawl,
      part: { ...pawl.part, mates: { byId: { m: mate }, order: ["m"] } },
    });
    fireEvent.click(await screen.findByRole("button", { name: "Make this half to it" }));
    await waitFor(() =>
      expect(intents.at(-1)).toMatchObject({
        changes: [{ path: "retargets/height", to: { reason: "made to Cheek block as measured" } }],
      }),
    );
    expect(text()).toMatch(/of both together this one is to be 15\.98/);
  });
});
