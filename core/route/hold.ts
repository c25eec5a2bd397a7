import { chooseCut, type CutChoice, type CutTask, cutTask, nothingOwn } from "../cutting/index.ts";
import { alongJaws, type Axis, axisOf, type Face, facesOf } from "../frame/index.ts";
import { cutterKindFacts, skinOf } from "../handbook/index.ts";
import {
  coveredByStraps,
  gripCapacity,
  noDaylightFor,
  noTravelFor,
  runOut,
  type Seat,
  sideReach,
  studBeside,
  tableGrip,
} from "../holding/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, reachOf, type Vise } from "../shop/index.ts";
import { type Piece } from "../stock/index.ts";
import { done, type Outcome, type Refusal } from "../working/index.ts";
import { acrossTop, type Held, witnessOverlap } from "./held.ts";
import { type Before, holdForSeveral } from "./hold-for-several.ts";
import { holdInVise } from "./hold-in-vise.ts";
import { type Extent, extentOf, faceOperation, type NextCut, type OperationKey } from "../squaring/index.ts";
import type { RouteContext } from "./route-context.ts";
import { twoOf } from "./two-in-vise.ts";

/** Seats the part for the next cut; refuses with the reason when vise, straps or drawer cannot. */
export function holdFor(
  piece: Piece,
  next: NextCut,
  context: RouteContext,
  before: Before = null,
): Outcome<Held> {
  if (next.hold !== "vise") return holdForSeveral(piece, next, context, before);
  const alone = holdInVise(piece, next, context);
  const how = context.ownSeats[faceOperation(next.face, next.extent)]?.together;
  if (!alone.ok || !how) return alone;
  const both = holdInVise(twoOf(piece, alone.value.at, how), next, context);
  return both.ok ? done({ ...both.value, seat: { ...both.value.seat, together: how } }) : both;
}

/** The task of cutting a face held so. */
export const heldTask = (piece: Piece, face: Face, held: Held, context: RouteContext): CutTask =>
  taskOf(
    held.kind,
    held.seat,
    held.removal,
    { face, key: faceOperation(face, held.extent), sized: held.sized, before: piece },
    context,
  );

/** The best cutter for a task over a seat, among those there is room for. */
export function cutterFor(task: CutTask, seat: Seat, context: RouteContext): Outcome<CutChoice> {
  const cutters = withRoom(task, seat, context);
  return cutters.ok ? chooseCut(task, cutters.value, context) : cutters;
}

/** Why spindle and table have no room for a cutter over a seat (M43); null when they have. */
export function noRoomOver(
  task: CutTask,
  cutter: Cutter,
  seat: Seat,
  { machine, vise, shop }: Pick<RouteContext, "machine" | "vise" | "shop">,
): Refusal | null {
  // An arbor lies beside the part: its room is the overarm's, not the daylight.
  const reach = cutterKindFacts[cutter.kind].mount === "arbor" ? 0 : reachOf(cutter, shop);
  return (
    noDaylightFor(machine, vise, seat, reach) ??
    noTravelFor(machine, task.length + cuttingDiameter(cutter) + 2 * runOut, task.feedAlong)
  );
}

/** The cutters that there is room for over this seat; refuses when none of its kind has. */
function withRoom(task: CutTask, seat: Seat, context: RouteContext): Outcome<Cutter[]> {
  const { shop } = context;
  let refusal: Refusal | null = null;
  const fitting = shop.cutters.filter((cutter) => {
    const none = noRoomOver(task, cutter, seat, context);
    if (none && cutterKindFacts[cutter.kind].cuts.includes(task.kind)) refusal ??= none;
    return none === null;
  });
  return fitting.some((c) => cutterKindFacts[c.kind].cuts.includes(task.kind)) || !refusal
    ? done(fitting)
    : refusal;
}

/** What the vise of a seat holds; nothing is known of one that is gone from the shop. */
const seatGrip = (seat: Seat, { vise, material }: RouteContext) =>
  seat.table ? tableGrip(seat) : seat.vise === vise.id ? gripCapacity(seat, vise, material.group) : null;

/** What a cut goes along and across in a seat, mm: a wall from its top, a face over what the straps leave free. */
export function swept(
  kind: CutTask["kind"],
  seat: Seat,
  { face, extent, before }: { face: Face; extent: Extent; before: Piece },
  vise: Vise,
): Pick<CutTask, "length" | "across" | "feedAlong" | "proud"> {
  const rest = extent === "rest" ? before.faces[face].rest : null;
  if (kind === "side") {
    const across = axisOf(face) === alongJaws(seat);
    const length = across ? seat.between : seat.along;
    const whole = extent === "face" ? seat.standing : sideReach(seat, vise);
    return {
      length,
      feedAlong: across ? "y" : "x",
      across: rest ? Math.min(tidy(rest.across + witnessOverlap), whole) : whole,
      // Where straps held the top it stands higher, and this wall is cut there too.
      proud: rest ? 0 : (before.faces[seat.up].rest?.proud ?? 0),
    };
  }
  const covered = extent === "part" ? coveredByStraps(seat) : 0;
  if (rest)
    return { length: seat.along, feedAlong: "x", across: tidy(rest.across + witnessOverlap), proud: 0 };
  // What is left standing of the walls below stands out beside the face.
  const proud = (axis: Axis): Mm =>
    facesOf(axis).reduce((sum, f) => sum + (before.faces[f].rest?.proud ?? 0), 0);
  return {
    length: tidy(seat.along + proud(alongJaws(seat))),
    feedAlong: "x",
    across: tidy(acrossTop(seat) - covered + proud(axisOf(seat.fixed))),
    proud: 0,
  };
}

/** The task of cutting a face in a seat. */
export function taskOf(
  kind: CutTask["kind"],
  seat: Seat,
  total: Mm,
  of: { face: Face; key: OperationKey; sized: boolean; before: Piece },
  context: RouteContext,
): CutTask {
  const { upper, lower } = context.limits[axisOf(of.face)];
  const { face, before } = of;
  const state = before.faces[face];
  // What was left standing still has the skin the face had when it was bought.
  const skin = skinOf(extentOf(of.key) === "rest" ? state.bought : state.condition, context.material);
  return cutTask({
    kind,
    ...swept(kind, seat, { face, extent: extentOf(of.key), before }, context.vise),
    total,
    skin: skin.skin,
    hardSkin: skin.hardSkin,
    halfTolerance: of.sized && Number.isFinite(upper - lower) ? (upper - lower) / 2 : null,
    ra: context.roughness[face] ?? null,
    grip: seatGrip(seat, context),
    stud: studBeside(seat, face),
    outside: context.outside,
    // Cut once more it is cut as the person wanted it the first time.
    own:
      context.own[of.key] ??
      (extentOf(of.key) === "again" ? context.own[faceOperation(face)] : undefined) ??
      nothingOwn,
    aim: context.aim,
  });
}
