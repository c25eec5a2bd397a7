import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { blankItem, type Bar } from "../shop/index.ts";
import { barsFor, blankFromBar, givesBlank, piecesFromBar, type WantedBlank } from "./from-bar.ts";

const wanted: WantedBlank = {
  finished: { length: 45, width: 32, height: 25 },
  shaft: false,
  material: "steel-low-drawn",
  facing: 1,
  kerf: 2,
  runsOut: 0,
};
const bar = (given: Partial<Bar>): Bar => ({ ...blankItem("bars", "bar"), ...given });

describe("a blank from a bar", () => {
  test.each([
    ["a flat that is bought to size", { across: 32, thick: 25, length: 300 }, 6],
    ["the last piece needs no saw cut", { across: 32, thick: 25, length: 292 }, 6],
    ["a tenth too short for six gives five", { across: 32, thick: 25, length: 291.9 }, 5],
    ["a round that holds it corner to corner", { section: "round" as const, across: 40.7, length: 300 }, 6],
    ["a hexagon", { section: "hex" as const, across: 40.3, length: 300 }, 6],
  ])("%s", (_what, given, gives) => {
    expect(blankFromBar(bar(given), wanted)).toMatchObject({
      along: "length",
      sawLength: 47,
      pitch: 49,
      gives,
    });
  });

  test.each([
    ["of another material", { material: "bronze" }, { why: "material" }],
    ["too thin", { across: 60, thick: 24.5, length: 900 }, { why: "section", short: 0.5 }],
    ["too short", { across: 32, thick: 25, length: 40 }, { why: "length", short: 7 }],
    [
      "a round a tenth too small",
      { section: "round" as const, across: 40.5, length: 300 },
      { why: "section" },
    ],
    [
      "rolled: its skin is milled away",
      { form: "hotRolled" as const, across: 32, thick: 25, length: 300 },
      { why: "section", short: 1 },
    ],
    [
      "reserved for others",
      {
        across: 32,
        thick: 25,
        length: 100,
        claims: [{ id: "c", jobId: "j", jobName: "", each: 60, kerf: 2, count: 1 }],
      },
      { why: "length" },
    ],
  ])("none from a bar that is %s", (_what, given, lacks) => {
    expect(blankFromBar(bar(given), wanted)).toMatchObject(lacks);
  });

  test("a shaft is sawn from a round alone, its length along it", () => {
    const shaft = { ...wanted, shaft: true, finished: { length: 120, width: 30, height: 30 } };
    expect(blankFromBar(bar({ across: 60, thick: 60, length: 900 }), shaft)).toEqual({ why: "round" });
    expect(blankFromBar(bar({ section: "round", across: 30, length: 900 }), shaft)).toMatchObject({
      along: "length",
      sawLength: 122,
    });
  });

  test("never more blanks than the free length holds, and none smaller than the part", () => {
    const size = fc.integer({ min: 5, max: 80 });
    fc.assert(
      fc.property(
        size,
        size,
        size,
        size,
        size,
        fc.integer({ min: 20, max: 900 }),
        fc.nat(3),
        (l, w, h, across, thick, length, runsOut) => {
          const asked = { ...wanted, finished: { length: l, width: w, height: h }, runsOut };
          const made = blankFromBar(bar({ across, thick, length }), asked);
          if (!("gives" in made)) return;
          expect(made.gives).toBeGreaterThan(0);
          expect(made.gives * made.pitch - asked.kerf).toBeLessThanOrEqual(length + 1e-6);
          expect((made.gives + 1) * made.pitch - asked.kerf).toBeGreaterThan(length);
          expect(made.sawLength).toBeGreaterThanOrEqual(asked.finished[made.along] + 2 * asked.facing - 1e-9);
          expect(asked.finished[made.across.wide]).toBeLessThanOrEqual(across);
          expect(asked.finished[made.across.thick]).toBeLessThanOrEqual(thick);
          expect(made.waste).toBeGreaterThanOrEqual(-1e-6);
        },
      ),
    );
  });

  test("the bar that gives all comes first, then the least to mill away, then an off-cut; what gives none last", () => {
    const rack = [
      bar({ id: "thick", across: 60, thick: 40, length: 900 }),
      bar({ id: "bronze", material: "bronze", length: 900 }),
      bar({ id: "short", across: 32, thick: 25, length: 60 }),
      bar({ id: "exact", across: 32, thick: 25, length: 900 }),
      bar({ id: "end", across: 32, thick: 25, length: 310, offcut: true }),
      bar({ id: "narrow", across: 31, thick: 25, length: 900 }),
    ];
    const found = barsFor(rack, wanted, 6);
    expect(found.map((f) => f.bar.id)).toEqual(["end", "exact", "thick", "short", "narrow", "bronze"]);
    expect(found.filter(givesBlank)).toHaveLength(4);
  });
});

describe("pieces from a bar", () => {
  test("the bar for a length and the length from that bar belong together", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 5, max: 500 }),
        fc.constantFrom(0, 1, 2.5),
        fc.constantFrom(0, 1.6, 3),
        fc.constantFrom(0, 5),
        (count, finished, facing, kerf, trim) => {
          const there = piecesFromBar({ count, finished, facing, kerf, trim })!;
          const back = piecesFromBar({ count, bar: there.bar, facing, kerf, trim })!;
          expect(back.finished).toBeCloseTo(finished, 6);
          expect(back.sawLength).toBeCloseTo(there.sawLength, 6);
        },
      ),
    );
  });

  test.each([
    ["no count", { count: 0, finished: 10, facing: 1, kerf: 1, trim: 0 }],
    ["half a piece", { count: 1.5, finished: 10, facing: 1, kerf: 1, trim: 0 }],
    ["a saw that puts on metal", { count: 2, finished: 10, facing: 1, kerf: -1, trim: 0 }],
    ["a bar that is all saw cut", { count: 10, bar: 20, facing: 1, kerf: 2, trim: 0 }],
    ["nothing asked", { count: 2, facing: 1, kerf: 1, trim: 0 }],
  ])("%s is none", (_what, asked) => {
    expect(piecesFromBar(asked)).toBeNull();
  });
});
