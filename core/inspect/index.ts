export * from "./cannot-be.ts";
export * from "./correction.ts";
export * from "./plane.ts";
export * from "./remaining.ts";
export * from "./squareness.ts";
export * from "./verdict.ts";
export * from "./detective.ts";
export * from "./suspects.ts";
