import type { Mm } from "../quantity/index.ts";

/** Bending of a tool as a beam clamped at the holder, force at the tip. N, mm, N/mm². Null where a size cannot be. */

/** Flutes leave about this share of the diameter to carry (published 0.75 to 0.85). */
export const fluteShare = 0.8;

const inertia = (diameter: Mm): number => (Math.PI * diameter ** 4) / 64;
const sane = (...values: number[]): boolean => values.every((v) => Number.isFinite(v) && v > 0);

/** Plain bar: δ = F L³ / (3 E I), and its stiffness in N/mm. */
export function barBending(
  force: number,
  overhang: Mm,
  diameter: Mm,
  e: number,
): { deflection: Mm; stiffness: number } | null {
  if (!sane(overhang, diameter, e) || !(force >= 0)) return null;
  const stiffness = (3 * e * inertia(diameter)) / overhang ** 3;
  return { deflection: force / stiffness, stiffness };
}

/** Stress at the clamped end: 32 F L / (π d³), N/mm². */
export const rootStress = (force: number, overhang: Mm, diameter: Mm): number =>
  (32 * force * overhang) / (Math.PI * diameter ** 3);

/**
 * Flutes at the tip, plain shank above, by superposition: the shank bends under the force and its moment, the flutes on top.
 * @param flutes length of the flutes, mm; @param shank free length of the shank, mm
 */
export function steppedBending(
  force: number,
  flutes: Mm,
  shank: Mm,
  fluteDiameter: Mm,
  shankDiameter: Mm,
  e: number,
  share: number = fluteShare,
): Mm | null {
  if (!sane(flutes, fluteDiameter, shankDiameter, e, share) || !(shank >= 0) || !(force >= 0)) return null;
  const thin = inertia(share * fluteDiameter);
  const thick = inertia(shankDiameter);
  const whole = flutes + shank;
  return (force / (3 * e)) * (flutes ** 3 / thin + (whole ** 3 - flutes ** 3) / thick);
}

/** Largest force for a permitted deflection of a fluted tool, N. */
export function forceForDeflection(
  permitted: Mm,
  overhang: Mm,
  diameter: Mm,
  e: number,
  share: number = fluteShare,
): number | null {
  const bar = barBending(1, overhang, share * diameter, e);
  return bar && permitted >= 0 ? permitted * bar.stiffness : null;
}

/** Longest overhang for a permitted deflection under a force, mm. */
export function overhangForDeflection(
  permitted: Mm,
  force: number,
  diameter: Mm,
  e: number,
  share: number = fluteShare,
): Mm | null {
  if (!sane(permitted, force, diameter, e, share)) return null;
  return Math.cbrt((permitted * 3 * e * inertia(share * diameter)) / force);
}

/** How far a boring bar may hang out, as overhang over diameter: steel to 4, carbide to 6; caution to 5 and 8. */
export function boringBarVerdict(
  overhang: Mm,
  diameter: Mm,
  bar: "steel" | "carbide",
): { ratio: number; verdict: "ok" | "caution" | "too_long" } | null {
  if (!sane(overhang, diameter)) return null;
  const ratio = overhang / diameter;
  const [ok, caution] = bar === "steel" ? [4, 5] : [6, 8];
  return { ratio, verdict: ratio <= ok ? "ok" : ratio <= caution ? "caution" : "too_long" };
}
