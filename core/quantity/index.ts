export * from "./dimension.ts";
export * from "./fraction64.ts";
export * from "./parse-quantity.ts";
export * from "./parse.ts";
export * from "./quantity.ts";
export * from "./show-dimension.ts";
export * from "./guard.ts";
export * from "./units.ts";
