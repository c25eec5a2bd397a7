export * from "./cutter.ts";
export * from "./demo-shop.ts";
export * from "./holding-devices.ts";
export * from "./instrument.ts";
export * from "./machine.ts";
export * from "./shop.ts";
export * from "./speed-steps.ts";
