import { describe, expect, test } from "vitest";
import fc from "fast-check";
import { formVerdict, sizeVerdict } from "./verdict.ts";

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

describe("an error of form is at most so much", () => {
  const is = (value: number) => ({ value, atMost: false });
  const noMore = (value: number) => ({ value, atMost: true });
  test.each([
    ["well within", [is(0.02), is(0.03)], 0.005, "good"],
    ["so near that it may be past", [is(0.048)], 0.005, "withinU"],
    ["past", [is(0.02), is(0.06)], 0.005, "rework"],
    ["read with what cannot tell it", [is(0.048)], 0.03, "cannotTell"],
    ["no light under the square", [noMore(0.003)], 0.01, "good"],
    ["a feeler too thick to prove it", [noMore(0.1)], 0.01, "cannotTell"],
    ["no light at one place, a gap at another", [noMore(0.003), is(0.08)], 0.005, "rework"],
  ])("%s", (_what, readings, u, verdict) => {
    expect(formVerdict(readings, 0.05, u)?.verdict).toBe(verdict);
  });
  test("none without a reading, or with an uncertainty below nothing", () => {
    expect(formVerdict([], 0.05, 0)).toBeNull();
    expect(formVerdict([is(0.01)], 0.05, -1)).toBeNull();
  });
});
