import { describe, expect, test } from "vitest";
import { plan } from "../core/plan/index.ts";
import { faceOf, isFaceSetup } from "../core/route/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { extentOf } from "../core/squaring/index.ts";
import { appended, eventsAtDye, type Step } from "../core/steps/index.ts";
import { block } from "./support/cheek-block.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { walk } from "./support/walker.ts";

/** Sides that are cut in two clampings (domain.md 4): the first of each pair is matched by dye, the second measured. */

const job = block(
  ["overrides/byId/s", { id: "s", at: "route", what: "school", value: "twoSetups", reason: "", since: "" }],
  ["overrides/order", ["s"]],
);
const { plan: made, done } = walk(job);
const rests = made.setups
  .filter(isFaceSetup)
  .map(faceOf)
  .filter((op) => op.looks !== null && extentOf(op.key) === "rest");
const stepsOf = (key: string) => done.filter((s) => s.op === key);

test("two sides of a block are matched, the two opposite measured", () => {
  expect(rests).toHaveLength(4);
  expect(rests.map((op) => op.matched)).toEqual([true, true, false, false]);
  expect(new Set(rests.slice(0, 2).map((op) => op.axis)).size).toBe(2);
});

test("where the dye is marked sooner nothing more is cut, and the walk goes on", () => {
  const sooner = (s: Step) => s.pass !== null && !s.pass.last && phraseIds(s.notes).has("match.sooner");
  const { records, plan: before } = walk(job, { until: sooner });
  const step = before.steps[before.current]!;
  const more = appended(records, ...eventsAtDye(step));
  const after = plan({ job, records: more, shop: demoShop, piece: 1 });
  const cuts = after.steps.filter((s) => s.op === step.op && s.kind === "cut");
  expect(cuts.map((s) => s.done)).toEqual([true]);
  expect(after.steps[after.current]).toMatchObject({ op: step.op, kind: "cleanup" });
});

describe.each(rests.map((op) => [op.key, op] as const))("%s", (key, op) => {
  const steps = stepsOf(key);
  const cuts = steps.filter((s) => s.kind === "cut");

  test("is measured only where the other side of it is done", () => {
    expect(steps.some((s) => s.measure?.final)).toBe(!op.matched);
    if (op.matched) expect(steps.some((s) => s.measure)).toBe(false);
  });

  test("goes past the lower cut, so that the cutter meets the dye", () => {
    expect(op.sweep.down > op.cut.width).toBe(op.matched);
  });

  test("the last pass is told by the dye, the others to stop where it is marked sooner", () => {
    const ids = cuts.map((s) => [...phraseIds(s.notes)].filter((id) => id.startsWith("match.")));
    expect(ids).toEqual(
      cuts.map((_, i) => (!op.matched ? [] : [i === cuts.length - 1 ? "match.dye" : "match.sooner"])),
    );
    expect(cuts[0]!.ticks.some((t) => t.id === "dyed")).toBe(op.matched);
  });
});
