import { expect, test } from "vitest";
import { materials } from "../handbook/index.ts";
import { phraseText } from "../working/index.ts";
import { type CutForFluid, cutsDry, fluidWords } from "./index.ts";

const text = (id: string, cut: CutForFluid) =>
  phraseText(
    fluidWords(
      materials.find((m) => m.id === id)!,
      cut,
    ),
    "mm",
  );

test.each<[material: string, cut: CutForFluid, says: RegExp, not: RegExp]>([
  ["steel-free", { goes: "along", removal: 3 }, /Brush it on before each stroke/, /steadily/],
  ["steel-free", { goes: "along", removal: 40 }, /keep it flowing/, /before each stroke/],
  ["steel-free", { goes: "down", removal: 3 }, /Apply before it goes down/, /stroke/],
  ["steel-free", { goes: "byHand", removal: 0 }, /Oil the tap/, /flow/],
  ["pvc", { goes: "along", removal: 90 }, /^Cut it dry/, /flow|Brush it/],
])("%s, %o", (material, cut, says, not) => {
  expect(text(material, cut)).toMatch(says);
  expect(text(material, cut)).not.toMatch(not);
});

test("gray cast iron is cut dry whatever comes off, and no material is left without a word", () => {
  for (const material of materials)
    for (const goes of ["along", "down"] as const) {
      const said = phraseText(fluidWords(material, { goes, removal: 50 }), "mm");
      expect(said).toContain(material.fluid);
      expect(/^Cut it dry/.test(said)).toBe(cutsDry(material));
    }
  expect(materials.filter((m) => m.group === "iron").every(cutsDry)).toBe(true);
});
