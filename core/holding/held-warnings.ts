import { axisOf } from "../frame/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { rule, type Warning, warn } from "../working/index.ts";
import { type Seat, seatWarnings } from "./seat.ts";
import { sprungByJaws } from "./thin.ts";
import { pullMovesZero, twistsJaw } from "./vise-errors.ts";

/** Free of the jaws for more than this many times its thickness a part springs under a cut (guess). */
const freeForThickness = 2;

/** How far a part reaches past the jaws at the end that is not cut, mm: gripped in the middle unless an end is hung out. */
export const pastJaws = ({ along, overhang }: Pick<Seat, "along" | "overhang">, vise: Vise): Mm =>
  overhang === null ? (along - vise.jawWidth) / 2 : along - vise.jawWidth - overhang;

/**
 * M42: a long part in short jaws springs, and tips out of them, when it is cut where nothing carries it.
 * @param cuts where it is cut, from its middle along the jaws, mm; null for all along
 */
export function hangsFree(seat: Seat, vise: Vise, cuts: readonly [Mm, Mm][] | null): Warning[] {
  if (seat.table) return [];
  const free = pastJaws(seat, vise);
  const most = freeForThickness * seat.standing;
  if (free <= most) return [];
  const reach = cuts === null ? Infinity : Math.max(0, ...cuts.flatMap(([a, b]) => [-a, b]));
  const outside = tidy(Math.min(free, reach - vise.jawWidth / 2));
  if (outside <= most) return [];
  return [
    warn(
      rule(
        "M42.free",
      )`${mm(free)} of the part hangs past jaws ${mm(vise.jawWidth)} wide, and it is cut ${mm(outside)} outside them: it springs there, and can tip out of the vise. Put a jack or packing under each overhanging end, or hold it in two vises in line. Needed above ${mm(most)} (guess: twice its thickness).`,
    ),
  ];
}

/**
 * What stands against a part held in a vise, for faces and features alike: the seat itself, stretch and twist of the vise, a
 * plate sprung by the jaws, what hangs free.
 */
export function heldWarnings(of: {
  piece: Piece;
  seat: Seat;
  vise: Vise;
  /** The cut is one with the side of the cutter, or of features: jaws have to hold against it. */
  side: boolean;
  /** Tolerance of what is made here, mm; null for none. */
  tolerance: Mm | null;
  /** Where it is cut along the jaws, from its middle, mm; null for all along. */
  cuts: readonly [Mm, Mm][] | null;
  /** The top is cut as a face: gripped at its edges it springs. */
  faced: boolean;
}): Warning[] {
  const { piece, seat, vise, side, tolerance, cuts, faced } = of;
  const thin = axisOf(seat.up);
  return [
    ...seatWarnings(piece, seat, side),
    ...pullMovesZero(vise, tolerance),
    ...twistsJaw(seat, vise),
    ...(faced || piece.sizes[thin] === Math.min(...Object.values(piece.sizes)) ? sprungByJaws(seat) : []),
    ...hangsFree(seat, vise, cuts),
  ];
}
