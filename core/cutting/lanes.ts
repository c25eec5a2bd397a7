import { type Mm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter } from "../shop/index.ts";
import type { CutTask } from "./task.ts";

/** How a width is taken: width of each lane in mm, and how many. */
export interface Lanes {
  width: Mm;
  lanes: number;
}

/** Facing width per lane as a share of D (domain.md 6), and narrower ones tried to get under a skin. */
export const laneShares = [0.7, 0.5, 0.35, 0.25] as const;

/** Lanes over a face at a share of the cutter's diameter; over a slab or groove at the cutter's own length. */
export function lanesAt(task: CutTask, cutter: Cutter, share: number): Lanes {
  const d = cuttingDiameter(cutter);
  if (task.kind === "slot") return { width: d, lanes: 1 };
  if (task.kind === "groove") {
    const lanes = Math.max(1, Math.ceil(task.across / cutter.fluteLength - 1e-9));
    return { width: cutter.fluteLength, lanes };
  }
  if (task.kind === "slab") {
    const lanes = Math.max(1, Math.ceil(task.across / (cutter.fluteLength * (share / laneShares[0])) - 1e-9));
    return { width: tidy(task.across / lanes), lanes };
  }
  if (task.kind !== "face") return { width: tidy(task.across + task.proud), lanes: 1 };
  if (share >= laneShares[0] && task.across <= 0.75 * d) return { width: task.across, lanes: 1 };
  const lanes = Math.max(1, Math.ceil(task.across / (share * d) - 1e-9));
  return { width: tidy(task.across / lanes), lanes };
}
