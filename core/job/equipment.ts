import { type Material, materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { inUse, type Machine, type Shop, type Vise } from "../shop/index.ts";
import type { Job } from "./job.ts";

/** Machine, vise and material of a job as the plan uses them. What a job names serves even when retired since. */
export function equipment(
  job: Job,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
): { machine: Machine | undefined; vise: Vise | undefined; material: Material | undefined } {
  const usable = inUse(shop);
  return {
    machine: shop.machines.find((m) => m.id === job.machine) ?? usable.machines[0],
    vise: shop.vises.find((v) => v.id === job.vise) ?? usable.vises[0],
    material: job.part.material ? materialIn(own, job.part.material) : undefined,
  };
}
