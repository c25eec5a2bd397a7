import { writeFileSync } from "node:fs";
import { expect, test } from "vitest";
import { writeJobFile } from "../core/exchange/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { jobFileJsonSchema } from "../tests/support/job-file-schema.ts";
import { demoJobs } from "../tests/support/demo-jobs.ts";

test("writes the schema and the demo jobs", () => {
  writeFileSync("docs/formats/job-file.schema.json", jobFileJsonSchema());
  for (const job of demoJobs()) writeFileSync(`public/demo/${job.id}.json`, writeJobFile(job, [], demoShop));
  expect(jobFileJsonSchema()).toContain("firm-arbor-job");
});
