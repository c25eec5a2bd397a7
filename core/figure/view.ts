import type { Axis, Face } from "../frame/index.ts";

/** One of the views: the face it looks at, the size along each of its sides, and where a point of the part comes to lie. */
export interface View {
  face: Face;
  across: Axis;
  up: Axis;
  x: (along: number) => number;
  y: (up: number) => number;
  /** Where the view ends at the right. */
  beyond: number;
}
