export * from "./angles.ts";
export * from "./check.ts";
export * from "./keyseat.ts";
export * from "./part.ts";
export * from "./thread.ts";
