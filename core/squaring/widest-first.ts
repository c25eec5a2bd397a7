import {
  type Axis,
  axisNames,
  type Face,
  facesOf,
  opposite,
  type Orientation,
  orientation,
} from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import { rankSeats, widestReference, worseFace } from "./round-the-block.ts";

/** An order the person took: the first of it whose face is not cut yet; null when all are. */
export const nextInOrder = (piece: Piece, order: readonly Orientation[]): Orientation | null =>
  order.find(({ up }) => piece.faces[up].order === null) ?? null;

/**
 * The "widest first" school (domain.md 4) as a rule on the state of the piece: the two widest faces first and parallel,
 * located by the bed; then the deep grip between them squares the narrow ones; the ends last.
 */
export function nextWidest(piece: Piece, ends: Axis): Orientation | null {
  const [thin, middle] = axisNames
    .filter((axis) => axis !== ends)
    .sort((a, b) => piece.sizes[a] - piece.sizes[b]) as [Axis, Axis];
  const uncut = (axis: Axis): Face[] => facesOf(axis).filter((f) => piece.faces[f].order === null);
  const narrow = facesOf(middle);
  const inPair = (axis: Axis, fixed: Face): Orientation => {
    const left = uncut(axis);
    const up = left.length === 2 ? worseFace(piece, left[1]!, left[0]!) : left[0]!;
    // The second of a pair keeps the face at the jaw that the first one had.
    const kept = left.length === 1 ? piece.faces[opposite(up)].cutFrom : null;
    return orientation(up, kept ?? fixed) ?? orientation(up, fixed)!;
  };
  if (uncut(thin).length > 0) return inPair(thin, rankSeats(piece, narrow)[0]!);
  if (uncut(middle).length > 0) return inPair(middle, widestReference(piece, facesOf(thin)));
  if (uncut(ends).length > 0) return inPair(ends, widestReference(piece, facesOf(thin)));
  return null;
}
