export * from "./dial.ts";
export * from "./stop.ts";
export * from "./touch.ts";
