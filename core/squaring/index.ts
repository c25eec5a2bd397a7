export { isThin } from "./on-a-plate.ts";
export * from "./face-key.ts";
export * from "./next-cut.ts";
export * from "./on-the-table.ts";
export * from "./round-the-block.ts";
export * from "./schools.ts";
export * from "./two-setups.ts";
export * from "./widest-first.ts";
