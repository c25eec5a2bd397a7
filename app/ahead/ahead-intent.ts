import type { WorkingTimes } from "../../core/plan/index.ts";

/** What the work ahead can ask to be kept. */
export type AheadIntent =
  | { intent: "times"; times: WorkingTimes }
  | { intent: "date"; jobId: string; path: "due" | "ready"; from: string; to: string };
