import { expect, test } from "vitest";
import { sidesTyped } from "./two-sides.ts";

test.each([
  ["12.02 11.98", "mm", 0.04],
  ["11.98; 12.02", "mm", 0.04],
  ["12.02, 11.98", "mm", 0.04],
  ["0.4732 0.4724 in", "mm", 0.02032],
  ["0.4732 0.4724", "in", 0.02032],
  ["12 12", "mm", 0],
  ["12.02", "mm", null],
  ["12.02 11.98 12.00", "mm", null],
  ["1 1/2", "mm", null],
  ["12.02 wide", "mm", null],
  ["", "mm", null],
] as const)("%s in %s", (text, unit, difference) => {
  const said = sidesTyped(text, unit);
  if (difference === null) expect(said).toBeNull();
  else expect(said).toBeCloseTo(difference, 6);
});
