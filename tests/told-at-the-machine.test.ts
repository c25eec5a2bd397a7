import { describe, expect, test } from "vitest";
import { beginningOf, type Job, plan } from "../core/job/index.ts";
import { demoShop, type Shop } from "../core/shop/index.ts";
import { appended, eventsToFinish, type Record, type Step } from "../core/steps/index.ts";
import { block, featureList, featureOf } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { phraseIds } from "./support/phrase-ids.ts";

/** What is told at the machine hangs together: tools and zeros, slack, walls, warnings. */

const planOf = (job: Job, records: Record[] = [], shop: Shop = demoShop) =>
  plan({ job, records, shop, piece: 1 });
const featureSteps = (job: Job, shop: Shop = demoShop): Step[] =>
  planOf(job, [], shop).steps.filter((s) => s.pickup || s.move || s.kind === "check");

/** Slack on every axis, and dials only. */
const worn: Shop = {
  ...demoShop,
  machines: demoShop.machines.map((m) => ({
    ...m,
    axes: {
      x: { ...m.axes.x, backlash: 0.2, readout: null },
      y: { ...m.axes.y, backlash: 0.2, readout: null },
      z: m.axes.z,
    },
  })),
};

describe.each(demoJobs().map((job) => [job.id, job] as const))("%s", (_id, job) => {
  test("every zero is taken with what stands in the spindle, every cut with its own cutter and speed", () => {
    let spindle: { tool: string; rpm: number | null } = { tool: "", rpm: null };
    const made = planOf(job);
    for (const step of featureSteps(job)) {
      const face = made.setups.find((s) => s.key === step.op);
      const operation = made.features?.setups.flatMap((s) => s.operations).find((o) => o.key === step.op);
      if (step.kind === "check")
        spindle = step.tool
          ? { tool: step.tool.id ?? "held for the touch", rpm: step.tool.rpm }
          : {
              tool: face?.cut.cutter ?? operation?.cutter ?? "",
              rpm: face?.cut.rpm ?? operation?.set?.rpm ?? null,
            };
      if (step.pickup) {
        const { toucher } = step.pickup;
        expect(spindle.tool).toBe(toucher.kind === "cutter" ? toucher.id : "held for the touch");
        if (toucher.kind === "finder") expect(spindle.rpm).toBeLessThanOrEqual(1000);
      }
      if (step.move && operation)
        expect(spindle).toEqual({ tool: operation.cutter, rpm: operation.set!.rpm });
    }
  });

  test("with slack every stop is come to from the side of its zero, or has the slack in its figure", () => {
    const toward = { x: 0, y: 0, z: 0 };
    for (const step of featureSteps(job, worn)) {
      if (step.pickup)
        toward[step.pickup.axis] = { left: 1, front: 1, right: -1, back: -1, above: -1 }[
          step.pickup.from.at(-1)!
        ];
      for (const { axis, from, approach, counted, settled } of step.move?.targets ?? []) {
        if (axis === "z") continue;
        const way = from === null ? 0 : Math.sign(settled.stop - counted - from);
        if (approach !== null) expect(approach).toBe(toward[axis]);
        else expect(counted).toBeCloseTo(way === toward[axis] ? 0 : way * 0.2, 9);
      }
    }
  });
});

describe("walls", () => {
  const slot = featureOf("slot", "slot", "top", { sizes: { width: "14 ±0.02", depth: "8" } });
  const job = block(["part/features", featureList([slot])]);

  test("are cut pass by pass as planned, the last one to the wall", () => {
    const made = planOf(job);
    const operations = made
      .features!.setups.flatMap((s) => s.operations)
      .filter((o) => o.cut?.kind === "side");
    expect(operations.length).toBe(2);
    for (const o of operations) {
      const feeds = made.steps
        .filter((s) => s.op === o.key && s.move?.move.kind === "feed")
        .map((s) => s.move!.move);
      expect(feeds.map((m) => m.takes)).toEqual([
        ...o.cut!.passes.map((p) => p.depth),
        ...(o.cut!.spring ? [o.cut!.passes.at(-1)!.depth] : []),
      ]);
      expect(feeds.every((m) => m.round === "pass" && m.levels === feeds.length)).toBe(true);
    }
  });
});

describe("what speaks against a setup", () => {
  const hole = featureOf("hole", "hole", "top", { sizes: { diameter: "8.5" }, second: "front 13" });
  const job = block(
    ["part/features", featureList([hole])],
    [
      "overrides/byId",
      {
        a: {
          id: "a",
          at: "hole/spot",
          what: "fixed",
          value: "front",
          reason: "",
          since: "2026-11-26T08:00:00Z",
        },
        b: {
          id: "b",
          at: "hole/spot",
          what: "parallels",
          value: "parallels-32",
          reason: "",
          since: "2026-11-26T08:00:00Z",
        },
      },
    ],
    ["overrides/order", ["a", "b"]],
  );

  test("outlives the first tick of the setup, and every one after it", () => {
    let records: Record[] = [];
    const said = () =>
      [...phraseIds(planOf(job, records).features!.setups.map((s) => s.warnings))].filter((id) =>
        id.startsWith("M12"),
      );
    const before = said();
    expect(before).toContain("M12.side");
    for (let i = 0; i < 400; i++) {
      const made = planOf(job, records);
      const step = made.steps[made.current];
      if (!step) break;
      records = appended(records, ...beginningOf(step, made, records), ...eventsToFinish(step));
      if (step.op.startsWith("hole/")) expect(said()).toEqual(before);
    }
    expect(records.some((r) => r.type === "featureBegun")).toBe(true);
  });
});
