import { axisOf, type Axis, faceSchema, facesOf, type Sizes } from "../../frame/index.ts";
import { dimensionSchema, type Mm } from "../../quantity/index.ts";
import * as z from "../../zod.ts";

/** Where the middle of a feature lies along one size: from an edge by a dimension, or on the center line. */
export const locateSchema = z.object({
  from: z.union([z.literal("center"), faceSchema]),
  /** Null while not entered; not used on the center line. */
  at: dimensionSchema.nullable(),
});
export type Locate = z.infer<typeof locateSchema>;

export const onCenter: Locate = { from: "center", at: null };

/** The coordinate along a size, mm from its low face; null while a dimension is missing or the edge is another size's. */
export function placeAlong({ from, at }: Locate, axis: Axis, sizes: Sizes): Mm | null {
  if (from === "center") return sizes[axis] / 2;
  if (!at || axisOf(from) !== axis) return null;
  return from === facesOf(axis)[0] ? at.nominal : sizes[axis] - at.nominal;
}

/** The same place seen in a mirror across that size. */
export function mirrored({ from, at }: Locate, axis: Axis): Locate {
  if (from === "center") return { from, at };
  const [low, high] = facesOf(axis);
  return { from: from === low ? high : low, at };
}
