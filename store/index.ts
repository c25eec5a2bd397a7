export * from "./database.ts";
export type { Imported, OnDiffer } from "./files.ts";
/** Files in and out: loaded when the first one comes or goes. */
export const files = () => import("./files.ts");
export * from "./cards.ts";
export * from "./jobs.ts";
export * from "./shop.ts";
export * from "./watch.ts";
export * from "./not-kept.ts";
