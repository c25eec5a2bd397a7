export * from "./check.ts";
export * from "./part.ts";
