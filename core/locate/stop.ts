import { type Mm, tidy } from "../quantity/index.ts";

/**
 * The reading to stop at on the depth axis, from one zero (domain.md 7): negative below it.
 * @param sizeAfter size of the part when the pass is done, mm
 * @param sizeAtZero size the part would have if the cutter stood at zero, mm
 */
export const stopReading = (sizeAfter: Mm, sizeAtZero: Mm): Mm => tidy(sizeAfter - sizeAtZero);
