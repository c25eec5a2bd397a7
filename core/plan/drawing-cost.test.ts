import { describe, expect, test } from "vitest";
import {
  block,
  cheekBlockWithFeatures,
  dim,
  featureList,
  featureOf,
} from "../../tests/support/cheek-block.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { demoShop } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { costKey, drawingCost, plan, workingOf } from "./index.ts";

const pocket = (radius: string, depth = "6") =>
  featureOf("pocket", "p", "top", { sizes: { first: "40", second: "30", depth, radius } });
const costOf = (...features: Parameters<typeof featureList>[0]) =>
  drawingCost(block(["part/features", featureList(features)]), demoShop)!;

describe("what the drawing costs", () => {
  test("every feature of every demo job has its minutes, or no cutter for it", () => {
    for (const job of demoJobs()) {
      const cost = drawingCost(job, demoShop)!;
      expect(cost.features).toHaveLength(job.part.features.order.length);
      for (const { minutes, working } of cost.features) {
        expect(minutes).toBeGreaterThan(0);
        expect(working.lines.at(-1)?.result.value).toBe(minutes);
      }
      for (let i = 1; i < cost.savings.length; i++)
        expect(cost.savings[i]!.saves).toBeLessThanOrEqual(cost.savings[i - 1]!.saves);
    }
  });

  test("more metal takes longer, and so does a corner far tighter", () => {
    const minutes = (radius: string, depth?: string) => costOf(pocket(radius, depth)).features[0]!.minutes!;
    expect(minutes("8", "12")).toBeGreaterThan(minutes("8", "6"));
    expect(minutes("3")).toBeGreaterThan(minutes("8"));
  });

  test("a corner that keeps a wide cutter out names a radius that saves; one that does not is silent", () => {
    const said = (radius: string) => costOf(pocket(radius)).savings.map((s) => phraseText(s.phrase, "mm"));
    expect(said("3").some((text) => /^R.* instead of R3\.0 mm in pocket 1/.test(text))).toBe(true);
    expect(said("10").some((text) => text.startsWith("R"))).toBe(false);
  });

  test("a tolerance of its own that costs a cut is named with what it costs", () => {
    const { savings } = drawingCost(block(["part/sizes/width", dim("60 ±0.01")]), demoShop)!;
    const loose = plan({
      job: block(["part/sizes/width", dim("60")]),
      records: [],
      shop: demoShop,
      piece: 1,
    });
    const tight = plan({
      job: block(["part/sizes/width", dim("60 ±0.01")]),
      records: [],
      shop: demoShop,
      piece: 1,
    });
    const found = savings.find((s) => phraseText(s.phrase, "mm").includes("width"));
    expect(found?.saves ?? 0).toBeCloseTo(Math.max(0, tight.minutes.total - loose.minutes.total), 6);
  });

  test("the minutes show their working, and nothing is reckoned before the drawing is complete", () => {
    const job = cheekBlockWithFeatures();
    const made = plan({ job, records: [], shop: demoShop, piece: 1 });
    const working = workingOf(made, { job, shop: demoShop }, costKey("slot-closed"))!;
    expect(working.lines.length).toBeGreaterThan(4);
    expect(drawingCost(block(["part/sizes/width", null]), demoShop)).toBeNull();
  });
});
