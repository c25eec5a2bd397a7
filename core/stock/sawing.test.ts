import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { materials } from "../handbook/index.ts";
import { blankItem, runOutLearned, type Saw } from "../shop/index.ts";
import { bladeFor, leastTeeth, sawCut, teethIn } from "./sawing.ts";

const saw = (given: Partial<Saw> = {}): Saw => ({ ...blankItem("saws", "saw"), ...given });
const steel = materials.find((m) => m.id === "steel-low-drawn")!;
const section = { thin: 20, wide: 30, area: 600 };

describe("a blade for a section", () => {
  test.each([
    [20, [6, 10, 14], 6],
    [6, [6, 10, 14], 14],
    [4, [6, 10, 14], 14],
    [3, [6, 10, 14], null],
    [100, [14, 24], 14],
    [10, [], null],
  ])("%s mm with %s teeth an inch owned: %s", (through, blades, blade) => {
    expect(bladeFor(through, blades)).toBe(blade);
  });

  test("the blade that is chosen has two teeth in the section, and no coarser one has three", () => {
    const tpi = fc.integer({ min: 2, max: 32 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        fc.array(tpi, { minLength: 1, maxLength: 6 }),
        (through, blades) => {
          const blade = bladeFor(through, blades);
          if (blade === null) {
            expect(Math.max(...blades.map((b) => teethIn(through, b)))).toBeLessThan(2);
            return;
          }
          expect(teethIn(through, blade)).toBeGreaterThanOrEqual(2 - 1e-9);
          const coarser = blades.filter(
            (b) => b < blade && teethIn(through, b) >= 3 && teethIn(through, b) <= 24,
          );
          expect(coarser).toEqual([]);
          expect(blade).toBeGreaterThanOrEqual(leastTeeth(through).two - 1e-9);
        },
      ),
    );
  });
});

describe("a saw cut", () => {
  const severities = (given: Partial<Saw>, over: Partial<typeof section> = {}, piece = 200) =>
    sawCut(saw(given), steel, { ...section, ...over }, piece).warnings.map((w) => w.severity);

  test.each([
    ["the right blade is fitted", { blades: [6, 14], fitted: 6 }, {}, 200, []],
    ["another one is better", { blades: [6, 14], fitted: 14 }, {}, 200, ["note"]],
    ["fewer than two teeth in the section", { blades: [6], fitted: 6 }, { thin: 6 }, 200, ["stop"]],
    ["none owned will do", { blades: [6], fitted: null }, { thin: 6 }, 200, ["warn"]],
    ["thicker than the saw takes", { blades: [6], fitted: 6, takes: 15 }, {}, 200, ["stop"]],
    ["a piece that falls into the table", { blades: [6], fitted: 6, throat: 12 }, {}, 8, ["warn"]],
    [
      "a short piece by hand at the blade",
      { kind: "uprightBand" as const, blades: [6], fitted: 6 },
      {},
      30,
      ["warn"],
    ],
    ["no speed slow enough", { blades: [6], fitted: 6, speeds: [120, 200] }, {}, 200, ["warn"]],
  ])("%s", (_what, given, over, piece, expected) => {
    expect(severities(given, over, piece)).toEqual(expected);
  });

  test("goes at the fastest speed within the band, and takes longer by hand", () => {
    const by = sawCut(saw({ speeds: [20, 50, 75, 100] }), steel, section, 200);
    expect(by.speed).toBe(75);
    expect(by.minutes.least).toBeLessThan(by.minutes.most);
    expect(sawCut(saw({ kind: "hand" }), steel, section, 200).minutes.least).toBeGreaterThan(by.minutes.most);
  });

  test("what a cut ran out is learned, new cuts counting more than old ones", () => {
    expect(runOutLearned(null, 0.3, 60)).toBeCloseTo(0.5, 9);
    expect(runOutLearned(0.5, 0.9, 60)).toBeCloseTo(1, 9);
    expect(runOutLearned(0.5, 0.3, 0)).toBeNull();
    expect(runOutLearned(0.5, -0.1, 60)).toBeNull();
  });
});
