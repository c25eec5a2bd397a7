import type { Face } from "../../core/frame/index.ts";
import { type Job, newJob } from "../../core/job/index.ts";
import { applyChanges, changeOf } from "../../core/job/index.ts";
import type { Feature } from "../../core/part/index.ts";
import type { StockForm } from "../../core/handbook/index.ts";
import { dim, featureList, read } from "../support/cheek-block.ts";

/** A part as somebody would describe it: what it is, what it is made from, what is cut into it. */
export interface Described {
  name: string;
  material: string;
  /** Length, width and height of a block as they are drawn; or the sections of a shaft, diameter and length. */
  block?: readonly [string, string, string];
  shaft?: readonly (readonly [string, string])[];
  stock?: StockForm;
  /** What stands over in length, width and height, mm; nothing where a size is bought. */
  over?: readonly [number, number, number];
  /** Faces that came finished. */
  finished?: readonly Face[];
  features: readonly Feature[];
  machine?: string;
  /** Why what of it cannot be made with what the demo shop has, by the rule that says so. */
  lacks?: readonly string[];
}

/** The job a part makes in the demo shop. */
export function jobOf(part: Described): Job {
  const set = (job: Job, path: string, to: unknown): Job => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(`${part.name}: ${path} could not be set`);
    return applied.job;
  };
  const id = part.name.toLowerCase().replace(/[^a-z0-9]+/g, "-");
  let job = newJob(id, part.name, part.machine ?? "knee", "vise-125");
  job = set(job, "part/material", part.material);
  if (part.shaft)
    job = set(job, "part/shaft", {
      byId: Object.fromEntries(
        part.shaft.map(([d, l], i) => [`s-${i}`, { id: `s-${i}`, diameter: dim(d), length: dim(l) }]),
      ),
      order: part.shaft.map((_, i) => `s-${i}`),
    });
  if (part.block) {
    const axes = ["length", "width", "height"] as const;
    job = set(job, "stock/form", part.stock ?? "sawn");
    for (const face of part.finished ?? []) job = set(job, `stock/conditions/${face}`, "milled");
    axes.forEach((axis, i) => {
      const size = dim(part.block![i]!);
      job = set(job, `part/sizes/${axis}`, size);
      const over = part.over?.[i] ?? 3;
      for (const point of [1, 2])
        job = set(
          job,
          `stock/measured/${axis}/p${point}`,
          read(Math.round((size.nominal + over - (point - 1) * 0.1 * Math.sign(over)) * 100) / 100),
        );
    });
  }
  return part.features.length > 0 ? set(job, "part/features", featureList(part.features)) : job;
}
