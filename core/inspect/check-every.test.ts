import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { checkEvery } from "./check-every.ts";
import { seriesOf } from "./series.ts";

const limits = { lower: 9.9, upper: 10.1 };
const of = (values: readonly number[], u = 0) =>
  checkEvery(
    seriesOf(
      values.map((v, i) => ({ piece: i + 1, low: v, high: v })),
      limits,
      u,
    )!,
    limits,
    u,
  );

describe("of how many pieces one is measured", () => {
  test.each([
    ["three are read", [10, 10, 10], { every: 1, why: "few" }],
    ["all are alike", [10, 10.001, 9.999, 10, 10.001], { every: 10, why: "spread" }],
    ["one is past a limit", [10, 10, 10, 10.2, 10], { every: 1, why: "again" }],
    ["they scatter up to the limits", [9.93, 10.07, 9.94, 10.06, 9.95, 10.05], { every: 1, why: "spread" }],
    ["it drifts and is near the end", [10.06, 10.07, 10.08, 10.09], { every: 1, why: "drift" }],
    ["it drifts and is far from it", [10, 10.002, 10.004, 10.006, 10.008], { every: 10, why: "drift" }],
  ])("%s", (_what, values, expected) => {
    expect(of(values)).toEqual(expected);
  });

  test("the wider the scatter, the more are measured", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -10, max: 10 }), { minLength: 6, maxLength: 12 }),
        fc.constantFrom(2, 3),
        (raw, wider) => {
          const at = (scale: number) => of(raw.map((r, i) => 10 + (i % 2 ? r : -r) * scale));
          const [narrow, wide] = [at(0.0005), at(0.0005 * wider)];
          fc.pre(narrow.why === "spread" && wide.why === "spread");
          expect(wide.every).toBeLessThanOrEqual(narrow.every);
        },
      ),
    );
  });
});
