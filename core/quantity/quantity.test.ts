import { describe, expect, test } from "vitest";
import { fitDeviations } from "../handbook/index.ts";
import { entryProblem, phraseText } from "../working/index.ts";
import {
  convertedText,
  mm,
  nearest64,
  parseDimension,
  parseLength,
  quantity,
  showDimension,
  showFixed,
  showQuantity,
} from "./index.ts";

const parse = (text: string, unit: "mm" | "in" = "mm") => parseDimension(text, unit, fitDeviations);

describe("reading a dimension", () => {
  test.each([
    // text, unit meant, nominal mm, upper, lower
    ["60", "mm", 60, null, null],
    ["60.", "mm", 60, null, null],
    [".5", "in", 12.7, null, null],
    ["  60,05  mm ", "in", 60.05, null, null],
    ["2 3/8 in", "mm", 60.325, null, null],
    ['2-3/8"', "mm", 60.325, null, null],
    ["¾ in", "mm", 19.05, null, null],
    ["1¾ in", "mm", 44.45, null, null],
    ["6 cm", "mm", 60, null, null],
    ["15 thou", "mm", 0.381, null, null],
    ["15 mil", "mm", 0.381, null, null],
    ["60 ±0.05", "mm", 60, 0.05, -0.05],
    ["60 +/-0.05", "mm", 60, 0.05, -0.05],
    ["60 +- 0,05 mm", "in", 60, 0.05, -0.05],
    ["1.5 in ±0.005", "mm", 38.1, 0.127, -0.127],
    ["1.5 ±0.005 in", "mm", 38.1, 0.127, -0.127],
    ["10 +0.2/-0.1", "mm", 10, 0.2, -0.1],
    ["10 +0.2 -0.1", "mm", 10, 0.2, -0.1],
    ["10 -0.1/-0.2", "mm", 10, -0.1, -0.2],
    ["10 +0.1/0", "mm", 10, 0.1, 0],
    ["10 +0.10/0.00 mm", "mm", 10, 0.1, 0],
    ["9.9…10.1", "mm", 10, 0.1, -0.1],
    ["10.1...9.9", "mm", 10, 0.1, -0.1],
    ["9.9 to 10.1 mm", "in", 10, 0.1, -0.1],
    ["20 h7", "mm", 20, 0, -0.021],
    ["20h7", "mm", 20, 0, -0.021],
    ["30 f7", "mm", 30, -0.02, -0.041],
    ["25 H8", "mm", 25, 0.033, 0],
    ["16 P9", "mm", 16, -0.018, -0.061],
    ["8 N9", "mm", 8, 0, -0.036],
    ["12 js9", "mm", 12, 0.0215, -0.0215],
    ["50 k6", "mm", 50, 0.018, 0.002],
  ] as const)("%s meant in %s", (text, unit, nominal, upper, lower) => {
    const read = parse(text, unit);
    expect(read.ok, text).toBe(true);
    if (!read.ok) return;
    expect(read.value.nominal).toBeCloseTo(nominal, 9);
    if (upper === null) expect([read.value.upper, read.value.lower]).toEqual([null, null]);
    else {
      expect(read.value.upper).toBeCloseTo(upper, 9);
      expect(read.value.lower).toBeCloseTo(lower, 9);
    }
  });

  test.each([
    ["", "empty", /Type the size/],
    ["   ", "empty", /Type the size/],
    ["sixty", "not-a-number", /is not a size/],
    ["-60", "not-a-number", /is not a size/],
    ["6.0.5", "two-points", /more than one decimal point/],
    ["3 33/0", "zero-denominator", /divides by zero/],
    ["3 33/6", "odd-denominator", /halves, quarters/],
    ["60 furlongs", "unknown-unit", /not a unit/],
    ["60 ±", "tolerance-unfinished", /missing/],
    ["60 ±-0.1", "tolerance-negative", /no minus/],
    ["60 zz9", "fit-unknown", /not in the tables/],
    ["60 h77", "fit-unknown", /not in the tables/],
    ["300 h7", "fit-unknown", /not in the tables/],
    ["1,250", "thousands", /two ways/],
    ["a tenth", "bare-tenth", /0\.1 mm to some/],
    ["2 tenths", "bare-tenth", /0\.1 mm to some/],
    ["1e9", "power-of-ten", /power of ten/],
    ["1-1/4-1/8", "chain", /chain/],
    ["5 mm in", "two-units", /two units/],
    ["5 mm ±0.1 in", "two-units", /two units/],
    ["1/32 - 1/2 in", "not-a-number", /is not a size/],
    ["99999999", "too-large", /longer than any part/],
    ["400 in", "too-large", /longer than any part/],
  ] as const)("%s is refused: %s", (text, id, sentence) => {
    const read = parse(text);
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.problem.id).toBe(id);
    expect(phraseText(entryProblem(read.problem), "mm")).toMatch(sentence);
  });

  test.each([
    ["2.25”", 57.15],
    ["2.25''", 57.15],
    ["+12.5", 12.5],
    ["+ 1/2 in", 12.7],
    ["1/2 - 1/32 in", 11.90625],
    ["1'", 304.8],
    ["1’ 6 1/2”", 469.9],
    ["2 ft 3 in", 685.8],
    ["1′ 6″", 457.2],
  ] as const)("%s is %d mm", (text, mm) => {
    const read = parseLength(text, "mm");
    expect(read.ok && read.value).toBeCloseTo(mm, 9);
  });

  test("a bare length has no tolerance, and a sign only where one is wanted", () => {
    expect(parseLength("12.5", "mm")).toEqual({ ok: true, value: 12.5 });
    expect(parseLength("12.5 ±0.1", "mm").ok).toBe(false);
    expect(parseLength("-1/2", "in", true)).toEqual({ ok: true, value: -12.7 });
    expect(parseLength("-1/2", "in").ok).toBe(false);
  });
});

describe("showing", () => {
  test.each([
    [1.005, 2, "1.01"],
    [-1.005, 2, "−1.01"],
    [-0.001, 2, "0.00"],
    [0.999996, 4, "1.0000"],
    [1234.5, 0, "1235"],
    [1e-9, 3, "0.000"],
    [Number.NaN, 2, "—"],
    [Infinity, 2, "—"],
  ])("%d to %d decimals is %s", (value, decimals, text) => expect(showFixed(value, decimals)).toBe(text));

  test.each([
    [mm(25.4), "25.40 mm", "1.0000 in"],
    [quantity("cuttingSpeed", 30), "30.0 m/min", "98 ft/min"],
    [quantity("feed", 254), "254 mm/min", "10.0 in/min"],
    [quantity("chip", 0.127), "0.127 mm", "0.0050 in"],
    [quantity("power", 0.7457), "0.75 kW", "1.00 hp"],
    [quantity("spindleSpeed", 660), "660 rpm", "660 rpm"],
    [quantity("volumeRate", 16387), "16.4 cm³/min", "1.00 in³/min"],
    [quantity("force", 1000), "1000 N", "225 lbf"],
    [quantity("torque", 10), "10.0 N·m", "89 lbf·in"],
    [quantity("mass", 1), "1.00 kg", "2.20 lb"],
    [quantity("angle", 45), "45.0°", "45.0°"],
    [quantity("count", 3), "3", "3"],
  ] as const)("%o", (q, metric, inch) => {
    expect([showQuantity(q, "mm"), showQuantity(q, "in")]).toEqual([metric, inch]);
  });

  test.each([
    ["60 ±0.05", "60 ±0.05", "2.3622 ±0.0020 in"],
    ["10 +0.2/-0.1", "10 +0.2/-0.1", "0.3937 +0.0079/−0.0039 in"],
    ["2 3/8 in", "60.325 mm", "2 3/8 in"],
    ["20 h7", "20 h7", "0.7874 0.0000/−0.0008 in"],
  ])("%s is shown as written in its unit, else converted", (text, metric, inch) => {
    const read = parse(text, text.endsWith("in") ? "in" : "mm");
    if (!read.ok) throw new Error(text);
    expect([showDimension(read.value, "mm"), showDimension(read.value, "in")]).toEqual([metric, inch]);
    expect(convertedText(read.value, "mm")).toMatch(/mm$/);
  });

  test("64ths keep their sign and their error", () => {
    expect(nearest64(-1.5)).toEqual({ text: "−1 1/2", sixtyfourths: -96, errorIn: 0 });
    expect(nearest64(0)).toEqual({ text: "0", sixtyfourths: 0, errorIn: 0 });
  });
});
