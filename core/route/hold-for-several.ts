import { axisOf, movingOf } from "../frame/index.ts";
import { isGlued, type Seat, seatInVise, seatOnPlate, seatOnTable } from "../holding/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { type Piece } from "../stock/index.ts";
import { done, type Outcome, refused, rule, say } from "../working/index.ts";
import { amountsOf, type Held, leftStanding, reachIn, restsOnPoints, witnessOverlap } from "./held.ts";
import { faceOperation, type NextCut } from "../squaring/index.ts";
import { noOwnSeat, type RouteContext } from "./route-context.ts";
import type { Entry, FaceOperation, FaceSetup } from "./setup.ts";

/** What a cut was done in before, as far as the next one can go on from it. */
export type Before = (Pick<FaceSetup, "seat"> & Pick<FaceOperation, "face" | "from" | "to">) | null;

/** Whether a next cut finds the part standing as it is, and whether its straps too. */
export function entryOf(next: NextCut, before: Before): Entry {
  if (!before || next.hold === "vise" || next.at.up !== before.seat.up || next.at.fixed !== before.seat.fixed)
    return "placed";
  if (next.hold === "quarter") return before.seat.table ? "placed" : "stays";
  if (!before.seat.table || isGlued(before.seat) !== (next.hold === "plate")) return "placed";
  return before.seat.table.over === next.over ? "stays" : "swapped";
}

/** Grip of the lowest quarter, and all that can be reached over it in one clamping; straps on the table; or glue on a plate. */
export function holdForSeveral(
  piece: Piece,
  next: NextCut,
  context: RouteContext,
  before: Before,
): Outcome<Held> {
  const { face, at, extent } = next;
  const { removal, from, to, sized, standing: left } = amountsOf(piece, next, context);
  const above = face === at.up;
  const entry = entryOf(next, before);
  // What lies under or beside the part stays there while only the straps are moved.
  const kept = entry === "swapped" && before ? before.seat : null;
  const own = context.ownSeats[faceOperation(face, extent)] ?? noOwnSeat;
  const points = restsOnPoints(piece, at, context);
  const seated: Outcome<Seat> =
    entry === "stays" && before
      ? done({ ...before.seat, standing: piece.sizes[axisOf(at.up)] })
      : next.hold === "plate"
        ? seatOnPlate({ piece, at, aids: context.shop.aids, removal: above ? removal : 0 })
        : next.hold === "table"
          ? seatOnTable({
              piece,
              at,
              over: next.over ?? at.fixed,
              aids: context.shop.aids,
              // The rest of a face stands out of what the part already is.
              removal: above && extent !== "rest" ? removal : 0,
              paper: kept?.paper ?? own.paper,
              stop: kept?.stop ?? own.stop,
              points: kept?.points ?? points,
            })
          : seatInVise({
              piece,
              at,
              removal: above ? removal : 0,
              overhang: null,
              square: false,
              vise: context.vise,
              parallels: context.shop.parallels,
              rods: context.shop.rods,
              offEnd: 0,
              ownParallels: own.parallels,
              paper: own.paper,
              jack: false,
              stop: own.stop,
              points,
              wantedGrip: piece.sizes[axisOf(at.up)] / 4,
            });
  if (!seated.ok) return seated;
  const seat = seated.value;
  const proud = Math.max(0, ...[at.fixed, movingOf(at)].map((f) => piece.faces[f].rest?.across ?? 0));
  const cutSides = tidy(piece.sizes[axisOf(at.up)] - proud);
  if (entry === "placed" && !seat.table && proud > 0 && seat.grip > cutSides + 1e-6)
    return refused(
      rule(
        "M12.onRest",
      )`The jaws would grip ${mm(seat.grip)} of the sides, and only ${mm(cutSides)} of them is cut: they would close on what still stands out, and the part would tip.`,
      say`Use higher parallels, so that the jaws grip less, or square it another way.`,
    );
  const kind = !above ? "side" : context.machine.kind === "horizontal" ? "slab" : "face";
  const { reach } = reachIn(kind, seat, context.vise);
  if (left !== null && !above && left + witnessOverlap > reach)
    return refused(
      rule(
        "M11.witness",
      )`${mm(left)} of the ${face} face is still to cut and only ${mm(reach)} stands free above the jaws: the two cuts would not meet.`,
      say`Grip less of it, or square it another way.`,
    );
  if (reach <= 0)
    return refused(
      rule("M12.nothingFree")`Nothing of the sides stands free above the jaws.`,
      say`Use higher parallels, or square it another way.`,
    );
  const rest = extent === "part" ? leftStanding(kind, seat, removal, context) : null;
  return done({ at, seat, entry, kind, extent, removal, from, to, sized, rest, endReason: null });
}
