import { type Mm, tidy } from "../quantity/index.ts";
import type { Point } from "../recipes/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import { reads } from "./setup-frame.ts";
import { ring, Standing, type Swath } from "./standing.ts";
import type { Touchable } from "./touchable.ts";

/** A floor that can be touched in Z: how far it lies below the face that zero counts from, and a place on it as the readout counts. */
export interface Floor {
  below: Mm;
  at: { x: Mm; y: Mm };
}

/** So far above and below a level it is asked whether metal stands there, and so much of it has to lie flat about a place, mm. */
const skin = 0.05;
const grid = 24;
const about: readonly Point[] = [[0, 0], ...ring(1, 4)];

/**
 * Where Z is touched once nothing of the face that is up is left: the highest floor that was cut in this setup or before it.
 * Of a shaft it is asked once its crown is gone.
 * @param swaths what cutters went over in this setup so far
 * @param tool diameter of what comes down: nothing may stand higher under any of it, mm
 * @param crown how far below the thickest section of a shaft Z counts from, mm; 0 on a block
 * @returns null where that face still stands somewhere, or no floor is known
 */
export function highestLeft(
  { operations }: Pick<FeatureSetup, "operations">,
  part: Touchable,
  swaths: readonly Swath[],
  tool: Mm,
  crown: Mm,
): Floor | null {
  if (part.gone.length + swaths.length === 0) return null;
  const { frame, sizes } = part;
  const standing = new Standing(part, frame, crown, swaths);
  const at = (which: "x" | "y", i: number) =>
    reads(frame[which], (sizes[frame[which].axis] * (i + 0.5)) / grid);
  const spread = Array.from({ length: grid * grid }, (_, i): Point => [
    at("x", i % grid),
    at("y", Math.floor(i / grid)),
  ]);
  if (!part.shaft && spread.some((p) => standing.metalAt(p, -skin))) return null;
  // Along the ways of the cutters a narrow floor is met that lies between the rows.
  const ways = swaths.flatMap(({ from, to }) =>
    [0.5, 0.25, 0.75, 0, 1].map((share): Point => [
      from[0] + share * (to[0] - from[0]),
      from[1] + share * (to[1] - from[1]),
    ]),
  );
  const places = [...spread, ...ways];
  const under = [...about, ...ring(tool / 4, 8), ...ring(tool / 2 - skin, 16)];
  const stands = ([x, y]: Point, below: Mm) =>
    about.every(([dx, dy]) => standing.metalAt([x + dx, y + dy], -below - skin)) &&
    under.every(([dx, dy]) => !standing.metalAt([x + dx, y + dy], skin - below));
  // What a cutter went over lies as deep as it went; what was cut before, as deep as it was drawn.
  const floors = new Set([
    ...swaths.map(({ z }) => tidy(-z)),
    ...operations.flatMap((o) => (o.by === "mill" ? [tidy(o.floor + o.crown - crown)] : [])),
  ]);
  for (const below of [...floors].filter((f) => f > 0).sort((a, b) => a - b)) {
    const p = places.find((place) => stands(place, below));
    if (p) return { below, at: { x: p[0], y: p[1] } };
  }
  return null;
}
