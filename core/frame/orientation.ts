import * as z from "../zod.ts";
import { type Axis, axisNames, axisOf, type Face, faceSchema, facesOf, opposite } from "./faces.ts";

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

/** A part axis as a machine axis sees it: the same way or against it. */
export interface SignedAxis {
  axis: Axis;
  sign: 1 | -1;
}

const signOf = (face: Face): 1 | -1 => (facesOf(axisOf(face))[1] === face ? 1 : -1);

/** The axes of a clamping as signed part axes: Y to the fixed jaw, Z up, X = Y × Z along the jaws. */
export function clampingAxes(at: Orientation): Record<"x" | "y" | "z", SignedAxis> {
  const y: SignedAxis = { axis: axisOf(at.fixed), sign: signOf(at.fixed) };
  const z: SignedAxis = { axis: axisOf(at.up), sign: signOf(at.up) };
  const x = alongJaws(at);
  // e_i × e_j = e_k for the cyclic order length, width, height.
  const cyclic = axisNames[(axisNames.indexOf(y.axis) + 1) % 3] === z.axis ? 1 : -1;
  return { x: { axis: x, sign: (y.sign * z.sign * cyclic) as 1 | -1 }, y, z };
}

/** A side as the operator at the front of the machine sees it from above. */
export type Side = "left" | "right" | "back" | "front";

export const oppositeSide: Record<Side, Side> = {
  left: "right",
  right: "left",
  front: "back",
  back: "front",
};

/**
 * Where a face of a clamped part stands, seen by the operator; null when it is up or down.
 * @param fixedAt where the fixed jaw stands
 */
export function sideOf(at: Orientation, face: Face, fixedAt: "back" | "front"): Side | null {
  if (axisOf(face) === axisOf(at.up)) return null;
  const behind = (face === at.fixed) === (fixedAt === "back");
  if (axisOf(face) === axisOf(at.fixed)) return behind ? "back" : "front";
  // X runs to the right when Y runs to the back; with the fixed jaw in front both are turned round.
  const along = signOf(face) === clampingAxes(at).x.sign;
  return along === (fixedAt === "back") ? "right" : "left";
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
