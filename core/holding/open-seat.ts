import { alongJaws, axisOf, downOf, type Orientation } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import type { Seat } from "./seat.ts";

/**
 * A block that lies on the table: on what stands under it, its own sizes, no jaw that grips it.
 * @param removal what comes off the top, mm
 */
export function openSeat(
  piece: Piece,
  at: Orientation,
  table: NonNullable<Seat["table"]>,
  { removal = 0, ...held }: Partial<Pick<Seat, "paper" | "stop" | "points">> & { removal?: Mm } = {},
): Seat {
  const standing = piece.sizes[axisOf(at.up)];
  return {
    up: at.up,
    fixed: at.fixed,
    vise: "",
    parallels: null,
    rod: null,
    paper: false,
    jack: false,
    stop: false,
    points: false,
    together: null,
    blocks: null,
    table,
    tap: isReference(piece, downOf(at)),
    soft: false,
    square: false,
    grip: 0,
    effectiveGrip: 0,
    projection: tidy(table.packing + standing - removal),
    standing,
    between: piece.sizes[axisOf(at.fixed)],
    along: piece.sizes[alongJaws(at)],
    overhang: null,
    ...held,
  };
}
