import { type Axis, axisOf, type Face, facesOf, type Sizes } from "../../frame/index.ts";
import type { Mm } from "../../quantity/index.ts";

/** A shoulder-to-shoulder length of a shaft: its diameter, and where it begins and ends along the length, mm. */
export interface ShaftSection {
  diameter: Mm;
  from: Mm;
  to: Mm;
}

/** What features are placed in: the sizes of the part, its sections when it is a shaft, and where other features lie. */
export interface Site {
  sizes: Sizes;
  /** Null for a block. */
  shaft: readonly ShaftSection[] | null;
  /** Middle of a feature along a size; null while it has none, or counts from itself in a ring. */
  middleOf: (id: string, axis: Axis) => Mm | null;
}

/** The section of a shaft at a place along it; the nearest one beyond its ends. */
export function sectionAt(shaft: readonly ShaftSection[], along: Mm): ShaftSection | null {
  return shaft.find((s) => along <= s.to) ?? shaft.at(-1) ?? null;
}

/**
 * Where the metal begins under a face: the face of a block, the crown of a shaft.
 * @param along the place along the length, for the diameter of a shaft there
 */
export function surfaceOf(site: Site, face: Face, along: Mm | null): Mm {
  const axis = axisOf(face);
  const high = face === facesOf(axis)[1];
  const section =
    site.shaft && axis !== "length" ? sectionAt(site.shaft, along ?? site.sizes.length / 2) : null;
  if (!section) return high ? site.sizes[axis] : 0;
  return site.sizes[axis] / 2 + ((high ? 1 : -1) * section.diameter) / 2;
}

/** From the metal's beginning under a face down to a depth; null goes through the whole size. */
export function depthSpan(
  site: Site,
  face: Face,
  depth: Mm | null,
  along: Mm | null = null,
): readonly [Mm, Mm] {
  const axis = axisOf(face);
  if (depth === null) return [0, site.sizes[axis]];
  const surface = surfaceOf(site, face, along);
  return face === facesOf(axis)[0] ? [surface, surface + depth] : [surface - depth, surface];
}
