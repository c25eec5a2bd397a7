import { type Mm, tidy } from "../quantity/index.ts";

export interface SlotStops {
  /** Where the axis stops, from the low end of the slot: stops are centers, never edges (M27). */
  low: Mm;
  high: Mm;
  /** How far the axis goes to either side of the center line for the walls; 0 with a cutter of the slot's width. */
  walls: Mm;
  /** How much the slot comes out wider than the cutter, by its run-out. */
  wider: Mm;
}

/**
 * Stops of a closed slot for a cutter no wider than it.
 * @param from low end of the slot over all
 * @returns null when the cutter does not go in
 */
export function slotStops(from: Mm, length: Mm, width: Mm, cutter: Mm, runOut: Mm): SlotStops | null {
  if (!(length >= width && width > 0 && cutter > 0 && runOut >= 0) || tidy(width - cutter) < 0) return null;
  return {
    low: tidy(from + cutter / 2),
    high: tidy(from + length - cutter / 2),
    walls: tidy((width - cutter) / 2),
    wider: runOut,
  };
}

/** How far a hole drilled at the end of a slot may lie off its place and still be cut away. */
export const drillMayMiss = (width: Mm, drill: Mm): Mm | null =>
  drill > 0 && width >= drill ? tidy((width - drill) / 2) : null;
