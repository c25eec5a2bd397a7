import * as fc from "fast-check";
import { expect, test } from "vitest";
import type { Corner } from "../../../frame/index.ts";
import { outlineText, readOutline } from "./text.ts";

const place = fc.integer({ min: -5000, max: 5000 }).map((n) => n / 100);
const corners: fc.Arbitrary<Corner[]> = fc.uniqueArray(
  fc.record({ x: place, y: place, bulge: fc.integer({ min: -30, max: 30 }).map((n) => n / 20) }),
  { minLength: 3, maxLength: 8, selector: ({ x, y }) => `${Math.round(x)},${Math.round(y)}` },
);

test("points written and read again are the same, in mm and in inch", () => {
  fc.assert(
    fc.property(corners, fc.constantFrom("mm" as const, "in" as const), (made, unit) => {
      const read = readOutline(outlineText(made, unit), unit);
      if (!read.ok) throw new Error(`line ${read.line}`);
      expect(read.corners).toHaveLength(made.length);
      read.corners.forEach((corner, i) => {
        expect(corner.x).toBeCloseTo(made[i]!.x, 3);
        expect(corner.y).toBeCloseTo(made[i]!.y, 3);
        // A half circle is where the radius says least of the bulge.
        expect(corner.bulge).toBeCloseTo(
          made[i]!.bulge,
          Math.abs(Math.abs(made[i]!.bulge) - 1) < 0.06 ? 0 : 1,
        );
      });
    }),
  );
});

test.each([
  ["0 0\n10\n", 2],
  ["0 0\n10 0 12\n", 2],
  ["0 0 R\n", 1],
  ["a b\n", 1],
  ["0 0 R5 small", 1],
])("%j is told with its line", (text, line) => {
  expect(readOutline(text, "mm")).toMatchObject({ ok: false, line });
});

test("commas and fractions are read as everywhere", () => {
  expect(readOutline("0 0\n12,5 0\n\n1/2in 3", "mm")).toMatchObject({
    ok: true,
    corners: [
      { x: 0, y: 0 },
      { x: 12.5, y: 0 },
      { x: 12.7, y: 3 },
    ],
  });
});
