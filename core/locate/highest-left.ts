import { type Mm, tidy } from "../quantity/index.ts";
import type { Point } from "../recipes/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import { reads } from "./setup-frame.ts";
import { Standing, type Swath } from "./standing.ts";
import type { Touchable } from "./touchable.ts";

/** A floor that can be touched in Z: how far it lies below the face that zero counts from, and a place on it as the readout counts. */
export interface Floor {
  below: Mm;
  at: { x: Mm; y: Mm };
}

/** So far above and below a level it is asked whether metal stands there, and so much of it has to lie flat about a place, mm. */
const skin = 0.05;
const flat = 1;
const grid = 24;
const about: readonly Point[] = [
  [0, 0],
  [flat, 0],
  [-flat, 0],
  [0, flat],
  [0, -flat],
];

/**
 * Where Z is touched once nothing of the face that is up is left: the highest floor that was cut in this setup or before it.
 * @param swaths what cutters went over in this setup so far
 * @returns null where that face still stands somewhere, or no floor is known
 */
export function highestLeft(
  { operations }: Pick<FeatureSetup, "operations">,
  part: Touchable,
  swaths: readonly Swath[],
): Floor | null {
  if (part.shaft || part.gone.length + swaths.length === 0) return null;
  const { frame, sizes } = part;
  const standing = new Standing(part, frame, 0, swaths);
  const at = (which: "x" | "y", i: number) =>
    reads(frame[which], (sizes[frame[which].axis] * (i + 0.5)) / grid);
  const places = Array.from({ length: grid * grid }, (_, i): Point => [
    at("x", i % grid),
    at("y", Math.floor(i / grid)),
  ]);
  const stands = ([x, y]: Point, below: Mm) =>
    about.every(([dx, dy]) => standing.metalAt([x + dx, y + dy], -below - skin)) &&
    about.every(([dx, dy]) => below === 0 || !standing.metalAt([x + dx, y + dy], skin - below));
  if (places.some((p) => standing.metalAt(p, -skin))) return null;
  const floors = [...new Set(operations.flatMap((o) => (o.by === "mill" ? [tidy(o.floor)] : [])))];
  for (const below of floors.sort((a, b) => a - b)) {
    const p = places.find((place) => stands(place, below));
    if (p) return { below, at: { x: p[0], y: p[1] } };
  }
  return null;
}
