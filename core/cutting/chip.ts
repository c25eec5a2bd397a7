import { type Mm, positive } from "../quantity/index.ts";

/** Chip geometry. Lengths mm, angles degrees. Each returns null for a width, diameter or angle that cannot be. */

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const degrees = (angle: number) => (angle * 180) / Math.PI;

/** Engagement angle of a side cut: φ = arccos(1 − 2 ae/D). NaN for a width that is none or above the diameter. */
export const engagementAngle = (ae: Mm, diameter: Mm): number => degrees(Math.acos(1 - (2 * ae) / diameter));

/**
 * Largest chip thickness in a side cut: hex = 2 fz sin κ √((ae/D)(1 − ae/D)) below half engagement, else fz sin κ.
 * `needed` is the feed per tooth that would make hex equal to fz sin κ.
 */
export function sideChip(
  fz: Mm,
  ae: Mm,
  diameter: Mm,
  kappa = 90,
): { hex: Mm; needed: Mm; factor: number } | null {
  const ratio = ae / diameter;
  const sin = Math.sin(radians(kappa));
  if (!positive(fz, ae, diameter) || ratio > 1 || !(sin > 0)) return null;
  const thinning = ratio < 0.5 ? 2 * Math.sqrt(ratio * (1 - ratio)) : 1;
  return { hex: fz * sin * thinning, needed: fz / thinning, factor: 1 / thinning };
}

/** Chip thickness of a face mill by its entering angle: hex = fz sin κ; `needed` keeps hex at fz. */
export function leadChip(fz: Mm, kappa: number): { hex: Mm; needed: Mm } | null {
  const sin = Math.sin(radians(kappa));
  if (!positive(fz, kappa) || kappa > 90) return null;
  return { hex: fz * sin, needed: fz / sin };
}

/** Mean chip thickness between two angles of rotation: hm = fz sin κ (cos φ1 − cos φ2) / (φ2 − φ1). */
export function meanChip(fz: Mm, kappa: number, from: number, to: number): Mm | null {
  if (!(to > from) || !positive(fz, kappa)) return null;
  return (
    (fz * Math.sin(radians(kappa)) * (Math.cos(radians(from)) - Math.cos(radians(to)))) / radians(to - from)
  );
}

/** Mean chip of a side cut, engagement counted from the edge of the work. */
export function meanChipSide(
  fz: Mm,
  ae: Mm,
  diameter: Mm,
  kappa = 90,
): { hm: Mm; engagement: number } | null {
  if (!(ae > 0) || !(ae <= diameter)) return null;
  const engagement = engagementAngle(ae, diameter);
  const hm = meanChip(fz, kappa, 0, engagement);
  return hm === null ? null : { hm, engagement };
}

/** Mean chip with the cutter centered over a width ae: hm = fz sin κ (ae/D) / arcsin(ae/D). */
export function meanChipCentered(
  fz: Mm,
  ae: Mm,
  diameter: Mm,
  kappa = 90,
): { hm: Mm; engagement: number } | null {
  if (!(ae > 0) || !(ae <= diameter)) return null;
  const half = degrees(Math.asin(ae / diameter));
  const hm = meanChip(fz, kappa, 90 - half, 90 + half);
  return hm === null ? null : { hm, engagement: 2 * half };
}

/** Short formula for hm, good for small ae/D only: fz √(ae/D), with its error against the mean over the arc in percent. */
export function meanChipShort(fz: Mm, ae: Mm, diameter: Mm): { hm: Mm; errorPercent: number } | null {
  const exact = meanChipSide(fz, ae, diameter);
  if (!exact) return null;
  const hm = fz * Math.sqrt(ae / diameter);
  return { hm, errorPercent: (hm / exact.hm - 1) * 100 };
}
