import { notNegative, positive } from "../quantity/index.ts";

/**
 * Squareness from an indicator rise (mm) over a sweep (mm), scaled to a face (mm).
 * @returns angle in degrees, error over the face and per 100 mm; null for a sweep that is not positive
 */
export function squareness(rise: number, sweep: number, face: number) {
  if (!Number.isFinite(rise) || !positive(sweep, face)) return null;
  return {
    angle: (Math.atan2(rise, sweep) * 180) / Math.PI,
    overFace: (rise / sweep) * face,
    per100: (rise / sweep) * 100,
  };
}

/**
 * Tram: rise (mm) across a circle swept by an indicator, and the hollow a cutter leaves over a cut width (mm).
 * Hollow = tan(tilt) · (R − √(R² − (w/2)²)), tilt along the feed. Null when the width exceeds the cutter.
 */
export function tram(rise: number, sweepDiameter: number, cutterDiameter: number, cutWidth: number) {
  if (!Number.isFinite(rise) || !positive(sweepDiameter, cutterDiameter)) return null;
  if (!notNegative(cutWidth) || cutWidth > cutterDiameter) return null;
  const slope = rise / sweepDiameter;
  const r = cutterDiameter / 2;
  return {
    tilt: (Math.atan(slope) * 180) / Math.PI,
    per100: slope * 100,
    hollow: slope * (r - Math.sqrt(r * r - (cutWidth / 2) ** 2)),
  };
}

/**
 * A square read against a face, turned round and read again, the indicator at zero at its foot: what turns round with it is its own
 * error, what stays is that of the face. mm over 100 mm.
 * @returns null for a height that is not positive
 */
export function squareReversed(first: number, second: number, height: number) {
  if (!Number.isFinite(first) || !Number.isFinite(second) || !positive(height)) return null;
  const per100 = 100 / height;
  return { square: ((first - second) / 2) * per100, face: ((first + second) / 2) * per100 };
}

/**
 * Slope between two heights, and the shim that levels the part on rests so far apart; it goes under the lower end. All mm, the angle
 * in degrees.
 * @returns null for distances that are not positive
 */
export function levelBetween(left: number, right: number, apart: number, rests: number) {
  if (!Number.isFinite(left) || !Number.isFinite(right) || !positive(apart, rests)) return null;
  const rise = right - left;
  return {
    per100: (rise / apart) * 100,
    angle: (Math.atan2(rise, apart) * 180) / Math.PI,
    shim: (Math.abs(rise) * rests) / apart,
  };
}
