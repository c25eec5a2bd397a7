import { chooseCut, type CutChoice, type CutTask, cutTask, nothingOwn } from "../cutting/index.ts";
import {
  type Axis,
  axisOf,
  type Face,
  facesOf,
  opposite,
  type Orientation,
  orientation,
} from "../frame/index.ts";
import { conditionFacts, type ConditionFacts, cutterKindFacts } from "../handbook/index.ts";
import { gripCapacity, noRoomFor, type Seat, seatInVise } from "../holding/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Machine, reachOf, type Vise } from "../shop/index.ts";
import { cutFace, type Piece } from "../stock/index.ts";
import { done, type Outcome, type Phrase, type Refusal, refused, rule, say } from "../working/index.ts";
import { faceOperation, type OperationKey } from "./operation.ts";
import { type EndsWay, type RouteContext } from "./route-context.ts";

/** Room left for the end beyond what is cut off an overhanging end, mm. */
const overhangRoom = 5;
/** An end stands upright up to this many grip depths (domain.md 4, first rule). */
const uprightGrips = 2.5;
/** Less than this is no cut, mm. */
export const noCut = 0.005;
/** One more pass over a face that did not clean up, mm. */
export const cleanUpPass = 0.3;

/**
 * Whether an end can be cut standing: not longer than 2.5 × grip depth, and it fits under the spindle.
 * @param wanted the person's own way; standing is only taken where there is room for it
 */
export function endStandsUpright(
  length: Mm,
  vise: Vise,
  machine: Machine,
  stickout: Mm,
  wanted: EndsWay | null = null,
): { upright: boolean; reason: Phrase } {
  if (wanted === "hung")
    return { upright: false, reason: say`You chose it: the end hangs out past the jaws.` };
  const byGrip = uprightGrips * vise.jawDepth;
  const room = machine.daylight - vise.bedHeight - stickout - 20;
  if (length > byGrip && wanted === null) {
    return {
      upright: false,
      reason: say`${mm(length)} is longer than 2.5 × the ${mm(vise.jawDepth)} of grip: it would sway standing, so the end hangs out past the jaws.`,
    };
  }
  if (length > room) {
    return {
      upright: false,
      reason: rule(
        "M43.daylight",
      )`${mm(length)} upright does not fit under the spindle, which leaves ${mm(room)}: the end hangs out past the jaws.`,
    };
  }
  return {
    upright: true,
    reason:
      length > byGrip
        ? say`You chose it: the end stands upright, ${mm(length)} high for ${mm(vise.jawDepth)} of grip.`
        : say`${mm(length)} is not longer than 2.5 × the ${mm(vise.jawDepth)} of grip, so the end stands upright against a square.`,
  };
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
    : (context.spares[axis].removal[face] ?? 0);
  return { removal, to: sized && removal > 0 ? context.target[axis] : tidy(from - removal), sized };
}

/** How a face would be held and what comes off it: all of a setup but its cut. */
export interface Held {
  at: Orientation;
  seat: Seat;
  kind: CutTask["kind"];
  removal: Mm;
  to: Mm;
  sized: boolean;
  /** Why an end stands or hangs; null for the faces around the block. */
  endReason: Phrase | null;
}

/** Whether the ends of a block are cut standing, by the rule or as the person wants it. */
export function endsUpright(context: RouteContext): { upright: boolean; reason: Phrase } {
  const { rawLength, vise, machine, shop, endsWay } = context;
  const facing = shop.cutters.filter((c) => cutterKindFacts[c.kind].cuts.includes("face"));
  const stickout = Math.min(...facing.map((c) => reachOf(c, shop)), 100);
  return endStandsUpright(rawLength, vise, machine, stickout, endsWay);
}

/** Seats the part for the face that is up; refuses with the reason when vise or drawer cannot. */
export function holdFor(piece: Piece, next: Orientation, context: RouteContext): Outcome<Held> {
  const face = next.up;
  const isEnd = axisOf(face) === context.ends;
  const { removal, to, sized } = removalFor(piece, face, context);
  const standing = isEnd ? endsUpright(context) : null;
  const hangs = standing !== null && !standing.upright;
  const own = context.ownSeats[faceOperation(face)];
  const at = hangs
    ? overhangOrientation(piece, context.ends)
    : (own?.fixed && orientation(face, own.fixed)) || next;
  const seat = seatInVise({
    piece,
    at,
    removal: hangs ? 0 : removal,
    overhang: hangs ? tidy(removal + overhangRoom) : null,
    square: isEnd && !hangs,
    vise: context.vise,
    parallels: context.shop.parallels,
    rods: context.shop.rods,
    offEnd: hangs ? removal : 0,
    ownParallels: own?.parallels ?? null,
    paper: own?.paper ?? false,
  });
  if (!seat.ok) return seat;
  const gripped = Math.min(context.vise.jawWidth, piece.sizes[context.ends]);
  if (hangs && seat.value.overhang! > 0.5 * gripped) {
    return refused(
      rule(
        "M11.overhang",
      )`${mm(seat.value.overhang!)} would hang out past ${mm(gripped)} of grip; at most half is held safely.`,
      say`Put a jack under the end, or saw it closer first.`,
    );
  }
  const kind = hangs ? "side" : context.machine.kind === "horizontal" ? "slab" : "face";
  return done({ at, seat: seat.value, kind, removal, to, sized, endReason: standing?.reason ?? null });
}

/** The task of cutting a face held so. */
export const heldTask = (piece: Piece, face: Face, held: Held, context: RouteContext): CutTask =>
  taskOf(
    held.kind,
    held.seat,
    held.removal,
    {
      face,
      key: faceOperation(face),
      sized: held.sized,
      skin: conditionFacts[piece.faces[face].condition],
    },
    context,
  );

/** The best cutter for a task over a seat, among those there is room for. */
export function cutterFor(task: CutTask, seat: Seat, context: RouteContext): Outcome<CutChoice> {
  const cutters = withRoom(task, seat, context);
  return cutters.ok ? chooseCut(task, cutters.value, context) : cutters;
}

/** The piece after its face was cut in a setup. */
export const pieceAfter = (piece: Piece, face: Face, { seat, removal, to }: Held): Piece =>
  removal > noCut ? cutFace(piece, face, seat.fixed, to) : leftAsItIs(piece, face, seat.fixed);

/** For an end past the jaws the block lies flat: its lower size up, so that the flutes reach. */
function overhangOrientation(piece: Piece, ends: Axis): Orientation {
  const [a, b] = (["length", "width", "height"] as const).filter((axis) => axis !== ends) as [Axis, Axis];
  const low = piece.sizes[a] <= piece.sizes[b] ? a : b;
  const wide = low === a ? b : a;
  return orientation(facesOf(low)[1], facesOf(wide)[0])!;
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
  const axis = task.kind === "side" ? "y" : "x";
  return noRoomFor(machine, vise, seat, reach, task.length, cuttingDiameter(cutter), axis);
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
  seat.vise === vise.id ? gripCapacity(seat, vise, material.group) : null;

/** The task of cutting a face in a seat. */
export function taskOf(
  kind: CutTask["kind"],
  seat: Seat,
  total: Mm,
  of: { face: Face; key: OperationKey; sized: boolean; skin: ConditionFacts },
  context: RouteContext,
): CutTask {
  const side = kind === "side";
  const { upper, lower } = context.limits[axisOf(of.face)];
  return cutTask({
    kind,
    length: side ? seat.between : seat.along,
    across: side ? seat.standing : seat.between,
    total,
    skin: of.skin.skin,
    hardSkin: of.skin.hardSkin,
    halfTolerance: of.sized && Number.isFinite(upper - lower) ? (upper - lower) / 2 : null,
    grip: seatGrip(seat, context),
    outside: context.outside,
    own: context.own[of.key] ?? nothingOwn,
    aim: context.aim,
  });
}

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
