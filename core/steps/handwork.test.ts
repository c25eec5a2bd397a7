import { describe, expect, test } from "vitest";
import { handFacts, handKinds } from "../handbook/index.ts";
import type { Job } from "../job/index.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";

const withHandwork = (...list: Job["handwork"]["byId"][string][]): Job => ({
  ...cheekBlock(),
  handwork: { byId: Object.fromEntries(list.map((h) => [h.id, h])), order: list.map((h) => h.id) },
});
const planned = (job: Job) => plan({ job, records: [], shop: demoShop, piece: 1 });
const saw = { id: "a", kind: "saw" as const, where: "the long end", when: "before" as const, minutes: 6 };
const file = { id: "b", kind: "file" as const, where: "", when: "after" as const, minutes: 5 };

describe("work by hand", () => {
  test("stands before the first setup or after the last, with its caution, its check and its minutes", () => {
    const [bare, made] = [planned(cheekBlock()), planned(withHandwork(saw, file))];
    expect(made.steps).toHaveLength(bare.steps.length + 2);
    expect(made.steps[0]).toMatchObject({ kind: "handwork", id: "by-hand-a", minutes: 6, setup: 1 });
    expect(made.steps.at(-1)).toMatchObject({ kind: "handwork", id: "by-hand-b" });
    for (const step of [made.steps[0]!, made.steps.at(-1)!]) {
      expect(step.ticks).toHaveLength(2);
      expect(step.notes).toHaveLength(1);
    }
    expect(made.minutes.total).toBeCloseTo(bare.minutes.total + 11, 9);
  });

  test("is walked like every other step, and only then all is done", () => {
    const { plan: made, done } = walk(withHandwork(saw, file), { light: 0.01 });
    expect(made.current).toBe(made.steps.length);
    expect(done.filter((s) => s.kind === "handwork").map((s) => s.id)).toEqual(["by-hand-a", "by-hand-b"]);
    const left = walk(withHandwork(file), { light: 0.01, omit: "by-hand-b-checked" }).plan;
    expect(left.steps[left.current]).toMatchObject({ id: "by-hand-b", done: false });
  });

  test.each(handKinds)("%s has words for what, for care, for the check, and takes some time", (kind) => {
    const { text, caution, check, minutes } = handFacts[kind];
    for (const said of [text, caution, check]) expect(said.length).toBeGreaterThan(3);
    expect(minutes).toBeGreaterThan(0);
  });
});
