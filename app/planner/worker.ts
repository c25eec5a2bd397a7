import * as Comlink from "comlink";
import {
  compareCut,
  costing,
  comparingRoutes,
  type ComparisonProgress,
  type CutComparison,
  type DrawingCost,
  type Plan,
  plan,
  type PlanInputs,
  type RouteComparison,
  workingOf,
} from "../../core/job/index.ts";
import type { OperationKey } from "../../core/route/index.ts";
import type { Working } from "../../core/working/index.ts";

/** The newest comparison asked for. */
let comparison = 0;

let last: { inputs: PlanInputs; shopText: string; made: Plan } | undefined;

/** Hosts the heavy rooms of core, so that typing never waits for planning. */
const planner = {
  plan(asked: PlanInputs): Plan {
    const shopText = JSON.stringify(asked.shop);
    // A copy comes with every message; the same shop stays the same thing, so that what was worked for it is found again.
    const inputs = last?.shopText === shopText ? { ...asked, shop: last.inputs.shop } : asked;
    last = { inputs, shopText, made: plan(inputs) };
    return last.made;
  },
  /** The working of a figure of the last plan; null when it has none. */
  working(key: string): Working | null {
    return last ? workingOf(last.made, last.inputs.job, last.inputs.shop, key, last.inputs.own) : null;
  },
  /** Cutters compared and charts of a cut of the last plan; null when it has no such cut. */
  comparison(key: OperationKey): CutComparison | null {
    return last ? compareCut(last.made, last.inputs.job, last.inputs.shop, key, last.inputs.own) : null;
  },
  /**
   * What the drawing of the last plan costs; null while it is not complete, and when another plan was asked for meanwhile: it
   * waits until nobody types, and lets others in between its plans.
   */
  async cost(): Promise<DrawingCost | null> {
    const mine = last?.inputs;
    await new Promise((resolve) => setTimeout(resolve, 400));
    if (!mine || last?.inputs !== mine) return null;
    const work = costing(mine.job, mine.shop, mine.own);
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      await new Promise((resolve) => setTimeout(resolve));
      if (last.inputs !== mine) return null;
    }
  },
  /**
   * The schools of squaring compared for the last plan's block; null while drawing or shop are not complete, and when it was
   * stopped. Others are answered between its pieces of work; a newer comparison ends it.
   */
  async routes(onProgress: (progress: ComparisonProgress) => void): Promise<RouteComparison | null> {
    const mine = ++comparison;
    if (!last) return null;
    const work = comparingRoutes(last.inputs.job, last.inputs.shop, last.inputs.own);
    let told = 0;
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - told < 40) continue;
      told = now;
      onProgress(step.value);
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== comparison) return null;
    }
  },
  /** Ends the comparison that is being worked. */
  stopRoutes(): void {
    comparison++;
  },
};

export type Planner = typeof planner;

Comlink.expose(planner);
