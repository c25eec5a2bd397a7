export * from "./live-passes.ts";
export * from "./progress.ts";
export * from "./record.ts";
export * from "./step.ts";
export * from "./upgrade.ts";
export * from "./feature-progress.ts";
export * from "./feature-step.ts";
export * from "./feature-steps.ts";
export { wallShift } from "./wall-fit.ts";
