import type { Mm } from "../quantity/index.ts";

/**
 * A side force towards the fixed jaw tips the part about the jaw's top edge; the clamp force acts at the middle of the grip
 * (picked, the safe side), at most at its bottom. Friction and weight are left out. Moments in N·m.
 * @returns null for a grip or force that is not positive
 */
export function tipInJaws(
  clamp: number,
  side: number,
  aboveJaw: Mm,
  grip: Mm,
): { tips: number; holds: number; safety: number; atMost: number } | null {
  if (!(clamp > 0) || !(side > 0) || !(aboveJaw > 0) || !(grip > 0)) return null;
  const tips = (side * aboveJaw) / 1000;
  const holds = (clamp * grip) / 2000;
  return { tips, holds, safety: holds / tips, atMost: (2 * holds) / tips };
}
