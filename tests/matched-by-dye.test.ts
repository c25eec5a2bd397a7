import { describe, expect, test } from "vitest";
import { faceOf, isFaceSetup } from "../core/route/index.ts";
import { extentOf } from "../core/squaring/index.ts";
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
