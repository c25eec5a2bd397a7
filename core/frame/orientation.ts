import * as z from "../zod.ts";
import { type Axis, axisNames, axisOf, type Face, faceSchema, opposite } from "./faces.ts";

export const orientationSchema = z.object({ up: faceSchema, fixed: faceSchema });
/** How the part stands in the vise: which face is up (under the cutter) and which is at the fixed jaw. 24 square ones. */
export type Orientation = z.infer<typeof orientationSchema>;

/** An orientation, or undefined when the two faces are not square to each other. */
export function orientation(up: Face, fixed: Face): Orientation | undefined {
  return axisOf(up) === axisOf(fixed) ? undefined : { up, fixed };
}

export const downOf = (o: Orientation): Face => opposite(o.up);
export const movingOf = (o: Orientation): Face => opposite(o.fixed);

/** The part's size that lies along the jaws. */
export function alongJaws(o: Orientation): Axis {
  return axisNames.find((axis) => axis !== axisOf(o.up) && axis !== axisOf(o.fixed))!;
}

/** How the part turns between two orientations, named by axis (about X swaps the faces at the jaws, Y keeps them). */
export function turnBetween(
  from: Orientation,
  to: Orientation,
): "none" | "about X" | "about Y" | "about Z" | "other" {
  if (from.up === to.up && from.fixed === to.fixed) return "none";
  if (from.up === opposite(to.up) && from.fixed === to.fixed) return "about Y";
  if (from.up === to.up && from.fixed === opposite(to.fixed)) return "about Z";
  if (alongJaws(from) === alongJaws(to)) return "about X";
  return "other";
}
