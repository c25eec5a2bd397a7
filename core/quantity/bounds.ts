import * as z from "../zod.ts";
import type { Mm } from "./units.ts";

/** Sizes that can be on or about a manual mill: less, or more, is a slip of the decimal point or the unit. */
export const [smallestSize, largestSize]: readonly [Mm, Mm] = [0.01, 10_000];

/** A place or a deviation, either way, mm. */
export const place = z.number().min(-largestSize).max(largestSize);
/** A length above nothing, mm. */
export const extent = z.number().min(smallestSize).max(largestSize);
/** A small length, a gap, an error; mm. */
export const gap = z.number().min(0).max(100);
