import type { Sizes } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import type { Job, PlainOverride } from "../job/index.ts";
import type { DrawingFinding, Part } from "../part/index.ts";
import type { Machine, Shop, Vise } from "../shop/index.ts";
import type { Progress } from "../steps/index.ts";
import type { Plan } from "./plan.ts";

/** What setups are planned from. */
export interface SetupsAsked {
  job: Job;
  part: Part;
  target: Sizes;
  findings: readonly DrawingFinding[];
  progress: Progress;
  equipped: { machine: Machine; vise: Vise; material: Material };
  shop: Shop;
  overrides: readonly PlainOverride[];
}

/** What a plan has of its setups, before anything is walked. */
export type PlannedSetups = Pick<
  Plan,
  | "setups"
  | "zeros"
  | "refusal"
  | "warnings"
  | "features"
  | "ladders"
  | "overrides"
  | "spares"
  | "spareVerdict"
  | "raw"
  | "school"
>;
