import {
  areaOf,
  type Axis,
  axisOf,
  type Face,
  faceNames,
  opposite,
  type Orientation,
  orientation,
} from "../frame/index.ts";
import { cutOrder, isReference, type Piece, unevenBy } from "../stock/index.ts";

/**
 * The "round the block" school (domain.md 4) as a rule on the state of the piece: which face next, which to the fixed jaw.
 * Faces around the block come first, the two ends last.
 */

/** Provisional seats: flattest first, then the widest; then in the order of the part frame (M10). */
export function rankSeats(piece: Piece, faces: readonly Face[]): Face[] {
  return [...faces].sort(
    (a, b) =>
      unevenBy(piece, a) - unevenBy(piece, b) ||
      areaOf(b, piece.sizes) - areaOf(a, piece.sizes) ||
      faceNames.indexOf(a) - faceNames.indexOf(b),
  );
}

/** The worse of two faces is cut first: the better one makes the better seat below. Ties keep the given order. */
export const worseFace = (piece: Piece, a: Face, b: Face): Face =>
  unevenBy(piece, b) > unevenBy(piece, a) ? b : a;

/** Which face is up and which at the fixed jaw next; null when all six are done. */
export function nextAround(piece: Piece, ends: Axis): Orientation | null {
  const around = faceNames.filter((face) => axisOf(face) !== ends);
  const cut = cutOrder(piece).filter((face) => axisOf(face) !== ends);
  const beside = (face: Face) => around.filter((f) => axisOf(f) !== axisOf(face));
  const [first, second, third] = cut;
  if (first === undefined) {
    const fixed = rankSeats(piece, around)[0]!;
    const [low, high] = beside(fixed) as [Face, Face];
    return orientation(worseFace(piece, high, low), fixed)!;
  }
  if (second === undefined) {
    const [low, high] = beside(first) as [Face, Face];
    // On a tie the seat of setup 1 goes down and the face across from it is cut.
    const seat = piece.faces[first].cutFrom;
    const up = seat === high ? worseFace(piece, low, high) : worseFace(piece, high, low);
    return orientation(up, first)!;
  }
  // A face that needed nothing was passed over, and may count again once its size is read: it is not always the third or fourth.
  const open = around.filter((face) => !cut.includes(face));
  const across = open.find((face) => face === opposite(second)) ?? open[0];
  if (across) {
    const fixed = cut.find((face) => axisOf(face) !== axisOf(across) && face !== third) ?? third!;
    return orientation(across, fixed)!;
  }
  const [lowEnd, highEnd] = faceNames.filter((face) => axisOf(face) === ends) as [Face, Face];
  const left = [highEnd, lowEnd].filter((face) => piece.faces[face].order === null);
  if (left.length === 0) return null;
  const up = left.length === 2 ? worseFace(piece, left[0]!, left[1]!) : left[0]!;
  return orientation(up, widestReference(piece, around))!;
}

/** The widest reference; the widest face at all when none is clean. */
export function widestReference(piece: Piece, faces: readonly Face[]): Face {
  const references = faces.filter((face) => isReference(piece, face));
  return [...(references.length > 0 ? references : faces)].sort(
    (a, b) =>
      areaOf(b, piece.sizes) - areaOf(a, piece.sizes) ||
      (piece.faces[a].order ?? 9) - (piece.faces[b].order ?? 9),
  )[0]!;
}
