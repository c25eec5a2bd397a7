import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Job, PriceTerm } from "../job/index.ts";
import { afterSawing, demoShop } from "../shop/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { plan } from "./make-plan.ts";
import { boughtCost, hourlyRate, makeCost, makeOrBuyOf, priceChain } from "./quote.ts";

const term = (given: Partial<PriceTerm>): PriceTerm => ({
  id: "t",
  name: "",
  what: "percent",
  off: false,
  low: 0,
  high: 0,
  counts: true,
  ...given,
});
const dogs = demoJobs().find((job) => job.id === "track-dogs")!;
const made = plan({ job: dogs, records: [], shop: demoShop, piece: 1 });
const priced = (each: number | null, more: Partial<Job["quote"]> = {}): Job => ({
  ...dogs,
  quote: { ...dogs.quote, labor: 30, material: 3, tools: 20, ...more, buy: { ...dogs.quote.buy, each } },
});

describe("a price chain", () => {
  test.each([
    [
      "tax on goods and shipping",
      [term({ what: "amount", low: 10, high: 10 }), term({ low: 20, high: 20 })],
      132,
      132,
    ],
    [
      "shipping after tax",
      [term({ low: 20, high: 20 }), term({ what: "amount", low: 10, high: 10 })],
      130,
      130,
    ],
    ["a discount at its most is the least price", [term({ off: true, low: 5, high: 10 })], 90, 95],
    ["what is switched off counts nothing", [term({ low: 20, high: 20, counts: false })], 100, 100],
    ["with no most entered the least is both", [term({ low: 20, high: 0 })], 120, 120],
    ["no price falls below nothing", [term({ what: "amount", off: true, low: 500, high: 500 })], 0, 0],
  ])("%s", (_what, terms, low, high) => {
    expect(priceChain(100, terms).at(-1)).toMatchObject({ low, high });
  });

  test("its least is never over its most, whatever the terms and their order", () => {
    const anyTerm = fc.record({
      what: fc.constantFrom("percent" as const, "amount" as const),
      off: fc.boolean(),
      low: fc.integer({ min: 0, max: 60 }),
      high: fc.integer({ min: 0, max: 60 }),
      counts: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.nat(1000), fc.array(anyTerm, { maxLength: 6 }), (sum, terms) => {
        for (const step of priceChain(sum, terms.map(term)))
          expect(step.low).toBeLessThanOrEqual(step.high + 1e-9);
      }),
    );
  });
});

describe("making against buying", () => {
  test("every total is the sum of its terms, and each term ends its working", () => {
    const cost = makeCost(priced(18), made, demoShop, []);
    expect(cost.total).toBeCloseTo(
      cost.terms.reduce((sum, t) => sum + t.amount, 0),
      9,
    );
    expect(cost.total).toBeCloseTo(cost.fixed + cost.each * cost.pieces, 9);
    for (const t of cost.terms) expect(t.working.lines.at(-1)!.result.value).toBeCloseTo(t.amount, 6);
    expect(cost.terms.find((t) => t.name === "labor")!.amount).toBeCloseTo((cost.minutes / 60) * 30, 9);
    expect(cost.missing).toEqual([]);
  });

  test("what nobody entered is named and counts nothing", () => {
    const shop = {
      ...demoShop,
      machines: demoShop.machines.map((m) => ({ ...m, rate: null })),
      cutters: demoShop.cutters.map((c) => ({ ...c, price: null })),
    };
    const cost = makeCost(dogs, made, shop, []);
    expect(cost.missing).toEqual(["material", "machine", "labor", "cutters", "tools"]);
    expect(cost.total).toBe(0);
    expect(hourlyRate(dogs, made.setups, shop)).toBeNull();
  });

  test("material comes from the bars that are reserved, at their price a meter", () => {
    const [bar] = demoShop.bars;
    const claims = [{ id: "c", jobId: dogs.id, jobName: "", each: 48, kerf: 2, count: 6 }];
    const job = priced(18, { material: null });
    const cost = makeCost(job, made, demoShop, [{ ...bar!, price: 20, claims }]);
    expect(cost.terms.find((t) => t.name === "material")!.amount).toBeCloseTo(0.3 * 20, 9);
    const { kept } = afterSawing({ ...bar!, price: 20, claims }, "c")!;
    expect(makeCost(job, made, demoShop, [kept]).total).toBeCloseTo(cost.total, 9);
  });

  test("setup by setup costs less than piece by piece", () => {
    const job = priced(18);
    const by = (order: Job["batch"]["order"]) =>
      makeCost({ ...job, batch: { ...job.batch, order } }, made, demoShop, []).total;
    expect(by("setup")).toBeLessThan(by("piece"));
  });

  test("nothing is compared without a price; with one the cheaper, what decides, and the hours that pay are told", () => {
    expect(boughtCost(priced(null))).toBeNull();
    const job = priced(18);
    const cost = makeCost(job, made, demoShop, []);
    const rate = hourlyRate(job, made.setups, demoShop)!;
    const found = makeOrBuyOf(job, cost, boughtCost(job)!, { rate });
    expect(found.cheaper).toBe("buy");
    expect(found.decides!.name).toBe("labor");
    const dear = makeOrBuyOf(priced(900), cost, boughtCost(priced(900))!, { rate });
    expect(dear.cheaper).toBe("make");
    expect(dear.hours!.working.lines.at(-1)!.result.value).toBeCloseTo(dear.hours!.high * 60, 6);
    // At the hours that pay both cost the same.
    const rest = cost.total - (cost.minutes / 60) * rate;
    expect(rest + dear.hours!.low * rate).toBeCloseTo(boughtCost(priced(900))!.low, 6);
  });
});
