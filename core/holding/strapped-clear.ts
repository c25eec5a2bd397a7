import { alongJaws, axisOf, downOf, opposite, type Orientation } from "../frame/index.ts";
import { strapHold } from "../handbook/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { Aid } from "../shop/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { done, type Outcome, refused, rule, words } from "../working/index.ts";
import { plateFor } from "./plate-seat.ts";
import type { Seat } from "./seat.ts";
import { type CutFromAbove, strapPlaces } from "./strap-places.ts";
import { noStudFor, strapsOwned } from "./table-seat.ts";

export interface ClearRequest {
  piece: Piece;
  at: Orientation;
  aids: readonly Aid[];
  /** What is cut while it is held so. */
  cuts: readonly CutFromAbove[];
  /** How far tools come out below, mm; 0 where nothing does. */
  comesOut: Mm;
  paper: boolean;
  stop: boolean;
}

/** Tools keep so far off the table, and leave so much of a plate below, mm. */
const clearOfTable = 1;
const leftOfPlate = 4;

/**
 * A part strapped to the table with its straps clear of all that is cut, each over packing; on a plate that may be cut into where tools
 * come out below and there is one as large (domain.md 5 and 8). Refuses where two straps cannot stand (M15), where studs are too short
 * (M47).
 */
export function seatStrappedClear(request: ClearRequest): Outcome<Seat> {
  const { piece, at, aids, cuts, comesOut } = request;
  const standing = piece.sizes[axisOf(at.up)];
  const between = piece.sizes[axisOf(at.fixed)];
  const along = piece.sizes[alongJaws(at)];
  const owned = strapsOwned(aids);
  if (owned < 2)
    return refused(
      rule(
        "M15.none",
      )`Strapping it to the table takes two straps with studs and T-nuts; the shop has ${owned}. One alone lets the part turn.`,
      words("Enter straps, studs and T-nuts in the shop."),
    );
  const found = strapPlaces({ along, between, cuts, owned });
  if (!found)
    return refused(
      rule(
        "M15.nowhere",
      )`Over the ${at.fixed} and ${opposite(at.fixed)} edges there is no room for two straps clear of what is cut, with the holder passing.`,
      words("Cut it in two setups, turn the part, or hold it in the vise."),
    );
  const plate = comesOut > 0 ? plateFor(aids, Math.max(along, between), comesOut + leftOfPlate) : undefined;
  const packing = plate ? plate.from : Math.max(strapHold.packing, Math.ceil(comesOut + clearOfTable));
  const short = noStudFor(standing, packing, aids);
  if (short) return short;
  const { places, reach } = found;
  return done({
    up: at.up,
    fixed: at.fixed,
    vise: "",
    parallels: null,
    rod: null,
    paper: request.paper,
    jack: false,
    stop: request.stop,
    points: false,
    blocks: null,
    table: {
      packing,
      straps: places.length,
      over: at.fixed,
      reach,
      plate: plate ? { id: plate.id, glued: false } : null,
      at: places,
    },
    tap: isReference(piece, downOf(at)),
    soft: false,
    square: false,
    grip: 0,
    effectiveGrip: 0,
    projection: tidy(packing + standing),
    standing,
    between,
    along,
    overhang: null,
  });
}
