import { effectivePart, equipment, type Job } from "../../core/job/index.ts";
import { planStart } from "../../core/plan/index.ts";
import { targetSizes } from "../../core/part/index.ts";
import { type ExtraOperation, Moves } from "../../core/route/index.ts";
import { demoShop } from "../../core/shop/index.ts";

/** The moves of a job's block in the demo shop, with operations on it besides its faces. */
export function movesOf(job: Job, extras: readonly ExtraOperation[] = []): Moves {
  const part = effectivePart(job);
  const { machine, vise, material } = equipment(job, demoShop);
  const start = planStart(
    job,
    part,
    targetSizes(part)!,
    { machine: machine!, vise: vise!, material: material! },
    demoShop,
  );
  return new Moves(start.raw, start.context, part, extras);
}
