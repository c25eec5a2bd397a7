import type { Mm } from "../quantity/index.ts";

/**
 * Feed marks left by a round edge, mm deep: h = f² / (8 r), as Ra about a quarter of it: Ra = f² / (32 r).
 * @param feed per turn for one high tooth (one ridge a turn), per tooth when all cut alike, mm
 * @param radius of a side cut the cutter's, of a face the insert's corner, mm
 * @returns Ra in µm; null for a radius that is not positive
 */
export function feedMarkRa(feed: Mm, radius: Mm): number | null {
  return radius > 0 && feed >= 0 ? (feed ** 2 / (32 * radius)) * 1000 : null;
}

/** The feed that leaves a wanted Ra: f = √(32 r Ra), mm. Null for sizes that cannot be. */
export function feedForRa(ra: number, radius: Mm): Mm | null {
  return radius > 0 && ra > 0 ? Math.sqrt((32 * radius * ra) / 1000) : null;
}

/** Run-out e: the highest tooth carries up to min(z fz, fz + e) (domain.md 6), mm. */
export const highestToothChip = (fz: Mm, teeth: number, runOut: Mm): Mm => Math.min(teeth * fz, fz + runOut);

/**
 * Cusp between two passes of a ball or corner radius: h = r − √(r² − (s/2)²), mm.
 * @param stepover at most 2 r; null beyond
 */
export function cuspHeight(stepover: Mm, radius: Mm): Mm | null {
  return radius > 0 && stepover >= 0 && stepover <= 2 * radius
    ? radius - Math.sqrt(radius ** 2 - (stepover / 2) ** 2)
    : null;
}
