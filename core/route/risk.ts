import { downOf } from "../frame/index.ts";
import type { Seat } from "../holding/index.ts";
import { isReference, type Piece, unevenBy } from "../stock/index.ts";
import { extentOf } from "../squaring/index.ts";
import { type FaceSetup, keyOfSetup } from "./setup.ts";

/**
 * Minutes that a risk counts as (guess): a seat on a face that is no reference, more the less flat it is (M10), a face below
 * on which it rocks, a rod, a tall or shallow grip, a wall cut in two parts.
 */
const risk = { provisional: 4, rocks: 3, rod: 1.5, tall: 3, shallow: 4, witness: 3 } as const;

/** Minutes that the risks of a seat count as. */
export function risksOf(piece: Piece, seat: Seat): number {
  const down = downOf(seat);
  const rocks = isReference(piece, down) || seat.points ? 0 : risk.rocks * unevenBy(piece, down);
  if (seat.table) return rocks;
  return (
    (isReference(piece, seat.fixed) ? 0 : risk.provisional * (1 + unevenBy(piece, seat.fixed))) +
    rocks +
    (seat.rod ? risk.rod : 0) +
    (seat.projection > 1.5 * seat.grip ? risk.tall : 0) +
    (seat.effectiveGrip < 5 ? risk.shallow : 0)
  );
}

/** Minutes that the risks of a planned route count as: of every seat, and of every wall that is cut in two parts. */
export const routeRisk = (setups: readonly FaceSetup[]): number =>
  setups.reduce(
    (sum, s) =>
      sum +
      (s.entry === "placed" ? risksOf(s.before, s.seat) : 0) +
      (extentOf(keyOfSetup(s)) === "rest" ? risk.witness : 0),
    0,
  );
