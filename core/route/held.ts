import type { CutTask } from "../cutting/index.ts";
import { axisOf, downOf, type Face, opposite, type Orientation } from "../frame/index.ts";
import { coveredByStraps, type Seat, sideReach } from "../holding/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { cutFace, type FaceState, isReference, type Piece } from "../stock/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Phrase } from "../working/index.ts";
import type { Extent, NextCut } from "../squaring/index.ts";
import type { RouteContext } from "./route-context.ts";
import type { Entry } from "./setup.ts";

/** Less than this is no cut, mm. */
export const noCut = 0.005;
/** One more pass over a face that did not clean up, mm. */
export const cleanUpPass = 0.3;
/** The second cut of a wall goes past the first by this much, mm. */
export const witnessOverlap = 1;

/** How a face would be held and what comes off it: all of a setup but its cut. */
export interface Held {
  at: Orientation;
  seat: Seat;
  entry: Entry;
  kind: CutTask["kind"];
  extent: Extent;
  removal: Mm;
  from: Mm;
  to: Mm;
  sized: boolean;
  /** What the cut cannot reach in this seat; null when it reaches all. */
  rest: FaceState["rest"];
  /** Why an end stands or hangs; null for the faces around the block. */
  endReason: Phrase | null;
}

/** What comes off a face: its share of the spare when it is the first of its pair, else all down to the size. */
export function removalFor(
  piece: Piece,
  face: Face,
  context: RouteContext,
): { removal: Mm; to: Mm; sized: boolean } {
  const axis = axisOf(face);
  const from = piece.sizes[axis];
  const sized = piece.faces[opposite(face)].order !== null;
  const removal = sized
    ? Math.max(0, tidy(from - context.target[axis]))
    : (context.spares[axis].first[face] ?? 0);
  return { removal, to: sized && removal > 0 ? context.target[axis] : tidy(from - removal), sized };
}

/** What an operation takes off: all of a face, what it reaches, or what was left standing of it. */
export function amountsOf(piece: Piece, { face, extent }: NextCut, context: RouteContext) {
  const axis = axisOf(face);
  const left = piece.faces[face].rest;
  if (extent !== "rest" || !left)
    return { ...removalFor(piece, face, context), from: piece.sizes[axis], standing: null };
  const to = piece.sizes[axis];
  const sized = piece.faces[opposite(face)].order !== null;
  return { removal: left.proud, from: tidy(to + left.proud), to, sized, standing: left.across };
}

/** Width of the face on top that lanes go across: from the fixed side to the one opposite, mm. */
export const acrossTop = (seat: Seat): Mm => seat.between;

/** How far down or across a cut reaches in a seat, and how much there is of its face; mm. */
export function reachIn(
  kind: CutTask["kind"],
  seat: Seat,
  vise: Pick<Vise, "jawDepth">,
): { reach: Mm; whole: Mm } {
  return kind === "side"
    ? { reach: sideReach(seat, vise), whole: seat.standing }
    : { reach: tidy(acrossTop(seat) - coveredByStraps(seat)), whole: acrossTop(seat) };
}

/** What a first cut of a face leaves standing; null when it reaches all. */
export function leftStanding(
  kind: CutTask["kind"],
  seat: Seat,
  removal: Mm,
  { vise }: Pick<RouteContext, "vise">,
): FaceState["rest"] {
  const { reach, whole } = reachIn(kind, seat, vise);
  return removal > noCut && whole - reach > noCut ? { proud: removal, across: tidy(whole - reach) } : null;
}

/** A cast face below that is no reference yet rocks: in the casting school it rests on three points. */
export const restsOnPoints = (piece: Piece, at: Orientation, context: RouteContext): boolean =>
  context.points && !isReference(piece, downOf(at)) && piece.faces[downOf(at)].condition === "cast";

/** The piece after its face was cut in a setup. */
export const pieceAfter = (piece: Piece, face: Face, { seat, removal, to, rest }: Held): Piece =>
  removal > noCut
    ? cutFace(piece, face, locatedBy(seat, face), to, true, rest)
    : leftAsItIs(piece, face, locatedBy(seat, face));

/** The face a cut was located from: the one at the fixed jaw, or below when that is the one that is cut. */
export const locatedBy = (seat: Seat, face: Face): Face =>
  axisOf(face) === axisOf(seat.fixed) ? downOf(seat) : seat.fixed;

/** A face with nothing to take off keeps its condition and gets its number. */
export function leftAsItIs(piece: Piece, face: Face, fixed: Face): Piece {
  const cut = cutFace(piece, face, fixed, piece.sizes[axisOf(face)]);
  return {
    ...cut,
    faces: {
      ...cut.faces,
      [face]: { ...cut.faces[face], condition: piece.faces[face].condition, clean: piece.faces[face].clean },
    },
  };
}
