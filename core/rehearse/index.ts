export * from "./chance.ts";
export * from "./finding.ts";
export * from "./judge.ts";
export * from "./literal-machine.ts";
export * from "./lump.ts";
export { openSolids, type SolidKit } from "./solid.ts";
export * from "./told.ts";
export { findingPhrase } from "./words.ts";
export { Workpiece } from "./workpiece.ts";
