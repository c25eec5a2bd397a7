import { type Dimension, tidy } from "./dimension.ts";
import { showFixed } from "./quantity.ts";
import { fromMm, type LengthUnit, type Mm } from "./units.ts";

/** Decimals that show a deviation without rounding it away: at least two in mm, three in inch, at most four. */
function decimalsFor(values: number[], unit: LengthUnit): number {
  const least = unit === "mm" ? 2 : 3;
  const most = unit === "mm" ? 3 : 4;
  for (let d = least; d < most; d++) {
    if (values.every((v) => Math.abs(Number(showFixed(Math.abs(v), d)) - Math.abs(v)) < 1e-9)) return d;
  }
  return most;
}

/** A signed amount in the display unit: "+0.05", "−0.05", "0". */
export function showSigned(value: number, unit: LengthUnit, decimals: number): string {
  const shown = showFixed(fromMm(value, unit), decimals);
  return value > 0 ? `+${shown}` : shown;
}

/**
 * A dimension for the display unit: as written while that is the unit it was written in, else converted.
 * @returns the text with tolerance and unit
 */
export function showDimension(d: Dimension, unit: LengthUnit): string {
  if (d.written.unit === unit) return d.written.text;
  return convertedText(d, unit);
}

/** A dimension spelled out in a unit, whatever it was written in. */
export function convertedText(d: Dimension, unit: LengthUnit): string {
  const upper = d.upper === null ? null : fromMm(d.upper, unit);
  const lower = d.lower === null ? null : fromMm(d.lower, unit);
  if (upper === null || lower === null)
    return `${showFixed(fromMm(d.nominal, unit), decimalsFor([fromMm(d.nominal, unit)], unit))} ${unit}`;
  const decimals = decimalsFor([fromMm(d.nominal, unit), upper, lower], unit);
  const nominal = showFixed(fromMm(d.nominal, unit), decimals);
  const tolerance =
    Math.abs(upper + lower) < 1e-9
      ? `±${showFixed(upper, decimals)}`
      : `${showSigned(d.upper ?? 0, unit, decimals)}/${showSigned(d.lower ?? 0, unit, decimals)}`;
  return `${nominal} ${tolerance} ${unit}`;
}

/** A worked length as a dimension, written in a unit; with the limits of another where there is one. */
export function dimensionOf(value: Mm, unit: LengthUnit, like: Dimension | null = null): Dimension {
  const bare = { nominal: tidy(value), upper: like?.upper ?? null, lower: like?.lower ?? null, fit: null };
  const plain = `${String(Math.round(fromMm(value, unit) * 1e5) / 1e5)}`;
  const made: Dimension = { ...bare, written: { text: plain, unit } };
  return made.upper === null ? made : { ...made, written: { text: convertedText(made, unit), unit } };
}
