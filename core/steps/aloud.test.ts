import { expect, test } from "vitest";
import { cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { aloud, heard } from "./index.ts";

test.each([
  ["−0.84 mm", "minus 0 point 8 4 millimeters"],
  ["12.00 mm", "12 point 0 0 millimeters"],
  ["1.375 in", "1 point 3 7 5 inches"],
  ["40", "40"],
])("%s is heard as %s", (text, said) => expect(heard(text)).toBe(said));

test("every step of a plan has something to be heard, and a stop is heard with its digits", () => {
  const { steps } = plan({ job: cheekBlockWithFeatures(), shop: demoShop, records: [], piece: 1 });
  for (const step of steps) {
    const said = aloud(step, "mm");
    expect(said).toMatch(/\S.*\.$/);
    if (step.pass ?? step.move) expect(said).toMatch(/ point \d/);
    expect(said).not.toMatch(/\d\.\d|undefined/);
  }
});
