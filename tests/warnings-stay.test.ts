import { describe, expect, test } from "vitest";
import type { Job } from "../core/job/index.ts";
import { type Plan, plan } from "../core/plan/index.ts";
import { demoShop, type Shop } from "../core/shop/index.ts";
import { appended, beginningOf, type Record as JobRecord } from "../core/steps/index.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { randomJob } from "./support/random-jobs.ts";

/** Ids of what is said of an operation and of its setup, but for notes. */
function saidOf(made: Plan, key: string): string[] {
  const setup = made.setups.find((s) => s.operations.some((o) => o.key === key))!;
  const operation = setup.operations.find((o) => o.key === key)!;
  const of = operation.by === "face" ? operation.cut.warnings : operation.warnings;
  return [...new Set(phraseIds([...setup.warnings, ...of].filter((w) => w.severity !== "note")))].sort();
}

const jobs: [string, Job, Shop][] = [
  ...demoJobs().map((job): [string, Job, Shop] => [job.id, job, demoShop]),
  // The last have depths of their own beyond what machine and cutter bear.
  ...[...Array.from({ length: 30 }, (_, i) => i + 1), 395, 528, 649, 750].map((seed): [string, Job, Shop] => {
    const { job, shop } = randomJob(seed);
    return [`random ${seed}`, job, shop];
  }),
];

describe("what is told stays told", () => {
  test.each(jobs)("%s: beginning a setup takes no warning away and adds none", (_name, job, shop) => {
    let records: JobRecord[] = [];
    let made = plan({ job, records, shop, piece: 1 });
    for (const key of made.setups.map((s) => s.operations[0].key)) {
      const setup = made.setups.find((s) => s.operations[0].key === key);
      if (!setup) continue;
      const before = saidOf(made, key);
      records = appended(records, ...beginningOf(made.setups, key, records));
      made = plan({ job, records, shop, piece: 1 });
      expect([key, saidOf(made, key)]).toEqual([key, before]);
    }
  });
});
