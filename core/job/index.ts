export * from "./change.ts";
export * from "./job.ts";
export * from "./migrations.ts";
export * from "./plan.ts";
export * from "./requirement.ts";
export * from "./workings.ts";
export { type Change } from "../steps/index.ts";
