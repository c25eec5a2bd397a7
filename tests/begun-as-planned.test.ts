import { describe, expect, test } from "vitest";
import { plan } from "../core/plan/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { appended, beginningOf } from "../core/steps/index.ts";
import { phraseText } from "../core/working/index.ts";
import { jobOf } from "./parts/described.ts";
import { toolroomParts } from "./parts/toolroom.ts";
import { demoJobs } from "./support/demo-jobs.ts";

/** Begun, a setup is told as it was planned: the same faces by the same numbers, and those after it too. */
const jobs = [...demoJobs(), ...toolroomParts.map(jobOf)].map((job) => [job.name, job] as const);

describe("begun setups are what they were planned as", () => {
  test.each(jobs)("%s", (_name, job) => {
    const titles = ({ setups }: ReturnType<typeof plan>) => setups.map((s) => phraseText(s.title, "mm"));
    const planned = plan({ job, records: [], shop: demoShop, piece: 1 });
    let records: Parameters<typeof plan>[0]["records"] = [];
    for (const { operations } of planned.setups) {
      for (const { key } of operations)
        records = appended(records, ...beginningOf(planned.setups, key, records));
      const begun = plan({ job, records, shop: demoShop, piece: 1 });
      expect(titles(begun)).toEqual(titles(planned));
    }
  });
});
