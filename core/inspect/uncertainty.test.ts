import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { atReference, counting, doubtsOf, isOverdue } from "./uncertainty.ts";

const plain = {
  instrument: 0.005,
  overdue: false,
  reference: 0,
  size: 100,
  expansion: 0.0115,
  temperatures: null,
};

describe("what a reading is in doubt by", () => {
  test.each([
    ["the instrument alone", {}, 0.005],
    ["half as much again when its check is overdue", { overdue: true }, 0.0075],
    ["with the gauge block it was compared with", { reference: 0.012 }, 0.013],
    // 100 mm, a degree of part and of instrument: 0.00115 × √2.
    ["with temperatures known to a degree", { temperatures: { part: 30, instrument: 20 } }, 0.00526],
  ])("%s", (_what, more, u) => {
    expect(doubtsOf({ ...plain, ...more }).total).toBeCloseTo(u, 5);
  });

  test("more doubt is never less uncertainty", () => {
    const some = fc.double({ min: 0, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(some, some, some, fc.boolean(), (instrument, reference, size, overdue) => {
        const asked = { ...plain, instrument, reference, size: size * 1e4, overdue };
        const { total } = doubtsOf(asked);
        expect(total).toBeGreaterThanOrEqual(Math.max(instrument, reference) - 1e-6);
        expect(doubtsOf({ ...asked, overdue: true }).total).toBeGreaterThanOrEqual(total - 1e-9);
      }),
    );
  });
});

test.each([
  // Steel part and steel instrument alike warm: the two growths are one.
  ["both warm, of one metal", 100, { part: 30, instrument: 30 }, 0.0115, 100],
  ["a warm part reads large", 100.0115, { part: 30, instrument: 20 }, 0.0115, 100],
  ["aluminum grows twice as much", 100.023, { part: 30, instrument: 20 }, 0.023, 100],
  ["a cold part reads small", 99.9885, { part: 10, instrument: 20 }, 0.0115, 100],
] as const)("%s", (_what, read, at, expansion, is) => {
  expect(atReference(read, at, expansion)).toBeCloseTo(is, 4);
});

test.each([
  ["never checked", "", null, "2026-11-30", false],
  ["within a year", "2026-01-10", null, "2026-11-30", false],
  ["after a year", "2025-10-10", null, "2026-11-30", true],
  ["after its own three months", "2026-08-01", 3, "2026-11-30", true],
] as const)("%s", (_what, last, every, on, overdue) => {
  expect(isOverdue(last, every, on)).toBe(overdue);
});

describe("readings that count", () => {
  const caliper = (value: number) => ({ value, u: 0.03 });
  const micrometer = (value: number) => ({ value, u: 0.005 });
  test.each([
    ["a caliper gives way to a micrometer after it", [caliper(20.02), micrometer(20.004)], [20.004]],
    ["not to one before it", [micrometer(20.004), caliper(20.02)], [20.004, 20.02]],
    ["not where both cannot be true", [caliper(20.2), micrometer(20.004)], [20.2, 20.004]],
    ["not to one as coarse", [caliper(20.02), caliper(20)], [20.02, 20]],
  ])("%s", (_what, readings, left) => {
    expect(counting(readings).map((r) => r.value)).toEqual(left);
  });
});
