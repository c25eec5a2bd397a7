export * from "./seat.ts";
