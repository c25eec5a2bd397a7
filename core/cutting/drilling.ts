import { type Mm, type MmPerMin, notNegative, positive, type Rpm } from "../quantity/index.ts";

/** Feed of a tap: one pitch a turn. NaN for a pitch or speed that is none. */
export const tapFeed = (pitch: Mm, rpm: Rpm): MmPerMin => (positive(pitch, rpm) ? pitch * rpm : NaN);

/**
 * Speed, feed and time of a hole.
 * @param of cutting speed in m/min, drill in mm, feed in mm a turn, depth at full diameter, height of the point, gap above; mm
 * @returns null for what cannot be
 */
export function drilling(of: {
  vc: number;
  drill: Mm;
  perTurn: Mm;
  depth: Mm;
  point: Mm;
  gap: Mm;
}): { rpm: Rpm; vf: MmPerMin; travel: Mm; minutes: number } | null {
  const { vc, drill, perTurn, depth, point, gap } = of;
  if (!positive(vc, drill, perTurn, depth) || !notNegative(point, gap)) return null;
  const rpm = (1000 * vc) / (Math.PI * drill);
  const vf = rpm * perTurn;
  const travel = depth + point + gap;
  return { rpm, vf, travel, minutes: travel / vf };
}
