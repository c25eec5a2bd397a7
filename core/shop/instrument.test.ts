import { expect, test } from "vitest";
import { canMeasure, type MeasuredHow } from "./instrument.ts";

test.each([
  ["a caliper on an outside size", "caliper", 0, 150, "outside", 60, true],
  ["a caliper beyond its range", "caliper", 0, 150, "outside", 180, false],
  ["a micrometer 0–25 on 52.43", "micrometer", 0, 25, "outside", 52.43, false],
  ["an outside micrometer in a bore", "micrometer", 0, 25, "inside", 20, false],
  ["a depth micrometer on an outside length", "depthMicrometer", 0, 75, "outside", 60, false],
  ["a depth micrometer on a depth", "depthMicrometer", 0, 75, "depth", 12, true],
  ["a telescopic gauge in a slot", "telescopicGauge", 8, 150, "inside", 14, true],
  ["an edge finder on anything", "edgeFinder", 10, 10, "outside", 10, false],
  ["a square on a form", "square", 0, 0, "form", 0.02, true],
] as const)("%s", (_name, kind, from, to, how, size, can) => {
  expect(canMeasure({ kind, from, to }, how satisfies MeasuredHow, size)).toBe(can);
});
