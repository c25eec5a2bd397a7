import type { Dimension, Limits, Mm } from "../quantity/index.ts";
import { tidy } from "../quantity/index.ts";

/** Where nothing else is known a keyseat may be deeper than its depth by this, never shallower, mm. */
const usualPlus = 0.1;

/**
 * How much shallower (below zero) and deeper than its depth a keyseat may be, mm: by its own limits where it has them, else by
 * the standard of its key. The middle is aimed at.
 */
export function seatDepthLimits(own: Dimension | null, plus: Mm = usualPlus): Limits {
  return own && own.upper !== null && own.lower !== null
    ? { lower: tidy(own.lower), upper: tidy(own.upper) }
    : { lower: 0, upper: plus };
}
