export * from "./faces.ts";
export * from "./orientation.ts";
export * from "./outline.ts";
