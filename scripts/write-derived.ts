import { writeFileSync } from "node:fs";
import { expect, test } from "vitest";
import { writeJobFile } from "../core/exchange/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { jobFileJsonSchema } from "../tests/support/job-file-schema.ts";
import { cheekBlockWithFeatures } from "../tests/support/cheek-block.ts";

test("writes the schema and the demo job", () => {
  writeFileSync("docs/formats/job-file.schema.json", jobFileJsonSchema());
  writeFileSync("public/demo/cheek-block.json", writeJobFile(cheekBlockWithFeatures(), [], demoShop));
  expect(jobFileJsonSchema()).toContain("firm-arbor-job");
});
