import { writeFileSync } from "node:fs";
import { expect, test } from "vitest";
import { writeJobFile } from "../core/exchange/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { jobFileJsonSchema } from "../tests/support/job-file-schema.ts";
import { openSolids } from "../core/rehearse/index.ts";
import { keeperBlocks, keeperRecords } from "../tests/support/finished-job.ts";
import { demoJobs } from "../tests/support/demo-jobs.ts";

test("writes the schema and the demo jobs", async () => {
  writeFileSync("docs/formats/job-file.schema.json", jobFileJsonSchema());
  for (const job of demoJobs()) writeFileSync(`public/demo/${job.id}.json`, writeJobFile(job, [], demoShop));
  const made = keeperBlocks();
  const records = keeperRecords(made, await openSolids());
  writeFileSync(`public/demo/${made.id}.json`, writeJobFile(made, records, demoShop));
  expect(jobFileJsonSchema()).toContain("firm-arbor-job");
}, 120_000);
