import {
  type Axis,
  axisNames,
  axisOf,
  type Face,
  faceNames,
  facesOf,
  opposite,
  type Orientation,
  orientation,
  type Sizes,
} from "../frame/index.ts";
import { cutOrder, type Piece } from "../stock/index.ts";
import type { NextCut } from "./next-cut.ts";
import { rankSeats, worseFace } from "./round-the-block.ts";

/** The faces beside the one that is up, in the order the cutter goes round them: from the one at the moving jaw. */
export function around(at: Orientation): Face[] {
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(at.up) && axisOf(f) !== axisOf(at.fixed));
  return [opposite(at.fixed), beside[1]!, at.fixed, beside[0]!];
}

/** The axis that stands upright: the shortest size, so that flutes reach down the sides. */
export const lowestAxis = (sizes: Sizes): Axis =>
  axisNames.reduce((low, axis) => (sizes[axis] < sizes[low] ? axis : low));

/** The first of the two wide faces that was cut; none yet: a side that was bought finished may well be cut before it. */
export const firstWide = (piece: Piece): Face | undefined =>
  cutOrder(piece).find((f) => axisOf(f) === lowestAxis(piece.sizes));

/**
 * Which face is at the back while all sides are cut in one clamping: what the wide face or a side was cut from before; else the flattest.
 * @param up the wide face that is up
 */
export function backWhileAllAround(piece: Piece, up: Face): Face {
  const sides = faceNames.filter((f) => axisOf(f) !== axisOf(up));
  const known = [up, ...sides].map((f) => piece.faces[f].cutFrom).find((f) => f && axisOf(f) !== axisOf(up));
  return known ?? rankSeats(piece, sides)[0]!;
}

/**
 * The "two setups" school (domain.md 4) as a rule on the state of the piece: held by its lowest quarter the top is faced and
 * the side of the cutter goes round all four sides; turned over and held by those sides, the other face and what was left of
 * them follow, matched to the first.
 */
export function nextInTwoSetups(piece: Piece): NextCut | null {
  const first = cutOrder(piece)[0];
  const [low, high] = facesOf(lowestAxis(piece.sizes));
  const up = first ?? worseFace(piece, high, low);
  const sides = faceNames.filter((f) => axisOf(f) !== axisOf(up));
  const at = (face: Face, fixed: Face): Orientation => orientation(face, fixed)!;
  const hold = { hold: "quarter", over: null } as const;
  if (first === undefined) {
    const fixed = rankSeats(piece, sides)[0]!;
    return { at: at(up, fixed), face: up, extent: "face", ...hold };
  }
  const fixed = piece.faces[first].cutFrom!;
  const open = around(at(first, fixed)).find((f) => piece.faces[f].order === null);
  if (open) return { at: at(first, fixed), face: open, extent: "part", ...hold };
  const second = at(opposite(first), opposite(fixed));
  if (piece.faces[second.up].order === null) return { at: second, face: second.up, extent: "face", ...hold };
  const left = around(second).find((f) => piece.faces[f].rest !== null);
  return left ? { at: second, face: left, extent: "rest", ...hold } : null;
}
