import { type Axis, axesAcross, axisOf, type Face, facesOf, type Sizes } from "../../frame/index.ts";
import type { Mm } from "../../quantity/index.ts";

/** What a feature takes out of a block: a box in the part frame, mm, round or with corners. */
export interface Cutout {
  face: Face;
  box: Record<Axis, readonly [low: Mm, high: Mm]>;
  /** Seen onto its face: a circle, or a rectangle with corners of a radius. */
  round: "circle" | Mm;
  /** Faces it opens to besides its own. */
  opens: readonly Face[];
}

/** A span about a middle. */
export const span = (middle: Mm, width: Mm): readonly [Mm, Mm] => [middle - width / 2, middle + width / 2];

/** From a face down to a depth; null goes through. */
export function depthSpan(face: Face, depth: Mm | null, sizes: Sizes): readonly [Mm, Mm] {
  const whole = sizes[axisOf(face)];
  if (depth === null) return [0, whole];
  return face === facesOf(axisOf(face))[0] ? [0, depth] : [whole - depth, whole];
}

/** The box of a cutout from its spans along the two sizes of its face and its depth. */
export function boxOn(
  face: Face,
  across: readonly [readonly [Mm, Mm], readonly [Mm, Mm]],
  deep: readonly [Mm, Mm],
): Cutout["box"] {
  const [first, second] = axesAcross(face);
  return { [axisOf(face)]: deep, [first]: across[0], [second]: across[1] } as Cutout["box"];
}

/** Faces of the block that a box reaches, besides the one it is cut from. */
export const reached = (face: Face, box: Cutout["box"], sizes: Sizes): Face[] =>
  (Object.keys(box) as Axis[])
    .flatMap((axis) => {
      const [low, high] = facesOf(axis);
      return [...(box[axis][0] <= 1e-6 ? [low] : []), ...(box[axis][1] >= sizes[axis] - 1e-6 ? [high] : [])];
    })
    .filter((f) => f !== face);
