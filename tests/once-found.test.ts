import { expect, test } from "vitest";
import { rehearse } from "../core/plan/index.ts";
import { openSolids } from "../core/rehearse/index.ts";
import { randomJob } from "./support/random-jobs.ts";
import { nowAndThen } from "./support/walked-jobs.ts";

/** Random jobs beyond the first two hundred in which the literal machine once found something, and what was wrong then. */
test.each<[seed: number, was: string]>([
  [326, "holes drilled through a shaft into the V-block below"],
  [390, "a hole with a head, drilled through over a V-block"],
  [370, "strokes beside the outer corners of what stands, where nothing is left"],
  [404, "sides not cut down to the lower edge once straps were moved and the height was read"],
  [437, "a wall touched anew on the ledge below it"],
  [481, "a cutter too wide for the travel across"],
  [522, "a wall cut on the way in that was called air"],
])("job %i: %s", async (seed) => {
  const { job, shop } = randomJob(seed);
  const { findings } = rehearse({ job, shop, kit: await openSolids(), seed, upsets: nowAndThen });
  expect(findings.map(({ sort, op, what }) => [sort, op, what])).toEqual([]);
});

test("a crown that is gone all along is not touched: Z is taken on the floor of the slot", async () => {
  const { job, shop } = randomJob(72);
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
