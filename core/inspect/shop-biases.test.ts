import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { biasesFrom, type BiasSeen } from "./shop-biases.ts";

const usual = new Map([
  ["jaw", 2e-4],
  ["bed", 1e-4],
  ["tram", 1.5e-4],
]);
const saw = (counts: Record<string, number>, slope: number, sigma = 1e-5): BiasSeen => ({
  counts: new Map(Object.entries(counts)),
  slope,
  sigma,
});
const found = (seen: BiasSeen[]) => new Map(biasesFrom(seen, usual).map((b) => [b.name, b]));

describe("what readings of blocks say of the shop", () => {
  test("one bias alone, seen twice over, is told at its half", () => {
    const { jaw } = Object.fromEntries(found([saw({ jaw: 2 }, 4e-4)]));
    expect(jaw!.told).toBe(true);
    expect(jaw!.slope).toBeCloseTo(2e-4, 6);
  });

  test("two that are only seen together cannot be told apart, and say so", () => {
    const all = found([saw({ jaw: 1, bed: 1 }, 3e-4), saw({ jaw: 2, bed: 2 }, 6e-4)]);
    expect([all.get("jaw")!.mixedWith, all.get("bed")!.mixedWith]).toEqual([["bed"], ["jaw"]]);
    expect(all.get("bed")!.told).toBe(false);
  });

  test("a block that is turned round tells them apart", () => {
    const all = found([saw({ jaw: 1, bed: 1 }, 3e-4), saw({ jaw: 1, bed: -1 }, 1e-4)]);
    expect([...all.values()].map((b) => [b.told, b.mixedWith])).toEqual([
      [true, []],
      [true, []],
    ]);
    expect(all.get("jaw")!.slope).toBeCloseTo(2e-4, 5);
    expect(all.get("bed")!.slope).toBeCloseTo(1e-4, 5);
  });

  test("what nothing was seen of is not named", () => {
    expect(found([saw({ jaw: 1 }, 1e-4)]).has("tram")).toBe(false);
    expect(biasesFrom([], usual)).toEqual([]);
  });

  test("three independent slopes give any three biases back", () => {
    const bias = fc.double({ min: -2e-4, max: 2e-4, noNaN: true });
    fc.assert(
      fc.property(bias, bias, bias, (jaw, bed, tram) => {
        const of = (a: number, b: number, c: number) =>
          saw({ jaw: a, bed: b, tram: c }, a * jaw + b * bed + c * tram, 1e-7);
        const all = found([of(1, 1, 0), of(1, -1, 1), of(0, 1, 2)]);
        expect(all.get("jaw")!.slope).toBeCloseTo(jaw, 6);
        expect(all.get("bed")!.slope).toBeCloseTo(bed, 6);
        expect(all.get("tram")!.slope).toBeCloseTo(tram, 6);
      }),
    );
  });
});
