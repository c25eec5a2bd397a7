import {
  axesAcross,
  type Axis,
  axisNames,
  axisOf,
  type Face,
  faceNames,
  opposite,
  type Sizes,
} from "../frame/index.ts";
import { conditionFacts, faceConditionSchema } from "../handbook/index.ts";
import { faceSchema, axisSchema } from "../frame/index.ts";
import * as z from "../zod.ts";
import type { Spare } from "./spare.ts";
import { bowAt, conditionAt, type Stock } from "./stock.ts";

export const faceStateSchema = z.object({
  condition: faceConditionSchema,
  /** Its condition before it was ever cut: what is left standing of it still has that skin. */
  bought: faceConditionSchema,
  /** Place in the order of cutting, stamped on the face; null while not cut. */
  order: z.number().int().nullable(),
  /** The face that was at the fixed jaw (or on the bed) when this one was cut. */
  cutFrom: faceSchema.nullable(),
  /** What its first cut left standing where it could not reach: how far it stands out, how wide it is; mm. */
  rest: z.object({ proud: z.number(), across: z.number() }).nullable().default(null),
  /** How far it was out under a straightedge as bought, mm over 100 mm; null where nobody tried, and once it is cut. */
  bow: z.number().nullable().default(null),
  /** Clean all over. A cut face that is not is no reference (M10). */
  clean: z.boolean(),
});
export type FaceState = z.infer<typeof faceStateSchema>;

export const pieceSchema = z.object({
  faces: z.record(faceSchema, faceStateSchema),
  /** Present largest size per axis, mm. */
  sizes: z.record(axisSchema, z.number()),
  /** How far its readings of a size differ while not both of its faces are cut, mm: so far are they out of parallel. */
  uneven: z.record(axisSchema, z.number()),
});
/** The piece as it stands: raw stock, a state of the route, or what is in the vise now. */
export type Piece = z.infer<typeof pieceSchema>;

/** The raw piece. Sizes not measured count as their target. */
export function rawPiece(stock: Stock, spares: Record<Axis, Spare>): Piece {
  const sizes = Object.fromEntries(
    axisNames.map((axis) => [
      axis,
      Number.isFinite(spares[axis].largest) ? spares[axis].largest : spares[axis].target,
    ]),
  ) as Sizes;
  const faces = Object.fromEntries(
    faceNames.map((face) => {
      const condition = conditionAt(stock, face);
      const bow = bowAt(stock, face);
      return [
        face,
        {
          condition,
          bought: condition,
          order: null,
          cutFrom: null,
          rest: null,
          bow: bow === null ? null : (100 * bow) / Math.max(...axesAcross(face).map((axis) => sizes[axis])),
          clean: conditionFacts[condition].machined,
        },
      ];
    }),
  ) as Record<Face, FaceState>;
  const uneven = Object.fromEntries(
    axisNames.map((axis) => [axis, Number.isFinite(spares[axis].spread) ? spares[axis].spread : 0]),
  ) as Sizes;
  return { faces, sizes, uneven };
}

/** How far a face is out of flat, mm over 100 mm: as a straightedge showed it, else as such faces usually are (guess). */
export const unevenBy = (piece: Piece, face: Face): number =>
  piece.faces[face].bow ?? conditionFacts[piece.faces[face].condition].flatness;

/** Whether a face may locate the part: cut (or bought ground or milled) and cleaned up (M10). */
export const isReference = (piece: Piece, face: Face): boolean =>
  piece.faces[face].clean && conditionFacts[piece.faces[face].condition].machined;

/**
 * Whether a bought face and the one opposite, cut since, are known to be parallel. The cut one was made square to the face at the fixed
 * jaw: the bought one is parallel to it only where it is square to that face too. A block bought machined all round is taken to be so; a
 * face that was cut from the bought one is.
 */
export function squareAsBought(piece: Piece, axis: Axis): boolean {
  const [one, other] = faceNames.filter((face) => axisOf(face) === axis) as [Face, Face];
  if ((piece.faces[one].order === null) === (piece.faces[other].order === null)) return true;
  const [cut, bought] = piece.faces[one].order === null ? [other, one] : [one, other];
  const from = piece.faces[cut].cutFrom;
  if (from === null || from === bought) return true;
  const allRound = faceNames.every((face) => conditionFacts[piece.faces[face].bought].machined);
  return allRound || (piece.faces[from].order !== null && piece.faces[from].cutFrom === bought);
}

/**
 * The piece after a face was cut to leave the given size.
 * @param rest what the cut could not reach; a later cut of it keeps the number of the face
 */
export function cutFace(
  piece: Piece,
  face: Face,
  from: Face,
  size: number,
  clean = true,
  rest: FaceState["rest"] = null,
): Piece {
  const before = piece.faces[face];
  const order = before.order ?? 1 + Math.max(0, ...faceNames.map((f) => piece.faces[f].order ?? 0));
  return {
    faces: {
      ...piece.faces,
      [face]: {
        condition: clean ? "milled" : before.condition,
        bought: before.bought,
        bow: null,
        order,
        cutFrom: from,
        clean,
        rest,
      },
    },
    sizes: { ...piece.sizes, [axisOf(face)]: size },
    uneven:
      piece.faces[opposite(face)].order === null ? piece.uneven : { ...piece.uneven, [axisOf(face)]: 0 },
  };
}

/** Faces cut so far, in order. */
export function cutOrder(piece: Piece): Face[] {
  return faceNames
    .filter((face) => piece.faces[face].order !== null)
    .sort((a, b) => piece.faces[a].order! - piece.faces[b].order!);
}
