import { expect, test } from "vitest";
import { parseQuantity, type QuantityKind } from "./index.ts";

test.each<[text: string, kind: QuantityKind, unit: "mm" | "in", value: number]>([
  ["100", "feed", "mm", 100],
  ["4", "feed", "in", 101.6],
  ["4 in/min", "feed", "mm", 101.6],
  ["100 mm/min", "feed", "in", 100],
  ["90 ft/min", "cuttingSpeed", "mm", 27.432],
  ["27,5", "cuttingSpeed", "mm", 27.5],
  ["2 hp", "power", "mm", 1.491399744],
  ["900 W", "power", "in", 0.9],
  ["30°", "angle", "mm", 30],
  ["10 lbf", "force", "mm", 44.48221615],
  ["450 rpm", "spindleSpeed", "in", 450],
  ["1/2", "length", "in", 12.7],
  ["0.003", "chip", "in", 0.0762],
  ["0", "length", "mm", 0],
])("%s as %s in %s", (text, kind, unit, value) => {
  const read = parseQuantity(text, kind, unit);
  expect(read.ok && read.value).toBeCloseTo(value, 6);
});

test.each<[text: string, kind: QuantityKind]>([
  ["", "feed"],
  ["fast", "feed"],
  ["-5", "force"],
  ["1e9", "power"],
  ["4 kW", "feed"],
  ["--3", "angle"],
])("%s is no %s", (text, kind) => expect(parseQuantity(text, kind, "mm").ok).toBe(false));

test("below zero only where it is meant", () => {
  expect(parseQuantity("-0.02", "length", "mm", true)).toEqual({ ok: true, value: -0.02 });
  expect(parseQuantity("−2", "angle", "mm", true)).toEqual({ ok: true, value: -2 });
});
