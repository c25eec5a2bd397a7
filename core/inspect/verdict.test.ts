import { describe, expect, test } from "vitest";
import fc from "fast-check";
import { sizeVerdict } from "./verdict.ts";

const limits = { lower: 13.98, upper: 14.02 };

describe("the verdict of a size goes by what cutting does to it", () => {
  test.each([
    ["a slot within its limits", "inside", [13.995, 14.005], "good", 0],
    ["a slot too narrow can be cut again", "inside", [13.9, 13.95], "rework", 0.1],
    ["a slot too wide cannot", "inside", [14.0, 14.1], "over", 0],
    ["one place too narrow, one too wide: past saving", "inside", [13.9, 14.1], "over", 0],
    ["a tongue too wide can be cut again", "outside", [14.0, 14.1], "rework", 0.1],
    ["a tongue too narrow cannot", "outside", [13.9, 14.0], "under", 0],
    ["one place of it too wide, one too narrow: past saving", "outside", [13.9, 14.1], "under", 0],
    ["both sides of the limits are not within them", "inside", [13.97, 14.03], "over", 0],
  ] as const)("%s", (_name, of, readings, verdict, rework) => {
    const made = sizeVerdict([...readings], limits, 0.005, of)!;
    expect([made.verdict, made.rework]).toEqual([verdict, rework]);
  });

  test("an inside size is the mirror of an outside one", () => {
    const reading = fc.double({ min: 13.8, max: 14.2, noNaN: true });
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 4 }), (readings) => {
        const mirrored = readings.map((r) => 28 - r);
        const [inside, outside] = [
          sizeVerdict(readings, limits, 0.004, "inside")!,
          sizeVerdict(mirrored, limits, 0.004)!,
        ];
        const same = { over: "under", under: "over" } as Record<string, string>;
        expect(same[inside.verdict] ?? inside.verdict).toBe(outside.verdict);
        expect(inside.rework).toBeCloseTo(outside.rework, 6);
      }),
    );
  });
});
