import { expect, test } from "vitest";
import { plan, rehearse } from "../core/plan/index.ts";
import { openSolids } from "../core/rehearse/index.ts";
import { featureSetupsOf } from "../core/route/index.ts";
import { phraseText } from "../core/working/index.ts";
import { oftenLeftOut, randomJob } from "./support/random-jobs.ts";
import { nowAndThen } from "./support/walked-jobs.ts";

/** Random jobs in which the literal machine once found something, and what was wrong then. */
test.each<[seed: number, was: string, readings?: readonly number[]]>([
  [326, "holes drilled through a shaft into the V-block below", oftenLeftOut],
  [390, "a hole with a head, drilled through over a V-block", oftenLeftOut],
  [404, "sides not cut down to the lower edge once straps were moved and the height was read", oftenLeftOut],
  [275, "edges chamfered that another feature takes away"],
  [418, "a first face that did not clean up and was to give no more, with metal to spare"],
  [569, "an end mill sent straight down at the feed of a side cut"],
  [596, "a zero lost while a wall was recut by a reading, and not taken again"],
  [1554, "three points on the table, told without their height"],
  [929, "a bought face gripped flat against one cut here, though nothing made them parallel"],
  [2156, "a boss rounded by a cutter wider than the gap beside it"],
  [2865, "a face cut in part: zero and size taken where it was not cut yet, and so cut through"],
  [3125, "the rest of a face read where it was cut before, and so left proud"],
  [3162, "ends cut beside what straps had held, higher than was told"],
  [2277, "a step at the end of a shaft, its depth counted from another section"],
])("job %i: %s", async (seed, _was, readings) => {
  const { job, shop } = randomJob(seed, readings);
  const { findings, finished } = rehearse({
    job,
    shop,
    kit: await openSolids(),
    seed,
    upsets: nowAndThen,
  });
  expect(findings.map(({ sort, op, what }) => [sort, op, what])).toEqual([]);
  expect(finished).toBe(true);
});

test("a crown that is gone all along is not touched: Z is taken on the floor of the slot", async () => {
  const { job, shop } = randomJob(72, oftenLeftOut);
  const { findings, records } = rehearse({
    job,
    shop,
    kit: await openSolids(),
    seed: 72,
    upsets: nowAndThen,
  });
  expect(findings).toEqual([]);
  expect(records.some((r) => r.type === "stale")).toBe(true);
});

test("a seat cut from the side, where its cutter would lie below the jaws, is refused", () => {
  const { job, shop } = randomJob(3201);
  const { features, setups } = plan({ job, records: [], shop, piece: 1 });
  const why = features!.refused.find((r) => r.feature === "f-2");
  expect(phraseText(why!.reason, "mm")).toContain("it would cut into the jaw");
  expect(featureSetupsOf(setups).some((s) => s.features.includes("f-2"))).toBe(false);
});
