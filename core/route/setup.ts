import {
  chooseCut,
  type CutChoice,
  type Cut,
  cutAsTold,
  type CutTask,
  cutTask,
  nothingOwn,
  type OwnConditions,
} from "../cutting/index.ts";
import {
  type Axis,
  axisOf,
  downOf,
  type Face,
  facesOf,
  movingOf,
  opposite,
  type Orientation,
  orientation,
  type Sizes,
  turnBetween,
} from "../frame/index.ts";
import {
  conditionFacts,
  type ConditionFacts,
  cutterKindFacts,
  handlingTimes,
  type Material,
  wordsFor,
} from "../handbook/index.ts";
import {
  faceCalled,
  feedDirection,
  gripCapacity,
  noRoomFor,
  otherFaceAtJaw,
  parallelReached,
  pullMovesZero,
  type Seat,
  seatInVise,
  seatWarnings,
  sprungByJaws,
  thinBows,
} from "../holding/index.ts";
import { type Limits, type Mm, mm, tidy } from "../quantity/index.ts";
import {
  type Cutter,
  cuttingDiameter,
  type Machine,
  newCutter,
  reachOf,
  type Shop,
  type Vise,
} from "../shop/index.ts";
import { cutFace, isReference, type Piece, type Spare } from "../stock/index.ts";
import {
  done,
  type Limit,
  note,
  type Outcome,
  type Phrase,
  type Refusal,
  refused,
  rule,
  say,
  warn,
  type Warning,
} from "../working/index.ts";
import { faceOperation, type OperationKey, type Told } from "./operation.ts";

/** What the planner knows when it plans a setup. */
export interface RouteContext {
  target: Sizes;
  limits: Record<Axis, Limits>;
  spares: Record<Axis, Spare>;
  material: Material;
  machine: Machine;
  vise: Vise;
  /** What is in use; a setup once begun may name a cutter that is retired since. */
  shop: Shop;
  everyCutter: Cutter[];
  ends: Axis;
  /** Largest raw length across the ends, mm: both ends are held the same way by it. */
  rawLength: Mm;
  /** What the person set themselves, by operation. */
  own: Partial<Record<OperationKey, OwnConditions>>;
  /** How the person wants a setup held: the face at the fixed jaw, the parallels by id. */
  ownSeats: Partial<Record<OperationKey, OwnSeat>>;
  /** The school: which face comes up next, and what goes to the fixed jaw; null when all are cut. */
  next: (piece: Piece) => Orientation | null;
  aim: CutTask["aim"];
  /** Ends as the person wants them cut; null to go by the rule. */
  endsWay: EndsWay | null;
  /** Limits from holding and bending; none in this release, their place is here. */
  outside: Limit[];
}

/** Ends stand upright, or hang out past the jaws. */
export type EndsWay = "upright" | "hung";

export interface OwnSeat {
  fixed: Face | null;
  parallels: string | null;
}

export interface Setup {
  number: number;
  key: OperationKey;
  face: Face;
  axis: Axis;
  at: Orientation;
  seat: Seat;
  cut: Cut;
  /** What the cut was to do: enough to compare cutters and draw its limits when they are asked for. */
  task: CutTask;
  /** Why this cutter. */
  why: Phrase;
  /** Largest size before and size after, mm. */
  from: Mm;
  to: Mm;
  /** A required size (its other face is cut already), or a first face that only has to clean up. */
  sized: boolean;
  limits: Limits;
  before: Piece;
  after: Piece;
  title: Phrase;
  reasons: Phrase[];
  warnings: Warning[];
  /** How the part turns from the setup before. */
  turn: ReturnType<typeof turnBetween>;
  minutes: { cutting: number; handling: number };
}

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

/** Seats the part for the face that is up; refuses with the reason when vise or drawer cannot. */
export function holdFor(piece: Piece, next: Orientation, context: RouteContext): Outcome<Held> {
  const face = next.up;
  const isEnd = axisOf(face) === context.ends;
  const { removal, to, sized } = removalFor(piece, face, context);
  const facing = context.shop.cutters.filter((c) => cutterKindFacts[c.kind].cuts.includes("face"));
  const stickout = Math.min(...facing.map((c) => reachOf(c, context.shop)), 100);
  const standing = isEnd
    ? endStandsUpright(context.rawLength, context.vise, context.machine, stickout, context.endsWay)
    : null;
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

/** Plans the setup that cuts the face on top; refuses with the reason when vise, drawer or cutters cannot. */
export function planSetup(
  piece: Piece,
  number: number,
  next: Orientation,
  previous: Orientation | null,
  context: RouteContext,
): Outcome<Setup> {
  const face = next.up;
  const axis = axisOf(face);
  const held = holdFor(piece, next, context);
  if (!held.ok) return held;
  const { at, seat, to, sized, endReason } = held.value;
  const task = heldTask(piece, face, held.value, context);
  const choice = cutterFor(task, seat, context);
  if (!choice.ok) return choice;
  return done(
    describe(
      {
        number,
        key: faceOperation(face),
        face,
        axis,
        at,
        seat,
        cut: choice.value.best,
        task,
        why: choice.value.why,
        from: piece.sizes[axis],
        to,
        sized,
        limits: context.limits[axis],
        before: piece,
        after: pieceAfter(piece, face, held.value),
        turn: previous ? turnBetween(previous, at) : "none",
        endReason,
      },
      context,
    ),
  );
}

/** The cutters that spindle and table have room for over this seat (M43); refuses when none of its kind has. */
function withRoom(task: CutTask, seat: Seat, { machine, vise, shop }: RouteContext): Outcome<Cutter[]> {
  const axis = task.kind === "side" ? "y" : "x";
  let refusal: Refusal | null = null;
  const fitting = shop.cutters.filter((cutter) => {
    const { cuts, mount } = cutterKindFacts[cutter.kind];
    // An arbor lies beside the part: its room is the overarm's, not the daylight.
    const reach = mount === "arbor" ? 0 : reachOf(cutter, shop);
    const none = noRoomFor(machine, vise, seat, reach, task.length, cuttingDiameter(cutter), axis);
    if (none && cuts.includes(task.kind)) refusal ??= none;
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
function taskOf(
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

/** A cutter that is gone from the shop, as far as what was told of it says. */
const standIn = ({ conditions, kind }: Told) =>
  newCutter({
    id: conditions.cutter,
    name: "a cutter no longer in the shop",
    kind: kind === "side" ? "endMill" : kind === "face" ? "shellMill" : "slabMill",
    material: "hss",
    diameter: Math.max(20, kind === "face" ? conditions.width : 20),
    teeth: 4,
    fluteLength: Math.max(20, conditions.width + 5),
  });

/** A face with nothing to take off keeps its condition and gets its number. */
function leftAsItIs(piece: Piece, face: Face, fixed: Face): Piece {
  const cut = cutFace(piece, face, fixed, piece.sizes[axisOf(face)]);
  return {
    ...cut,
    faces: {
      ...cut.faces,
      [face]: { ...cut.faces[face], condition: piece.faces[face].condition, clean: piece.faces[face].clean },
    },
  };
}

/** A setup that was begun: seat and conditions as told, whatever the plan would say now. */
export function toldSetup(
  piece: Piece,
  told: Told,
  previous: Orientation | null,
  context: RouteContext,
  moreOff: Mm,
  clean: boolean,
): Setup {
  const at: Orientation = { up: told.seat.up, fixed: told.seat.fixed };
  const axis = axisOf(told.face);
  const to = tidy(told.to - moreOff);
  const sized = piece.faces[opposite(told.face)].order !== null;
  const task = taskOf(
    told.kind,
    told.seat,
    Math.max(0, tidy(told.from - to)),
    { face: told.face, key: told.key, sized, skin: conditionFacts[piece.faces[told.face].condition] },
    context,
  );
  const known = context.everyCutter.find((c) => c.id === told.conditions.cutter);
  const cut = cutAsTold(task, known ?? standIn(told), context, told.conditions);
  if (!known)
    cut.warnings.push(
      warn(
        rule(
          "shop.cutterGone",
        )`The cutter this setup was begun with is no longer in the shop: check what stands in the spindle.`,
      ),
    );
  const total = tidy(told.from - to);
  return describe(
    {
      number: told.number,
      key: told.key,
      face: told.face,
      axis,
      at,
      seat: told.seat,
      cut,
      task,
      why: say`The setup was begun with it.`,
      from: told.from,
      to,
      sized,
      limits: context.limits[axis],
      before: piece,
      after:
        total > noCut
          ? cutFace(piece, told.face, told.seat.fixed, to, clean)
          : leftAsItIs(piece, told.face, told.seat.fixed),
      turn: previous ? turnBetween(previous, at) : "none",
      endReason: null,
    },
    context,
  );
}

/** What is told of a setup when it begins. */
export const tellSetup = (setup: Setup): Told => ({
  key: setup.key,
  number: setup.number,
  face: setup.face,
  kind: setup.cut.kind,
  seat: setup.seat,
  conditions: {
    cutter: setup.cut.cutter,
    rpm: setup.cut.rpm,
    setting: setup.cut.setting,
    vf: setup.cut.vf,
    finishVf: setup.cut.finishVf,
    feedBy: setup.cut.feedBy,
    pace: setup.cut.pace,
    width: setup.cut.width,
    lanes: setup.cut.lanes,
    depth: setup.cut.depth,
    finish: setup.cut.finish,
  },
  from: setup.from,
  to: setup.to,
});

/** For an end past the jaws the block lies flat: its lower size up, so that the flutes reach. */
function overhangOrientation(piece: Piece, ends: Axis): Orientation {
  const [a, b] = (["length", "width", "height"] as const).filter((axis) => axis !== ends) as [Axis, Axis];
  const low = piece.sizes[a] <= piece.sizes[b] ? a : b;
  const wide = low === a ? b : a;
  return orientation(facesOf(low)[1], facesOf(wide)[0])!;
}

type Described = Omit<Setup, "title" | "reasons" | "warnings" | "minutes"> & { endReason: Phrase | null };

/** Puts title, reasons, warnings and minutes to a setup, all from its facts. */
function describe({ endReason, ...setup }: Described, context: RouteContext): Setup {
  const { before, seat, cut, face, number } = setup;
  const down = downOf(setup.at);
  const moving = movingOf(setup.at);
  const nothing = setup.from - setup.to <= noCut;
  const size = setup.sized ? say` to ${mm(setup.to)}` : say``;
  const title = nothing
    ? say`${capital(faceCalled(before, seat.fixed))} to the fixed jaw. The ${face} face stays as it is: there is nothing to take off.`
    : cut.kind === "side"
      ? say`${capital(faceCalled(before, seat.fixed))} to the fixed jaw, the ${face} end out past the jaws. Cut face ${number}${size} with the side of the cutter.`
      : say`${capital(faceCalled(before, down))} down, ${faceCalled(before, seat.fixed)} to the fixed jaw. Cut face ${number}${size}.`;
  return {
    ...setup,
    title,
    reasons: [
      fixedReason(before, seat.fixed),
      rodReason(before, seat, moving),
      underReason(before, seat, down, cut.kind),
      feedDirection(cut.kind, context.vise).why,
      ...(endReason ? [endReason] : []),
      setup.sized
        ? say`Both faces of the ${setup.axis} are cut now: this is where the size comes from.`
        : say`First face of the ${setup.axis}: it only has to clean up, ${mm(tidy(setup.from - setup.to))} comes off.`,
    ],
    warnings: [
      ...seatWarnings(before, seat),
      ...(context.vise.id === seat.vise ? viseWarnings(setup, context) : []),
      ...cut.warnings,
      ...(setup.sized && setup.from < setup.limits.lower
        ? [
            warn(
              rule(
                "M01.already",
              )`The block is ${mm(setup.from)} and the lower limit is ${mm(setup.limits.lower)}: it is under size before this cut.`,
            ),
          ]
        : []),
      ...(context.material.caution ? [note(say`${context.material.caution}`)] : []),
    ],
    minutes: {
      cutting: nothing ? 0 : cut.minutes,
      handling:
        handlingTimes.setup +
        handlingTimes.touchOff +
        handlingTimes.deburr +
        handlingTimes.measure * (setup.sized ? 2 : 1),
    },
  };
}

/** What holding says against a setup in this vise: parallels in the way, stretch, the face at the jaw, thin parts. */
function viseWarnings(
  { seat, cut, from, to, face, before, sized, limits }: Omit<Described, "endReason">,
  { vise, shop, spares }: RouteContext,
): Warning[] {
  const tolerance =
    sized && Number.isFinite(limits.upper - limits.lower) ? limits.upper - limits.lower : null;
  const thinnest = Math.min(...Object.values(before.sizes)) === before.sizes[axisOf(face)];
  return [
    ...parallelReached(
      seat,
      vise,
      shop.parallels.find((p) => p.id === seat.parallels?.id),
      cut.kind === "side" ? from - to : 0,
    ),
    ...pullMovesZero(vise, tolerance),
    ...otherFaceAtJaw(before, face, seat.fixed),
    ...(thinnest && spares[axisOf(face)].spare > 0
      ? thinBows(before.sizes, tolerance === null ? null : tolerance / 2)
      : []),
    ...(cut.kind === "side" ? [] : sprungByJaws(seat)),
  ];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function fixedReason(piece: Piece, fixed: Face): Phrase {
  const state = piece.faces[fixed];
  return isReference(piece, fixed)
    ? say`${capital(faceCalled(piece, fixed))} is machined, so what is cut here is square to it by the fixed jaw.`
    : say`The ${fixed} face is the flattest and widest there is (${wordsFor.faceCondition[state.condition]}): it steadies the block at the fixed jaw.`;
}

function rodReason(piece: Piece, seat: Seat, moving: Face): Phrase {
  if (!seat.rod) return say`Both faces at the jaws are machined: flat jaws hold them, no rod.`;
  const state = wordsFor.faceCondition[piece.faces[moving].condition];
  return isReference(piece, moving)
    ? say`The fixed jaw meets a face that is not machined: the ${mm(seat.rod.diameter)} rod lets it settle. Rod ${mm(seat.rod.height)} above the bed.`
    : say`The ${moving} face at the moving jaw is ${state}: a ${mm(seat.rod.diameter)} rod at the middle of the grip, ${mm(seat.rod.height)} above the bed, presses the block flat to the fixed jaw.`;
}

function underReason(piece: Piece, seat: Seat, down: Face, kind: Cut["kind"]): Phrase {
  const on = seat.parallels
    ? say`On the ${mm(seat.parallels.height)} parallels`
    : say`On the bed of the vise`;
  const why =
    kind === "side" ? say`so that the top stands clear of the jaws` : say`so that the cutter clears the jaws`;
  const tap = seat.tap
    ? say`${faceCalled(piece, down)} below is machined: tap down until nothing moves`
    : say`the face below is not machined: hand pressure only, no tapping`;
  return seat.parallels ? say`${on} ${why}; ${tap}.` : say`${on}; ${tap}.`;
}
