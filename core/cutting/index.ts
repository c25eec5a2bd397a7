export * from "./bending.ts";
export * from "./chip.ts";
export * from "./cut.ts";
export * from "./feed.ts";
export * from "./force.ts";
export * from "./passes.ts";
export * from "./power.ts";
export * from "./speed.ts";
