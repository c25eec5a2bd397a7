import type { Face } from "../frame/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { jawLift } from "../handbook/index.ts";
import type { Seat } from "./seat.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import { opposite } from "../frame/index.ts";
import { stretchOf, type Vise } from "../shop/index.ts";

/** M13: a hard pull moves the fixed jaw by more than a quarter of the tolerance: the zero moves with it. */
export function pullMovesZero(vise: Vise, tolerance: Mm | null): Warning[] {
  const stretch = stretchOf(vise);
  return stretch !== null && tolerance !== null && stretch > tolerance / 4
    ? [
        warn(
          rule(
            "M13.stretch",
          )`The fixed jaw of the ${vise.name} flexes ${mm(stretch)} when tightened hard, a good part of the ${mm(tolerance)} tolerance: set zero after clamping, and use the same torque every time.`,
        ),
      ]
    : [];
}

/** How far the moving jaw lifts the part at its side, mm: when it is gripped above the middle of the jaw and not tapped down. */
export function liftedByJaw(seat: Seat, vise: Pick<Vise, "jawDepth" | "jawLift">): Mm {
  if (seat.table || seat.tap) return 0;
  const above = (seat.parallels?.height ?? 0) + seat.grip / 2 - vise.jawDepth / 2;
  return Math.max(0, above) * (vise.jawLift === null ? jawLift : vise.jawLift / 10);
}

/** Whether the part sits at one side of the jaws and leaves a good part of them empty: an end hung out. */
export const grippedOffCenter = (seat: Seat, vise: Pick<Vise, "jawWidth">): boolean =>
  seat.overhang !== null && seat.along - seat.overhang < 0.75 * vise.jawWidth;

/** M12: an off-center grip twists the moving jaw. */
export function twistsJaw(seat: Seat, vise: Pick<Vise, "jawWidth">): Warning[] {
  return grippedOffCenter(seat, vise)
    ? [
        note(
          rule(
            "M12.offCenter",
          )`The part is at one side of the jaws: the moving jaw cocks and grips one edge. Put a spacer of the same thickness at the other side.`,
        ),
      ]
    : [];
}

/**
 * M32: the part was turned round onto another face than when the face opposite was cut. What was out of square at the jaw is
 * then not the same for both: it adds up instead of staying.
 */
export function otherFaceAtJaw(piece: Piece, up: Face, fixed: Face): Warning[] {
  const across = piece.faces[opposite(up)];
  const before = across.cutFrom;
  // A face cut only later was a raw seat then: nothing was squared by it.
  const wasReference =
    before !== null && isReference(piece, before) && (piece.faces[before].order ?? 0) < (across.order ?? 0);
  return before !== null && wasReference && before !== fixed && isReference(piece, fixed)
    ? [
        note(
          rule(
            "M32.otherFace",
          )`The opposite face was cut with ${faceName(piece, before)} at the fixed jaw, this one with ${faceName(piece, fixed)}: the jaw's error then counts twice between the two. Mark the face and keep it there.`,
        ),
      ]
    : [];
}

const faceName = (piece: Piece, face: Face): string =>
  piece.faces[face].order === null ? `the ${face} face` : `face ${piece.faces[face].order}`;
