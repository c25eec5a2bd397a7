import { describe, expect, test } from "vitest";
import { compareRoutes, plan, rehearse } from "../core/plan/index.ts";
import type { Job } from "../core/job/index.ts";
import { openSolids } from "../core/rehearse/index.ts";
import { faceOf, isFaceSetup } from "../core/route/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { block, featureList, featureOf } from "./support/cheek-block.ts";
import { walk } from "./support/walker.ts";

const hole = (id: string, face: "left" | "right" | "top", depth: string | null = "10") =>
  featureOf("hole", id, face, {
    sizes: { diameter: "6", ...(depth !== null && { depth }) },
    first: face === "top" ? "left 20" : "front 20",
    second: face === "top" ? "front 20" : "bottom 15",
  });
const withHoles = (...features: ReturnType<typeof hole>[]) => block(["part/features", featureList(features)]);
const planOf = (job: Job) => plan({ job, records: [], shop: demoShop, piece: 1 });
/** What is cut, setup by setup: a face, or the features. */
const order = (job: Job) =>
  planOf(job).setups.map((s) => (isFaceSetup(s) ? faceOf(s).face : s.features.join("+")));

describe("squaring and features planned together", () => {
  test("holes in both ends are drilled as the ends stand for their faces: no clamping more", () => {
    const job = withHoles(hole("a", "left"), hole("b", "right"));
    const { setups } = planOf(job);
    expect(setups.at(-1)!.clamping).toBe(6);
    const ends = order(job).slice(4);
    expect(ends).toEqual(ends[0] === "left" ? ["left", "a", "right", "b"] : ["right", "b", "left", "a"]);
    expect(setups.map((s) => s.number)).toEqual(setups.map((_, i) => i + 1));
    for (const [i, s] of setups.entries())
      if (!isFaceSetup(s)) {
        expect(s.entry).toBe("stays");
        expect(setups[i - 1]!.stays).toBe(true);
        expect(s.seat).toBe(setups[i - 1]!.seat);
      }
  });

  test.each([
    ["through to a face that is not cut yet", withHoles(hole("a", "left", null), hole("b", "right"))],
    ["on a face that lies while its ends are not cut", withHoles(hole("a", "top"))],
  ])("not %s", (_what, job) => {
    const made = planOf(job);
    const faces = made.setups.filter(isFaceSetup);
    const early = made.setups.slice(0, made.setups.indexOf(faces.at(-1)!)).filter((s) => !isFaceSetup(s));
    expect(early.flatMap((s) => ("features" in s ? s.features : []))).not.toContain("a");
  });

  test("held by its lowest quarter, all that opens upward is cut before it is turned over", () => {
    const job = block(
      ["part/features", featureList([hole("a", "top"), hole("b", "top")])],
      [
        "overrides/byId",
        { s: { id: "s", at: "route", what: "school", value: "twoSetups", reason: "", since: "" } },
      ],
      ["overrides/order", ["s"]],
    );
    const made = planOf(job);
    expect(made.setups.at(-1)!.clamping).toBeLessThanOrEqual(3);
  });

  test("what would come in a clamping that is over is placed anew", () => {
    const job = withHoles(hole("a", "left"), hole("b", "right"));
    const first = planOf(job).setups.findLast(isFaceSetup)!;
    const { records } = walk(block(), { until: (s) => s.op === faceOf(first).key && s.kind === "cut" });
    const now = plan({ job, records, shop: demoShop, piece: 1 });
    const before = now.setups.slice(
      0,
      now.setups.findIndex((s) => s.number === first.number),
    );
    expect(before.every(isFaceSetup)).toBe(true);
    expect(now.setups.at(-1)!.clamping).toBe(7);
  });

  test("walked to the end nothing is found, and the part is good", async () => {
    const job = withHoles(hole("a", "left"), hole("b", "right"), hole("c", "top"));
    const kit = await openSolids();
    const { findings, truths, finished } = rehearse({ job, shop: demoShop, seed: 3, kit });
    expect(finished).toBe(true);
    expect(findings).toEqual([]);
    expect(truths.filter((t) => !t.good)).toEqual([]);
  }, 60_000);
});

describe("ways of squaring compared", () => {
  const compared = (job: Job) => compareRoutes(job, demoShop)!;

  test("with what the features add: minutes and clampings are those of the whole plan", () => {
    const job = withHoles(hole("a", "left"), hole("b", "right"), hole("c", "top"));
    const made = planOf(job);
    const option = compared(job).options.find((o) => o.chosen)!;
    expect(option.clampings).toBe(made.setups.at(-1)!.clamping);
    expect(option.minutes).toBeCloseTo(made.minutes.cutting + made.minutes.handling, 0);
    expect(option.kept).toBe(2);
  });

  test("a way that keeps the part clamped for its features gains on one that does not", () => {
    const minutes = (job: Job, name: string) => compared(job).options.find((o) => o.name === name)!.minutes;
    const gain = (job: Job) => minutes(job, "Round the block") - minutes(job, "Two setups");
    expect(gain(withHoles(hole("a", "top")))).toBeGreaterThan(gain(block()) + 3);
  });
});
