import { parseLength, type ParseResult } from "./parse.ts";
import { factorOf, type QuantityKind } from "./quantity.ts";
import type { LengthUnit } from "./units.ts";

/** Units people write after a number, whatever the display unit. */
const named: [RegExp, QuantityKind, number][] = [
  [/\s*m\/min$/i, "cuttingSpeed", 1],
  [/\s*(ft\/min|sfm)$/i, "cuttingSpeed", 0.3048],
  [/\s*mm\/min$/i, "feed", 1],
  [/\s*(in\/min|ipm)$/i, "feed", 25.4],
  [/\s*kW$/i, "power", 1],
  [/\s*W$/i, "power", 0.001],
  [/\s*hp$/i, "power", 0.745_699_872],
  [/\s*rpm$/i, "spindleSpeed", 1],
  [/\s*N$/i, "force", 1],
  [/\s*lbf?$/i, "force", 4.448_221_615],
  [/\s*(°|deg)$/i, "angle", 1],
];

/**
 * Reads a quantity in its canonical unit: lengths as `parseLength` does; others a number with a point or comma, in the
 * display unit unless one is written after it. Zero is read; below zero only when `signed`.
 */
export function parseQuantity(
  text: string,
  kind: QuantityKind,
  unit: LengthUnit,
  signed = false,
): ParseResult<number> {
  const clean = text.trim();
  if (clean === "") return { ok: false, problem: { id: "empty", at: clean } };
  if (kind === "length" || kind === "chip") {
    return /^[-−]?0([.,]0*)?$/.test(clean) ? { ok: true, value: 0 } : parseLength(clean, unit, signed);
  }
  const written = named.find(([pattern, of]) => of === kind && pattern.test(clean));
  const digits = (written ? clean.replace(written[0], "") : clean).replace(",", ".").replace("−", "-");
  const value = /^[-+]?(\d+\.?\d*|\.\d+)$/.test(digits) ? Number(digits) : NaN;
  if (!Number.isFinite(value) || (value < 0 && !signed))
    return { ok: false, problem: { id: "not-a-number", at: clean } };
  return { ok: true, value: value * (written ? written[2] : 1 / factorOf(kind, unit)) };
}
