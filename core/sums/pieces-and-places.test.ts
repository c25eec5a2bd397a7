import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { sumById, workSum } from "./index.ts";

const work = (id: string, texts: { [key: string]: string } = {}) =>
  workSum(sumById(id)!, (key) => texts[key] ?? null, "mm");
const figures = (id: string, texts: { [key: string]: string } = {}) =>
  work(id, texts).answer!.figures.map((f) => f.value.value);
const severities = (id: string, texts: { [key: string]: string }) =>
  work(id, texts).answer!.warnings.map((w) => w.severity);

/** Worked by hand beside each row. */
describe("the sums on bars, places and corners", () => {
  test.each<[string, { [key: string]: string }, number[], string]>([
    ["bar", { count: "6", each: "45", facing: "1", kerf: "2" }, [292, 47, 49], "6 × 47 + 5 × 2"],
    [
      "bar",
      { count: "2", find: "each", bar: "100", facing: "1", kerf: "2" },
      [47, 49, 51],
      "(100 − 2) ÷ 2 − 2",
    ],
    ["bar", { count: "6", each: "45", facing: "1", kerf: "2", trim: "5" }, [299, 47, 49], "292 + 5 + 2"],
    ["divisions", { error: "0.03", first: "0.02", second: "0.05" }, [1.5, 0.6], "0.03 ÷ 0.02; ÷ 0.05"],
    ["radial-step", { old: "63", now: "50" }, [6.5, 13], "(63 − 50) ÷ 2"],
    ["hollow", { boss: "12", swing: "4", gap: "0.5" }, [16.5, 33], "12 + 4 + 0.5"],
    ["two-holes", { first: "12", second: "8", x: "24", y: "10" }, [26, 6], "√(24² + 10²) − 20"],
    ["two-holes", { first: "13", second: "13", x: "24", y: "0" }, [24, 2, 10], "26 − 24; 2 √(13² − 12²)"],
    [
      "plunges",
      { length: "60", cutter: "12", step: "8", leave: "0" },
      [7, 8, 1.527864],
      "48 ÷ 8 + 1; 6 − √(36 − 16)",
    ],
    [
      "ladder",
      { corner: "3", cutter: "20", angle: "90" },
      [2.899495, 6, 3],
      "(√2 − 1)(10 − 3); 10 → 4.53 → 3",
    ],
    [
      "key-in-hand",
      { width: "4.8", diameter: "19", shaft: "" },
      [4.7625, 19.05],
      "6 × 25.4 ÷ 32; 6 × 25.4 ÷ 8",
    ],
    ["edges", { width: "60", off: "4", wider: "0.3" }, [26, 34, 0.15], "30 − 4; 30 + 4; 0.3 ÷ 2"],
    [
      "stack",
      { wanted: "90", within: "0.05", base: "40", plate: "18", seat: "22", tool: "12", each: "0.01" },
      [2, 16, 0.02],
      "92 − 90; 18 − 2; 0.05 − 0.03",
    ],
    [
      "walls",
      { left: "6", right: "5", front: "5.5", back: "5.5", rebate: "2" },
      [-0.5, 0, 5.5, 1, 3],
      "(6 − 5) ÷ 2",
    ],
    ["dimple", { ball: "20", width: "12" }, [2], "10 − √(100 − 36)"],
    ["into-radius", { radius: "2", gap: "0" }, [1.171573], "2 × (2 − √2)"],
    [
      "spigot",
      { length: "60", width: "40", depth: "5", corner: "4", gap: "0.05", below: "0.2" },
      [59.9, 39.9, 4.8, 3.95],
      "60 − 0.1; 40 − 0.1; 5 − 0.2; 4 − 0.05",
    ],
    ["land", { room: "20", clear: "2", drawn: "20" }, [16, 80, 51.2], "20 − 4; 16 ÷ 20; 0.8³"],
    [
      "saw-blade",
      { section: "6", teeth: "14" },
      [3.307087, 8.466667, 12.7],
      "6 × 14 ÷ 25.4; 50.8 ÷ 6; 76.2 ÷ 6",
    ],
    [
      "suits",
      { rpm: "660", fitted: "12" },
      [12.057, 16.88, 24.881],
      "25 000 ÷ (660 π); 35 000 ÷ (660 π); 12 × 660 π ÷ 1000",
    ],
    [
      "in-corner",
      { cutter: "10", ae: "5", corner: "20", feed: "100" },
      [90.37, 90, 99.59],
      "acos(1 − 5 ÷ 5); acos((15² − 15² − 5²) ÷ 150); 100 × 90 ÷ 99.59",
    ],
  ])("%s of %o: %o", (id, texts, expected) => {
    const found = figures(id, texts);
    expected.forEach((value, i) => expect(found[i]).toBeCloseTo(value, 1 + (Math.abs(value) < 10 ? 1 : 0)));
  });

  test.each<[string, { [key: string]: string }, string[]]>([
    ["saw-blade", { section: "3", teeth: "14" }, ["stop"]],
    ["saw-blade", { section: "4.5", teeth: "14" }, ["note"]],
    ["saw-blade", { section: "60", teeth: "14" }, ["warn"]],
    ["saw-blade", { section: "8", teeth: "14" }, []],
    ["divisions", { error: "0.005", first: "0.02", second: "" }, ["warn"]],
    ["divisions", { error: "0.015", first: "0.02", second: "" }, ["note"]],
    ["stack", { wanted: "95" }, ["stop"]],
    ["stack", { within: "0.02", each: "0.01" }, ["stop"]],
    ["walls", { rebate: "5" }, ["warn"]],
    ["walls", { rebate: "6" }, ["stop"]],
    ["spigot", { corner: "30" }, ["stop"]],
    ["land", { room: "20", clear: "1", drawn: "18" }, []],
    ["land", { room: "20", clear: "6", drawn: "18" }, ["stop"]],
    ["suits", { fitted: "40" }, ["warn"]],
    ["suits", { fitted: "5" }, ["note"]],
    ["in-corner", { cutter: "12", corner: "6", ae: "1" }, ["warn"]],
    ["fraction", { length: "8.2", within: "0.01" }, ["warn"]],
    ["fraction", { length: "8.2", within: "0.5" }, []],
  ])("%s with %o is told: %o", (id, texts, expected) => {
    expect(severities(id, texts)).toEqual(expected);
  });

  test.each<[string, { [key: string]: string }]>([
    ["bar", { count: "1.5" }],
    ["bar", { count: "40", find: "each", bar: "60" }],
    ["edges", { off: "40" }],
    ["dimple", { width: "30" }],
    ["in-corner", { cutter: "20", corner: "6" }],
    ["in-corner", { cutter: "10", ae: "12" }],
    ["spigot", { gap: "40" }],
    ["land", { clear: "12" }],
    ["hollow", { boss: "0" }],
    ["two-holes", { first: "0" }],
    ["two-holes", { first: "20", second: "5", x: "2", y: "1" }],
    ["plunges", { length: "10", cutter: "12" }],
    ["plunges", { step: "20" }],
    ["plunges", { length: "9000", step: "0.01" }],
    ["ladder", { cutter: "4", corner: "3" }],
    ["ladder", { angle: "180" }],
    ["key-in-hand", { width: "0" }],
    ["walls", { left: "0" }],
  ])("%s with %o is refused in words, and what was typed stays", (id, texts) => {
    const { refusal, answer, fields } = work(id, texts);
    expect(answer).toBeNull();
    expect(refusal ?? fields.some((f) => f.problem)).toBeTruthy();
    for (const [key, text] of Object.entries(texts))
      expect(fields.find((f) => f.key === key)!.text).toBe(text);
  });

  test("a dimple as wide as its ball end is half a ball deep, and depth grows with the width", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 40 }), fc.integer({ min: 1, max: 99 }), (ball, share) => {
        const depth = (width: number) => figures("dimple", { ball: String(ball), width: String(width) })[0]!;
        expect(depth(ball)).toBeCloseTo(ball / 2, 6);
        expect(depth((ball * share) / 100)).toBeLessThan(depth(ball));
      }),
    );
  });

  test("in a corner the feed is never faster than along the wall", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 100 }),
        (cutter, over, share) => {
          const texts = {
            cutter: String(cutter),
            corner: String(cutter / 2 + over / 2),
            ae: String((cutter * share) / 100),
            feed: "100",
          };
          const { answer } = work("in-corner", texts);
          expect(answer!.figures[0]!.value.value).toBeLessThanOrEqual(100 + 1e-9);
          expect(answer!.figures[2]!.value.value).toBeGreaterThanOrEqual(
            answer!.figures[1]!.value.value - 1e-6,
          );
        },
      ),
    );
  });
});
