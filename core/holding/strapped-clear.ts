import { alongJaws, axisOf, opposite, type Orientation } from "../frame/index.ts";
import { strapHold } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Aid } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { done, type Outcome, refused, rule, words } from "../working/index.ts";
import { leftOfPlate, plateFor } from "./plate-seat.ts";
import { openSeat } from "./open-seat.ts";
import type { Seat } from "./seat.ts";
import { type CutFromAbove, strapPlaces } from "./strap-places.ts";
import { fewStraps, noStudFor, strapsOwned } from "./table-seat.ts";

export interface ClearRequest {
  piece: Piece;
  at: Orientation;
  aids: readonly Aid[];
  /** What is cut while it is held so. */
  cuts: readonly CutFromAbove[];
  /** What is gone of its top or its bottom already: nothing is pressed there, nothing stands there. */
  gone: readonly CutFromAbove[];
  /** How far tools come out below, mm; 0 where nothing does. */
  comesOut: Mm;
  paper: boolean;
  stop: boolean;
}

/** Tools keep so far off the table, mm. */
const clearOfTable = 1;

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
  if (owned < 2) return fewStraps(owned);
  const found = strapPlaces({ along, between, cuts, gone: request.gone, owned });
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
  const { paper, stop } = request;
  return done(
    openSeat(
      piece,
      at,
      {
        packing,
        straps: places.length,
        over: at.fixed,
        reach,
        plate: plate ? { id: plate.id, glued: false, rests: 1 } : null,
        at: places,
      },
      { paper, stop },
    ),
  );
}
