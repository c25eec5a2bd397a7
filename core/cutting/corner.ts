import type { Mm } from "../quantity/index.ts";
import { engagementAngle } from "./chip.ts";

/**
 * Corner of a ring: the engagement rises by up to 90° from its angle along the wall, so the feed there goes down in that
 * proportion (domain.md 6).
 * @returns angles in degrees and the share of the feed; null for a width that is not a side cut
 */
export function cornerFeed(ae: Mm, diameter: Mm): { along: number; inCorner: number; share: number } | null {
  if (!(ae > 0) || !(ae <= diameter)) return null;
  const along = engagementAngle(ae, diameter);
  const inCorner = Math.min(180, along + 90);
  return { along, inCorner, share: along / inCorner };
}

/** Plunging with the end: pitch at most D/2 − 0.15 D for a cutter without center teeth (domain.md 6), mm. */
export const plungePitch = (diameter: Mm, centerCutting: boolean): Mm =>
  diameter / 2 - (centerCutting ? 0 : 0.15 * diameter);
