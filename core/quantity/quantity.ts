import type { LengthUnit } from "./units.ts";
import { mmPerInch } from "./units.ts";

/** What a number measures; the value is always in the canonical unit named in `canonical`. */
export type QuantityKind =
  | "length"
  | "chip"
  | "feed"
  | "cuttingSpeed"
  | "spindleSpeed"
  | "power"
  | "force"
  | "torque"
  | "mass"
  | "stress"
  | "volume"
  | "volumeRate"
  | "time"
  | "seconds"
  | "roughness"
  | "temperature"
  | "ratio"
  | "count"
  | "money"
  | "angle";

export interface Quantity {
  kind: QuantityKind;
  /** In the canonical unit of its kind. */
  value: number;
}

interface Form {
  /** Unit shown after the number. */
  unit: string;
  /** Shown value = canonical value × factor. */
  factor: number;
  decimals: number;
}

const same = (unit: string, decimals: number): Record<LengthUnit, Form> => ({
  mm: { unit, factor: 1, decimals },
  in: { unit, factor: 1, decimals },
});

/** How each kind is shown in metric and in inch work. Feet per minute and inches per minute follow shop usage. */
const forms: Record<QuantityKind, Record<LengthUnit, Form>> = {
  length: {
    mm: { unit: "mm", factor: 1, decimals: 2 },
    in: { unit: "in", factor: 1 / mmPerInch, decimals: 4 },
  },
  chip: {
    mm: { unit: "mm", factor: 1, decimals: 3 },
    in: { unit: "in", factor: 1 / mmPerInch, decimals: 4 },
  },
  feed: {
    mm: { unit: "mm/min", factor: 1, decimals: 0 },
    in: { unit: "in/min", factor: 1 / mmPerInch, decimals: 1 },
  },
  cuttingSpeed: {
    mm: { unit: "m/min", factor: 1, decimals: 1 },
    in: { unit: "ft/min", factor: 1000 / (12 * mmPerInch), decimals: 0 },
  },
  spindleSpeed: same("rpm", 0),
  power: {
    mm: { unit: "kW", factor: 1, decimals: 2 },
    in: { unit: "hp", factor: 1 / 0.745_699_872, decimals: 2 },
  },
  force: {
    mm: { unit: "N", factor: 1, decimals: 0 },
    in: { unit: "lbf", factor: 1 / 4.448_221_615, decimals: 0 },
  },
  torque: {
    mm: { unit: "N·m", factor: 1, decimals: 1 },
    in: { unit: "lbf·in", factor: 8.850_745_8, decimals: 0 },
  },
  mass: { mm: { unit: "kg", factor: 1, decimals: 2 }, in: { unit: "lb", factor: 2.204_622_6, decimals: 2 } },
  stress: same("N/mm²", 0),
  volume: {
    mm: { unit: "cm³", factor: 1e-3, decimals: 1 },
    in: { unit: "in³", factor: 1 / mmPerInch ** 3, decimals: 2 },
  },
  volumeRate: {
    mm: { unit: "cm³/min", factor: 1e-3, decimals: 1 },
    in: { unit: "in³/min", factor: 1 / mmPerInch ** 3, decimals: 2 },
  },
  time: same("min", 1),
  seconds: same("s", 1),
  roughness: {
    mm: { unit: "µm", factor: 1, decimals: 2 },
    in: { unit: "µin", factor: 1 / 0.0254, decimals: 0 },
  },
  temperature: { mm: { unit: "°C", factor: 1, decimals: 1 }, in: { unit: "°F", factor: 1.8, decimals: 1 } },
  ratio: same("", 2),
  count: same("", 0),
  // In the person's own currency: it has no sign here.
  money: same("", 2),
  angle: same("°", 1),
};

/** Shown value over canonical value of a kind in a display unit. */
export const factorOf = (kind: QuantityKind, unit: LengthUnit): number => forms[kind][unit].factor;

/** Unit a kind is shown in. */
export const unitOf = (kind: QuantityKind, unit: LengthUnit): string => forms[kind][unit].unit;

export const mm = (value: number): Quantity => ({ kind: "length", value });
export const quantity = (kind: QuantityKind, value: number): Quantity => ({ kind, value });
export const count = (value: number): Quantity => ({ kind: "count", value });

/**
 * A value rounded half away from zero to a number of decimals, as shops do.
 * Works on the decimal text, so 1.005 shows as 1.01.
 */
export function showFixed(value: number, decimals: number): string {
  if (!Number.isFinite(value)) return "—";
  const shifted = Number(`${Math.abs(value)}e${decimals}`);
  const rounded = Number.isNaN(shifted) ? Math.abs(value) : Math.round(shifted) / 10 ** decimals;
  const text = rounded.toFixed(decimals);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/** Decimals as meant for mm in the person's unit: a length in inches gets one more, which is about as fine. */
export const decimalsIn = (
  q: Quantity,
  unit: LengthUnit,
  decimals: number | undefined,
): number | undefined =>
  decimals !== undefined && unit === "in" && (q.kind === "length" || q.kind === "chip")
    ? decimals + 1
    : decimals;

/** Minutes as people say them from an hour on: 2 h 57. */
function hoursOf(minutes: number): string {
  const whole = Math.round(minutes);
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, "0")}`;
}

/** Number and unit of a quantity for the person's display unit. */
export function showParts(
  q: Quantity,
  unit: LengthUnit,
  decimals?: number,
): { number: string; unit: string } {
  const form = forms[q.kind][unit];
  if (q.kind === "time" && decimals === undefined && Math.round(q.value) >= 60)
    return { number: hoursOf(q.value), unit: "" };
  // From ten minutes on nobody says the tenths.
  const usual = q.kind === "time" && Math.abs(q.value) >= 9.95 ? 0 : form.decimals;
  return { number: showFixed(q.value * form.factor, decimals ?? usual), unit: form.unit };
}

/** A quantity as a line of a working shows it: minutes keep their tenths, so that the lines add up to the sum under them. */
export const showWorked = (q: Quantity, unit: LengthUnit, decimals?: number): string =>
  showQuantity(q, unit, decimals ?? (q.kind === "time" && Math.round(q.value) < 60 ? 1 : undefined));

/** A quantity as text, dimension first, then the unit. */
export function showQuantity(q: Quantity, unit: LengthUnit, decimals?: number): string {
  const parts = showParts(q, unit, decimals);
  if (!parts.unit) return parts.number;
  return parts.unit === "°" ? `${parts.number}°` : `${parts.number} ${parts.unit}`;
}
