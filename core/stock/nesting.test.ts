import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type BarToCut, type BlankToCut, nest } from "./nesting.ts";

const bars = (...lengths: number[]): BarToCut[] => lengths.map((length, i) => ({ id: `b${i}`, length }));
const blanks = (...lengths: number[]): BlankToCut[] => lengths.map((length, i) => ({ id: `p${i}`, length }));

/** The least length of bars that holds all blanks, by looking at every way; null where none does. */
function leastOpened(of: BarToCut[], wanted: BlankToCut[], kerf: number): number | null {
  let best: number | null = null;
  const left = of.map((b) => b.length + kerf);
  const put = (at: number) => {
    if (at === wanted.length) {
      const opened = of.reduce((sum, b, i) => sum + (left[i]! < b.length + kerf ? b.length : 0), 0);
      best = best === null ? opened : Math.min(best, opened);
      return;
    }
    const takes = wanted[at]!.length + kerf;
    left.forEach((room, i) => {
      if (room + 1e-9 < takes) return;
      left[i]! -= takes;
      put(at + 1);
      left[i]! += takes;
    });
  };
  put(0);
  return best;
}

const length = fc.integer({ min: 20, max: 400 });

describe("blanks nested into bars", () => {
  test("every blank once, none beyond its bar, kerfs and drops add up", () => {
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 14 }),
        fc.array(fc.integer({ min: 50, max: 1200 }), { maxLength: 8 }),
        fc.constantFrom(0, 1.6, 2),
        fc.constantFrom(0, 5),
        (wanted, have, kerf, trim) => {
          const made = nest(bars(...have), blanks(...wanted), kerf, trim);
          const ids = [...made.cut.flatMap((c) => c.blanks), ...made.missing].map((b) => b.id);
          expect([...ids].sort()).toEqual(
            blanks(...wanted)
              .map((b) => b.id)
              .sort(),
          );
          for (const { bar, blanks: inside, drop } of made.cut) {
            expect(inside.length).toBeGreaterThan(0);
            const cuts = (trim > 0 ? trim + kerf : 0) + inside.reduce((sum, b) => sum + b.length + kerf, 0);
            expect(cuts + drop).toBeGreaterThan(bar.length - 1e-6);
            expect(cuts + drop).toBeLessThan(bar.length + kerf + 1e-6);
          }
          expect(new Set(made.cut.map((c) => c.bar.id)).size).toBe(made.cut.length);
          expect(made.bound).toBeLessThanOrEqual(made.opened + 1e-9);
        },
      ),
    );
  });

  test("opens as little as the best of all ways", () => {
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 6 }),
        fc.array(fc.integer({ min: 100, max: 900 }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom(0, 2),
        (wanted, have, kerf) => {
          const least = leastOpened(bars(...have), blanks(...wanted), kerf);
          const made = nest(bars(...have), blanks(...wanted), kerf);
          if (least === null) expect(made.missing.length).toBeGreaterThan(0);
          else {
            expect(made.missing).toEqual([]);
            expect(made.opened).toBeCloseTo(least, 6);
            expect(made.bound).toBeCloseTo(least, 6);
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  test("sixty blanks into twelve bars come within two percent of the bound", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: 200, max: 3000 }).map((n) => n / 10),
          { minLength: 60, maxLength: 60 },
        ),
        fc.array(fc.integer({ min: 600, max: 3000 }), { minLength: 12, maxLength: 12 }),
        (wanted, have) => {
          const made = nest(bars(...have), blanks(...wanted), 2);
          fc.pre(made.missing.length === 0);
          expect(made.opened).toBeLessThanOrEqual(made.bound * 1.02);
        },
      ),
      { numRuns: 30 },
    );
  });

  test("the last cut of a bar that is used up is none", () => {
    const made = nest(bars(204), blanks(101, 101), 2);
    expect(made.missing).toEqual([]);
    expect(made.cut[0]!.drop).toBe(0);
    expect(nest(bars(203.9), blanks(101, 101), 2).missing).toHaveLength(1);
  });

  test("a blank longer than every bar is missing, and the others are nested", () => {
    const made = nest(bars(300, 500), blanks(900, 290), 2);
    expect(made.missing.map((b) => b.length)).toEqual([900]);
    expect(made.cut.map((c) => c.bar.length)).toEqual([300]);
  });
});
