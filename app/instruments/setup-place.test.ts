import { describe, expect, test } from "vitest";
import { plan } from "../../core/plan/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { block } from "../../tests/support/cheek-block.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { clampingsOf, setupLabel, setupPlace } from "./setup-place.ts";

const planOf = (job: Parameters<typeof plan>[0]["job"]) =>
  plan({ job, records: [], shop: demoShop, piece: 1 });
const inTwoSetups = block([
  "overrides",
  {
    byId: { own: { id: "own", at: "route", what: "school", value: "twoSetups", reason: "own", since: "" } },
    order: ["own"],
  },
]);

describe.each([
  ...demoJobs().map((job) => [job.id, job] as const),
  ["a block in two setups", inTwoSetups] as const,
])("what the setups of %s are called", (_id, job) => {
  const made = planOf(job);
  const labels = made.setups.map((s) => setupLabel(s, made));

  test("no two alike, in order, the last of them by how often the part is placed", () => {
    expect(new Set(labels).size).toBe(labels.length);
    const numbers = labels.map((l) => Number.parseInt(l, 10));
    expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
    expect(numbers.at(-1) ?? 0).toBe(clampingsOf(made));
  });

  test("a letter stands where the part stays as it was clamped, and only there", () => {
    for (const setup of made.setups)
      expect(/[a-z]$/.test(setupLabel(setup, made))).toBe(setup.entry !== "placed");
  });

  test("where one stands in the route says the same number", () => {
    for (const setup of made.setups)
      expect(setupPlace(setup, made)).toMatch(
        new RegExp(`^setup ${setup.clamping}[a-z]? of ${clampingsOf(made)}(, cut \\d+ of \\d+)?$`),
      );
  });
});
