import { equipment } from "../../core/job/index.ts";
import { useJob } from "./job-context.tsx";

/** Machine, vise and material of the open job. */
export function useEquipment() {
  const { job, shop } = useJob();
  return equipment(job, shop);
}
