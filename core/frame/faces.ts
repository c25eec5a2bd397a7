import * as z from "../zod.ts";

/** The six faces of a block in the part frame: X right, Y back, Z up (domain.md 1). */
export const faceNames = ["left", "right", "front", "back", "bottom", "top"] as const;
export const faceSchema = z.enum(faceNames);
export type Face = z.infer<typeof faceSchema>;

export const axisNames = ["length", "width", "height"] as const;
export const axisSchema = z.enum(axisNames);
/** A size of the block: length along X, width along Y, height along Z. */
export type Axis = z.infer<typeof axisSchema>;

const pairs: Record<Axis, [low: Face, high: Face]> = {
  length: ["left", "right"],
  width: ["front", "back"],
  height: ["bottom", "top"],
};

/** The two faces a size lies between, the one at the smaller coordinate first. */
export const facesOf = (axis: Axis): [low: Face, high: Face] => pairs[axis];

/** The size a face bounds. */
export function axisOf(face: Face): Axis {
  return face === "left" || face === "right"
    ? "length"
    : face === "front" || face === "back"
      ? "width"
      : "height";
}

export function opposite(face: Face): Face {
  const [low, high] = pairs[axisOf(face)];
  return face === low ? high : low;
}

/** The two axes that span a face. */
export const axesAcross = (face: Face): readonly [Axis, Axis] => across[axisOf(face)];

const across: Record<Axis, readonly [Axis, Axis]> = {
  length: ["width", "height"],
  width: ["length", "height"],
  height: ["length", "width"],
};

export type Sizes = Record<Axis, number>;

/** Area of a face in mm². */
export function areaOf(face: Face, sizes: Sizes): number {
  const [a, b] = axesAcross(face);
  return sizes[a] * sizes[b];
}
