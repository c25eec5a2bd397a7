export * from "./database.ts";
export * from "./files.ts";
export * from "./jobs.ts";
export * from "./shop.ts";
export * from "./watch.ts";
export * from "./not-kept.ts";
