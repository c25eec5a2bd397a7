import { describe, expect, test } from "vitest";
import { cheekBlock, read } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";
import { newJob } from "../job/index.ts";
import { demoShop } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { glanceOf } from "./glance.ts";
import { plan } from "./make-plan.ts";

const glance = (job = cheekBlock(), records = walk(job, { until: () => true }).records) => {
  const made = plan({ job, records, shop: demoShop, piece: 1 });
  return { ...glanceOf(made, job), made };
};

describe("a job at a glance", () => {
  test("planned: every setup open, all its minutes left, the part with its sizes", () => {
    const { state, setups, left, made, part, blocked } = glance();
    expect(state).toBe("planned");
    expect(new Set(setups)).toEqual(new Set(["planned"]));
    expect(left).toBeCloseTo(made.minutes.total, 6);
    expect(phraseText(part, "mm")).toMatch(/steel.*, 96\.00 mm × 60\.00 mm × 38\.00 mm$/);
    expect(blocked).toBe(false);
  });

  test("in work: what is done is done, less is left, and the next step is named with its setup", () => {
    const job = cheekBlock();
    const { records } = walk(job, { until: (s) => s.setup === 3 && s.kind === "cut" });
    const { state, setups, left, made, next } = glance(job, records);
    expect(state).toBe("in work");
    expect(setups.slice(0, 4)).toEqual(["done", "done", "being cut", "planned"]);
    expect(left).toBeLessThan(made.minutes.total);
    expect(left).toBeGreaterThan(0);
    expect(phraseText(next, "mm")).toMatch(/^Setup 3: /);
  });

  test("finished: nothing is left", () => {
    const job = cheekBlock();
    const { state, left, setups } = glance(job, walk(job, {}).records);
    expect(state).toBe("finished");
    expect(left).toBe(0);
    expect(setups.every((s) => s === "done")).toBe(true);
  });

  test("what stands in the way is told instead of the next step", () => {
    const job = cheekBlock();
    job.stock.measured.height.p2 = read(38.2);
    const { blocked, next } = glance(job, []);
    expect(blocked).toBe(true);
    expect(phraseText(next, "mm")).toMatch(/undersize/);
  });

  test("an empty sheet has no sizes and no minutes", () => {
    const { left, setups, part, state } = glance(newJob("n", "New", "knee", "vise-125"), []);
    expect([left, setups, phraseText(part, "mm"), state]).toEqual([0, [], "", "planned"]);
  });
});
