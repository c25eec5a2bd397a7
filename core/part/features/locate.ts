import { axisOf, type Axis, type Face, faceSchema, facesOf, opposite } from "../../frame/index.ts";
import { type Dimension, dimensionOf, dimensionSchema, type Mm } from "../../quantity/index.ts";
import * as z from "../../zod.ts";
import type { Site } from "./site.ts";

/**
 * Where the middle of a feature lies along one size: from an edge, from the center line, or from the middle of another
 * feature. From an edge it counts inward; else toward a face, and without one it lies in line.
 */
export const locateSchema = z.object({
  from: z.union([z.literal("center"), z.literal("feature"), faceSchema]),
  /** The feature it counts from, by id. */
  of: z.string().nullable(),
  /** The side it lies on, from the center or the other feature; null in line with it. */
  toward: faceSchema.nullable(),
  /** Null while not entered, and not used in line. */
  at: dimensionSchema.nullable(),
});
export type Locate = z.infer<typeof locateSchema>;

export const onCenter: Locate = { from: "center", of: null, toward: null, at: null };

/** From an edge by a dimension. */
export const fromEdge = (from: Face, at: Dimension | null): Locate => ({
  from,
  of: null,
  toward: null,
  at,
});

/** Whether a place needs its dimension. */
export const needsDimension = ({ from, toward }: Locate): boolean =>
  (from !== "center" && from !== "feature") || toward !== null;

/**
 * The coordinate along a size, mm from its low face.
 * @returns null while a dimension is missing, the edge is another size's, or the feature it counts from is not placed
 */
export function placeAlong(place: Locate, axis: Axis, site: Site): Mm | null {
  const { from, of, toward, at } = place;
  if (from !== "center" && from !== "feature") {
    if (!at || axisOf(from) !== axis) return null;
    return from === facesOf(axis)[0] ? at.nominal : site.sizes[axis] - at.nominal;
  }
  const origin = from === "center" ? site.sizes[axis] / 2 : of === null ? null : site.middleOf(of, axis);
  if (origin === null || toward === null) return origin;
  if (!at || axisOf(toward) !== axis) return null;
  return toward === facesOf(axis)[0] ? origin - at.nominal : origin + at.nominal;
}

/**
 * The same place seen in a mirror across that size; one that counts from another feature counts from its mirror's place.
 * @param whole the other features are mirrored too: what counts from one goes on counting from it
 */
export function mirrored(place: Locate, axis: Axis, site: Site, whole = false): Locate {
  const { from, toward, at } = place;
  const flip = (face: Face): Face => (axisOf(face) === axis ? opposite(face) : face);
  if (from === "center" || (whole && from === "feature")) return { ...place, toward: toward && flip(toward) };
  if (from !== "feature") return { ...place, from: flip(from) };
  const where = placeAlong(place, axis, site);
  if (where === null) return { ...place, toward: toward && flip(toward) };
  const off = site.sizes[axis] / 2 - where;
  const [low, high] = facesOf(axis);
  const side = Math.abs(off) < 1e-9 ? null : off > 0 ? high : low;
  return {
    from: "center",
    of: null,
    toward: side,
    at: side && dimensionOf(Math.abs(off), at?.written.unit ?? "mm", at),
  };
}
