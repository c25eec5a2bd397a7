import { expect, test } from "vitest";
import { block, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import type { Form } from "../part/index.ts";
import { formHint, formTyped } from "./form-typed.ts";

const part = (kind: Form["kind"]) =>
  block(
    [
      "part/features",
      featureList([
        featureOf("vGroove", "v", "top", {
          sizes: { width: "16" },
          numbers: { angle: 90 },
          first: "left 40",
        }),
      ]),
    ],
    [
      "part/form",
      { byId: { f: { id: "f", kind, face: "left", to: "right", feature: "v", limit: 0.05 } }, order: ["f"] },
    ],
  ).part;

test.each<[Form["kind"], string, "mm" | "in", number | null]>([
  ["symmetric", "12.02 11.98", "mm", 0.04],
  ["symmetric", "11.98; 12.02", "mm", 0.04],
  ["symmetric", "12.02, 11.98", "mm", 0.04],
  ["symmetric", "0.4732 0.4724 in", "mm", 0.02032],
  ["symmetric", "0.4732 0.4724", "in", 0.02032],
  ["symmetric", "12 12", "mm", 0],
  ["symmetric", "-12 12", "mm", null],
  ["symmetric", "12.02", "mm", null],
  ["symmetric", "12.02 11.98 12.00", "mm", null],
  ["symmetric", "1 1/2", "mm", null],
  ["symmetric", "12.02 wide", "mm", null],
  ["symmetric", "", "mm", null],
  ["position", "0.03 -0.04", "mm", 0.1],
  ["position", "0 0", "mm", 0],
  ["position", "−0.001 0", "in", 0.0508],
  ["position", "0.1", "mm", null],
  ["angle", "90°", "mm", 0],
  ["angle", "89.8 deg", "mm", 0.34907],
  ["angle", "89° 48'", "mm", 0.34907],
  ["angle", "89.8", "mm", null],
  ["parallel", "12.02 11.98", "mm", null],
])("%s: %s in %s", (kind, text, unit, error) => {
  const said = formTyped(part(kind), "form/f", text, unit);
  if (error === null) expect(said).toBeNull();
  else expect(said).toBeCloseTo(error, 4);
});

test.each([
  ["symmetric", true],
  ["position", true],
  ["angle", true],
  ["flat", false],
] as const)("%s tells how it is read: %s", (kind, hint) => {
  expect(formHint(part(kind), "form/f") !== null).toBe(hint);
  expect(formHint(part(kind), "length")).toBeNull();
});
