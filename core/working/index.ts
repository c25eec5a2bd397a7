export * from "./capital.ts";
export * from "./entry-problem.ts";
export * from "./formulas.ts";
export * from "./limit.ts";
export * from "./outcome.ts";
export * from "./phrase.ts";
export * from "./warning.ts";
export * from "./working.ts";
