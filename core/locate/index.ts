export * from "./arc-steps.ts";
export * from "./compensate.ts";
export * from "./dial.ts";
export * from "./pocket-moves.ts";
export * from "./slot-moves.ts";
export * from "./stop.ts";
export * from "./touch.ts";
