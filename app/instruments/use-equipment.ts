import { equipment, equipmentIn } from "../../core/job/index.ts";
import type { Setup } from "../../core/route/index.ts";
import { useJob } from "./job-context.tsx";

/** Machine, vise and material of the open job; of one of its setups, where one is meant. */
export function useEquipment(setup?: Pick<Setup, "machine">) {
  const { job, shop } = useJob();
  return setup ? equipmentIn(setup, job, shop) : equipment(job, shop);
}
