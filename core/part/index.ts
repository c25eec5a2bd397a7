export * from "./angles.ts";
export * from "./check.ts";
export * from "./features/check-features.ts";
export * from "./features/index.ts";
export * from "./keyseat.ts";
export * from "./part.ts";
export * from "./thread.ts";
