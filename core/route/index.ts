export * from "./operation.ts";
export * from "./round-the-block.ts";
export * from "./route.ts";
export * from "./setup.ts";
