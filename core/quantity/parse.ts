import { type Dimension, tidy } from "./dimension.ts";
import { type LengthUnit, toMm } from "./units.ts";

export type ParseProblemId =
  | "empty"
  | "not-a-number"
  | "two-points"
  | "zero-denominator"
  | "odd-denominator"
  | "unknown-unit"
  | "tolerance-unfinished"
  | "tolerance-negative"
  | "fit-unknown"
  | "thousands"
  | "bare-tenth"
  | "power-of-ten"
  | "chain"
  | "two-units"
  | "too-large";

export interface ParseProblem {
  id: ParseProblemId;
  /** The piece of text that could not be read. */
  at: string;
}

export type ParseResult<T> = { ok: true; value: T } | { ok: false; problem: ParseProblem };

/** Deviations in mm of a fit class on a nominal size in mm; null when the class is not known. Given by the handbook. */
export type FitResolver = (fit: string, nominal: number) => { upper: number; lower: number } | null;

const vulgar: Record<string, string> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

/** Units as people write them: the length unit and how many of it one such unit is. */
const unitWords: [RegExp, LengthUnit, number][] = [
  [/\s*(mm|millimet(er|re)s?)$/i, "mm", 1],
  [/\s*cm$/i, "mm", 10],
  [/\s*(thou|mils?|thousandths?)$/i, "in", 0.001],
  [/\s*("|″|in\.?|inch|inches)$/i, "in", 1],
];

/** Feet before the inches of a length: 2' 3 1/2", 1 ft. */
const feetBefore = /^(\d+(?:[.,]\d+)?)\s*(?:'|ft\.?|feet|foot)\s*-?\s*(.*)$/i;
const inchesInFoot = 12;

/** One fraction less another: 1/2 - 1/32. */
const difference = /^(\d+\s*\/\s*\d+)\s*-\s*(\d+\s*\/\s*\d+)$/;

const refuse = (id: ParseProblemId, at: string): { ok: false; problem: ParseProblem } => ({
  ok: false,
  problem: { id, at },
});

/** No stock on a manual mill is longer than this, mm: beyond it the text is a slip. */
const longest = 10_000;

function normalize(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${vulgar[c] ?? c}`)
    .replace(/[−–—]/g, "-")
    .replace(/[“”„‟]/g, '"')
    .replace(/[‘’‚‛′]/g, "'")
    .replace(/''/g, '"')
    .replace(/\u00a0/g, " ")
    .replace(/\+\s*\/\s*-|\+-/g, "±")
    .replace(/\s+/g, " ")
    .trim();
}

function splitUnit(text: string): { body: string; unit: LengthUnit | null; scale: number } {
  for (const [pattern, unit, scale] of unitWords) {
    if (pattern.test(text)) return { body: text.replace(pattern, "").trim(), unit, scale };
  }
  return { body: text, unit: null, scale: 1 };
}

/** A plain number: decimal with point or comma, whole number, fraction, or whole and fraction. Unsigned. */
function parseNumber(text: string): ParseResult<{ value: number; fraction: boolean }> {
  const body = text.trim();
  if (body === "") return refuse("empty", text);
  const less = difference.exec(body);
  if (less) {
    const [from, taken] = [parseNumber(less[1]!), parseNumber(less[2]!)];
    if (!from.ok || !taken.ok) return from.ok ? taken : from;
    const value = from.value.value - taken.value.value;
    return value > 0 ? { ok: true, value: { value, fraction: true } } : refuse("not-a-number", body);
  }
  const fraction = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(body);
  if (fraction) {
    const top = Number(fraction[2]);
    const bottom = Number(fraction[3]);
    if (bottom === 0) return refuse("zero-denominator", body);
    if ((bottom & (bottom - 1)) !== 0 || bottom > 128) return refuse("odd-denominator", body);
    return { ok: true, value: { value: Number(fraction[1] ?? 0) + top / bottom, fraction: true } };
  }
  if (/^\d{1,3},\d{3}$/.test(body) && !body.startsWith("0,")) return refuse("thousands", body);
  if (/^(\d+([.,]\d*)?|[.,]\d+)$/.test(body)) {
    return { ok: true, value: { value: Number(body.replace(",", ".")), fraction: false } };
  }
  if (/^[\d.,]+$/.test(body)) return refuse("two-points", body);
  if (/^\d.*-.*\/.*[-/]/.test(body)) return refuse("chain", body);
  const word = /^[\d.,/ -]+([a-z"″]+.*)$/i.exec(body);
  if (/^\d/.test(body) && word) return refuse("unknown-unit", word[1] ?? body);
  return refuse("not-a-number", body);
}

function parseSigned(text: string): ParseResult<number> {
  const body = text.trim();
  const sign = body.startsWith("-") ? -1 : 1;
  const read = parseNumber(body.replace(/^[+-]\s*/, ""));
  return read.ok ? { ok: true, value: sign * read.value.value } : read;
}

/** Nominal and what stands behind it: `±0.1`, `+0.2/-0.1`, `+0.2 -0.1`, `h7`, or a second limit `9.9…10.1`. */
function splitTolerance(body: string): {
  nominal: string;
  kind: "none" | "pm" | "pair" | "fit" | "limits";
  rest: string;
} {
  const pm = body.indexOf("±");
  if (pm >= 0) return { nominal: body.slice(0, pm), kind: "pm", rest: body.slice(pm + 1) };
  const limits = /^([^±]+?)\s*(?:\.\.\.|…| to | bis |–)\s*(.+)$/.exec(body);
  if (limits) return { nominal: limits[1] ?? "", kind: "limits", rest: limits[2] ?? "" };
  const pair =
    /^(.*?[\d"″.])\s*([+-]\s*[\d.,]+[^+\-/]*(?:\/\s*|\s+)(?:[+-]\s*[\d.,]+|0(?:[.,]0*)?)\s*(?:mm|in|")?)$/.exec(
      body,
    );
  if (pair && /[+-]/.test(pair[2] ?? "") && !/^\s*-?\s*\d+\/\d+$/.test(pair[2] ?? "")) {
    return { nominal: pair[1] ?? "", kind: "pair", rest: pair[2] ?? "" };
  }
  const fit = /^([\d.,/ -]*\d)\s*(JS|js|[A-Za-z]{1,2})(\d{1,2})$/.exec(body);
  if (fit) return { nominal: fit[1] ?? "", kind: "fit", rest: `${fit[2]}${fit[3]}` };
  return { nominal: body, kind: "none", rest: "" };
}

/**
 * Reads a dimension as people write it on drawings.
 * @param text e.g. `3 33/64`, `25,4 mm`, `10 +0.2/-0.1`, `9.9…10.1`, `20 h7`, `406 thou`
 * @param defaultUnit the unit meant when the text names none
 * @param fits resolves a fit class; without it a fit is kept unresolved
 * @returns the dimension in mm, or the problem with the piece of text it is about. Never guesses a unit.
 */
export function parseDimension(
  text: string,
  defaultUnit: LengthUnit,
  fits?: FitResolver,
): ParseResult<Dimension> {
  const clean = normalize(text);
  if (clean === "") return refuse("empty", text);
  if (/^(a )?tenths?$/i.test(clean) || /\d\s*tenths?$/i.test(clean)) return refuse("bare-tenth", clean);
  const { body, unit: named, scale } = splitUnit(clean);
  // A calculator's 1e9 looks like fit class e9 on 1 mm.
  if (/^\d([.,]\d+)?[eE]\d+$/.test(body)) return refuse("power-of-ten", body);
  const split = splitTolerance(body);
  // A unit may stand behind the nominal as well as at the end: `1.5 in ±0.005`.
  const inner = splitUnit(split.nominal.trim());
  // `5 mm in`, `5 mm ±0.1 in`: whoever reads it cannot know which is meant.
  if (inner.unit && named && (split.kind === "none" || inner.unit !== named))
    return refuse("two-units", clean);
  const feet = feetBefore.exec(inner.body.trim());
  if (feet && (inner.unit ?? named ?? "in") !== "in") return refuse("two-units", clean);
  const unit = feet ? "in" : (inner.unit ?? named ?? defaultUnit);
  const factor = inner.unit ? inner.scale : scale;
  const nominalText = (feet ? feet[2]! : inner.body).trim().replace(/^\+\s*/, "");
  if (nominalText.startsWith("-")) return refuse("not-a-number", nominalText);
  const inches = feet && nominalText === "" ? "0" : nominalText;
  const read = parseNumber(inches);
  if (!read.ok) return read;
  const whole = feet ? Number(feet[1]!.replace(",", ".")) * inchesInFoot : 0;
  const first = { value: { value: whole + read.value.value } };
  const size = (value: number) => tidy(toMm(value * factor, unit));
  const nominal = size(first.value.value);
  if (nominal > longest) return refuse("too-large", clean);
  const made = (upper: number | null, lower: number | null, fit: string | null = null, at = nominal) => ({
    ok: true as const,
    value: { nominal: at, upper, lower, fit, written: { text: text.trim(), unit } },
  });

  switch (split.kind) {
    case "none":
      return made(null, null);
    case "pm": {
      if (split.rest.trim() === "") return refuse("tolerance-unfinished", "±");
      if (split.rest.trim().startsWith("-")) return refuse("tolerance-negative", split.rest.trim());
      const read = parseNumber(split.rest);
      if (!read.ok) return read;
      return made(size(read.value.value), tidy(-size(read.value.value)));
    }
    case "pair": {
      const parts = split.rest.split(/\/|(?<=[\d.,])\s+(?=[+\-0])/);
      const a = parseSigned(parts[0] ?? "");
      const b = parseSigned(parts[1] ?? "");
      if (!a.ok) return a;
      if (!b.ok) return b;
      return made(size(Math.max(a.value, b.value)), size(Math.min(a.value, b.value)));
    }
    case "limits": {
      const second = parseNumber(splitUnit(split.rest).body);
      if (!second.ok) return second;
      const other = size(second.value.value);
      const mid = tidy((nominal + other) / 2);
      const half = tidy(Math.abs(nominal - other) / 2);
      if (Math.max(nominal, other) > longest) return refuse("too-large", clean);
      return made(half, tidy(-half), null, mid);
    }
    case "fit": {
      if (!fits) return made(null, null, split.rest);
      const deviations = fits(split.rest, nominal);
      if (!deviations) return refuse("fit-unknown", split.rest);
      return made(deviations.upper, deviations.lower, split.rest);
    }
  }
}

/** Reads a bare length in mm: no tolerance, not negative unless `signed`. */
export function parseLength(text: string, defaultUnit: LengthUnit, signed = false): ParseResult<number> {
  const clean = normalize(text);
  const negative = signed && clean.startsWith("-");
  const read = parseDimension(negative ? clean.slice(1) : clean, defaultUnit);
  if (!read.ok) return read;
  if (read.value.upper !== null || read.value.fit !== null) return refuse("not-a-number", clean);
  return { ok: true, value: negative ? -read.value.nominal : read.value.nominal };
}
