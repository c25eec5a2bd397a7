export * from "./piece.ts";
export * from "./spare.ts";
export * from "./stock.ts";
export * from "./weight.ts";
export * from "./balance.ts";
export * from "./core-walls.ts";
export * from "./probed-check.ts";
export * from "./split-line.ts";
