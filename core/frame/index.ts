export * from "./faces.ts";
export * from "./orientation.ts";
