import { nutFactor, screwEfficiency } from "../handbook/index.ts";
import { type Mm, notNegative, positive } from "../quantity/index.ts";

/** Forces in N, torques in N·m, lengths in mm; null for what cannot be. */

/** Clamp force of a screw: F = 2π η T · 1000 / lead. */
export const screwForce = (torque: number, lead: Mm, efficiency: number = screwEfficiency): number | null =>
  positive(torque, lead, efficiency) && efficiency <= 1
    ? (2 * Math.PI * efficiency * torque * 1000) / lead
    : null;

/** Torque of a hand at a handle. */
export const handleTorque = (hand: number, handle: Mm): number | null =>
  positive(hand, handle) ? (hand * handle) / 1000 : null;

/**
 * Efficiency of the thread alone (the collar comes on top): η = tan λ / tan(λ + ρ), λ = atan(lead / (π d2)),
 * ρ = atan(μ / cos flank).
 * @param flank angle in degrees: 0 square, 15 trapezoidal, 14.5 Acme
 */
export function threadEfficiency(
  lead: Mm,
  pitchDiameter: Mm,
  mu: number,
  flank: number,
): { efficiency: number; leadAngle: number } | null {
  if (!positive(lead, pitchDiameter) || !notNegative(mu, flank) || flank >= 90) return null;
  const angle = Math.atan(lead / (Math.PI * pitchDiameter));
  const rubbing = Math.atan(mu / Math.cos((flank * Math.PI) / 180));
  return { efficiency: Math.tan(angle) / Math.tan(angle + rubbing), leadAngle: (angle * 180) / Math.PI };
}

/** Preload of a stud: F = T / (K d). */
export const boltForce = (torque: number, diameter: Mm, factor: number = nutFactor): number | null =>
  positive(torque, diameter, factor) ? (torque * 1000) / (factor * diameter) : null;

/** Preload by thread and head friction, 60° thread: T = F (P/(2π) + 0.577 μ d2 + μ Dm/2). */
export function boltForceByFriction(bolt: {
  torque: number;
  pitch: Mm;
  pitchDiameter: Mm;
  headDiameter: Mm;
  muThread: number;
  muHead: number;
}): number | null {
  const { torque, pitch, pitchDiameter, headDiameter, muThread, muHead } = bolt;
  if (!positive(torque, pitch, pitchDiameter, headDiameter) || !notNegative(muThread, muHead)) return null;
  const arm = pitch / (2 * Math.PI) + 0.577 * muThread * pitchDiameter + (muHead * headDiameter) / 2;
  return (torque * 1000) / arm;
}
