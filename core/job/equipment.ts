import { type Material, materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { inUse, type Machine, type Shop, type Vise } from "../shop/index.ts";
import type { Setup } from "../route/index.ts";
import type { Job } from "./job.ts";

/** The machine a setup is planned on; one that was retired since still serves. Undefined where it is gone from the shop. */
export const machineOf = ({ machine }: Pick<Setup, "machine">, shop: Shop): Machine | undefined =>
  shop.machines.find((m) => m.id === machine);

/** Machine, vise and material of a job in one of its setups. */
export const equipmentIn = (
  setup: Pick<Setup, "machine">,
  job: Job,
  shop: Shop,
  own?: OwnHandbook,
): ReturnType<typeof equipment> => {
  const all = equipment(job, shop, own);
  return { ...all, machine: machineOf(setup, shop) ?? all.machine };
};

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
