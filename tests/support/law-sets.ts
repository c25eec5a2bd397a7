import { demoShop } from "../../core/shop/index.ts";
import { demoJobs } from "./demo-jobs.ts";
import { randomJob } from "./random-jobs.ts";
import type { JobToWalk } from "./walked-jobs.ts";

/** The seeds that the check walks, first and last. */
export const checkedSeeds = [1, 16] as const;

/** The jobs whose findings the check holds at "not more than". */
export const lawSets: { name: "demo" | "random"; jobs: () => JobToWalk[] }[] = [
  {
    name: "demo",
    jobs: () => demoJobs().map((job) => ({ name: job.id, seed: 1, job, shop: demoShop })),
  },
  {
    name: "random",
    jobs: () =>
      Array.from({ length: checkedSeeds[1] - checkedSeeds[0] + 1 }, (_, i) => ({
        name: String(checkedSeeds[0] + i),
        ...randomJob(checkedSeeds[0] + i),
      })),
  },
];
