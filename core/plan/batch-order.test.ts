import { describe, expect, test } from "vitest";
import type { BatchOrder } from "../job/index.ts";
import { demoShop, inUse } from "../shop/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { batchOrdersOf, nextPiece } from "./batch-order.ts";
import type { PieceStanding } from "./batch.ts";
import { plan } from "./make-plan.ts";
import { twoAtOnce } from "./two-at-once.ts";

const plans = demoJobs().map((job) => ({ job, made: plan({ job, records: [], shop: demoShop, piece: 1 }) }));

describe("orders of several pieces", () => {
  test.each(plans.map((p) => [p.job.name, p.made] as const))(
    "%s: set once costs no more than set anew",
    (_name, made) => {
      for (const pieces of [1, 2, 3, 7, 200]) {
        const orders = batchOrdersOf(made, pieces);
        const minutes = (order: BatchOrder) => orders.find((o) => o.order === order)?.minutes ?? Infinity;
        expect(minutes("piece")).toBeCloseTo(pieces * batchOrdersOf(made, 1)[0]!.minutes, 6);
        expect(minutes("setup")).toBeLessThanOrEqual(minutes("piece") + 1e-9);
        if (pieces > 2) {
          expect(minutes("first")).toBeLessThanOrEqual(minutes("piece") + 1e-9);
          expect(minutes("first")).toBeGreaterThanOrEqual(minutes("setup") - 1e-9);
        }
        for (const o of orders) expect(o.working.lines.at(-1)!.result.value).toBeCloseTo(o.minutes, 6);
      }
    },
  );

  test("one piece has the minutes of its setups", () => {
    for (const { made } of plans)
      expect(batchOrdersOf(made, 1)[0]!.minutes).toBeCloseTo(
        made.setups.reduce((sum, s) => sum + s.minutes.cutting + s.minutes.handling, 0),
        6,
      );
  });
});

const at = (piece: number, setup: number | null, more: Partial<PieceStanding> = {}): PieceStanding => ({
  piece,
  scrapped: null,
  begun: setup !== 1 || piece === 1,
  done: setup === null ? 9 : setup - 1,
  steps: 9,
  setup,
  setups: [],
  verdict: "open",
  ...more,
});
const scrapped = { id: "a.1", reason: "dropped" };

describe("the piece to go on with", () => {
  test.each<[string, BatchOrder, PieceStanding[], number, number | null]>([
    ["piece by piece this one, as long as it is begun", "piece", [at(1, 3), at(2, 1)], 1, null],
    ["piece by piece the next, once this one is done", "piece", [at(1, null), at(2, 1)], 1, 2],
    ["setup by setup the one furthest back", "setup", [at(1, 2), at(2, 1), at(3, 1)], 1, 2],
    ["setup by setup none is taken out for one of the same setup", "setup", [at(1, 2), at(2, 2)], 1, null],
    ["a scrapped one never", "setup", [at(1, 3), at(2, 1, { scrapped }), at(3, 2)], 1, 3],
    ["the first alone until it is through", "first", [at(1, 4), at(2, 1)], 1, null],
    ["sent back to the first until it is through", "first", [at(1, 4), at(2, 1)], 2, 1],
    ["then the others setup by setup", "first", [at(1, null), at(2, 2), at(3, 1)], 2, 3],
    ["nothing where all are done", "setup", [at(1, null), at(2, null)], 1, null],
  ])("%s", (_what, order, pieces, piece, expected) => {
    expect(nextPiece(order, pieces, piece)?.piece ?? null).toBe(expected);
  });
});

test("two at once: every clamping is judged, and nothing that does not fit the vise is offered", () => {
  const [vise] = inUse(demoShop).vises;
  for (const { job, made } of plans) {
    const found = twoAtOnce(job, made.setups, vise!, demoShop);
    expect(new Set(found.map((f) => f.clamping))).toEqual(new Set(made.setups.map((s) => s.clamping)));
    expect(new Set(found.map((f) => `${f.clamping} ${f.how}`)).size).toBe(found.length);
    const small = twoAtOnce(job, made.setups, { ...vise!, jawWidth: 20, opening: 20 }, demoShop);
    expect(small.filter((f) => f.how !== "stacked").every((f) => f.may === "no")).toBe(true);
    const large = twoAtOnce(job, made.setups, { ...vise!, jawWidth: 900, opening: 900 }, demoShop);
    expect(large.filter((f) => f.may === "no").length).toBeLessThanOrEqual(
      found.filter((f) => f.may === "no").length,
    );
  }
});
