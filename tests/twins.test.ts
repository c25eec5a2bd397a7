import { beforeAll, describe, expect, test } from "vitest";
import { type Job, twinOf } from "../core/job/index.ts";
import { plan, rehearse } from "../core/plan/index.ts";
import { openSolids, type SolidKit } from "../core/rehearse/index.ts";
import { isFaceSetup } from "../core/route/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { demoJobs } from "./support/demo-jobs.ts";

/** Mirrored twins followed by the literal machine, which knows nothing of mirrors: what is told of them is so. */

let kit: SolidKit;
beforeAll(async () => {
  kit = await openSolids();
});

const blocks = demoJobs().filter((job) => !job.part.shaft && job.id !== "cast-foot");
const twin = (job: Job): Job => ({
  ...twinOf(job, "length", { job: "twin", here: "a", there: "b" }).twin,
  // The same blank lies the other way round.
  stock: {
    ...job.stock,
    conditions: {
      ...job.stock.conditions,
      left: job.stock.conditions.right,
      right: job.stock.conditions.left,
    },
  },
});

describe.each(blocks.map((job) => [job.name, job] as const))("the twin of %s", (_name, job) => {
  test("is cut as told, from the blank to the end, with nothing found", () => {
    const { findings } = rehearse({ job: twin(job), shop: demoShop, kit, seed: 1 });
    expect(findings).toEqual([]);
  });

  test("has the places of its cuts on the other side of the middle", () => {
    const placesOf = (of: Job) =>
      plan({ job: of, records: [], shop: demoShop, piece: 1 })
        .setups.filter((s) => !isFaceSetup(s))
        .flatMap((s) => ("features" in s ? s.features : []))
        .sort();
    expect(placesOf(twin(job))).toEqual(placesOf(job));
  });
});
