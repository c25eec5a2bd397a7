import {
  type Axis,
  axisOf,
  type Face,
  facesOf,
  orientation,
  type Orientation,
  sideOf,
} from "../frame/index.ts";
import { cutterKindFacts } from "../handbook/index.ts";
import { feedDirection, jackUnder, pastJaws, seatInVise } from "../holding/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { type Machine, reachOf, type Vise } from "../shop/index.ts";
import { type Piece } from "../stock/index.ts";
import { done, type Outcome, type Phrase, refused, rule, say } from "../working/index.ts";
import { type Held, removalFor, restsOnPoints } from "./held.ts";
import { faceOperation, type NextCut } from "../squaring/index.ts";
import { type EndsWay, noOwnSeat, type RouteContext } from "./route-context.ts";

/** Hanging free for more than this many times what is gripped a part tips (guess). */
const tipsPast = 1.5;
/** Room left for the end beyond what is cut off an overhanging end, mm. */
const overhangRoom = 5;
/** An end stands upright up to this many grip depths (domain.md 4, first rule). */
const uprightGrips = 2.5;
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
      reason: say`${mm(length)} is longer than 2.5 × the ${mm(vise.jawDepth)} of grip: it would sway upright, so the end hangs out past the jaws.`,
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

/** Whether the ends of a block are cut standing, by the rule or as the person wants it. */
export function endsUpright(context: RouteContext): { upright: boolean; reason: Phrase } {
  const { rawLength, vise, machine, shop, endsWay } = context;
  const facing = shop.cutters.filter((c) => cutterKindFacts[c.kind].cuts.includes("face"));
  const stickout = Math.min(...facing.map((c) => reachOf(c, shop)), 100);
  return endStandsUpright(rawLength, vise, machine, stickout, endsWay);
}

/** Seats the part in the vise for the face that is up, or for an end out past the jaws. */
export function holdInVise(piece: Piece, next: NextCut, context: RouteContext): Outcome<Held> {
  const { face } = next;
  const isEnd = axisOf(face) === context.ends;
  const { removal, to, sized } = removalFor(piece, face, context);
  const standing = isEnd ? endsUpright(context) : null;
  const hangs = standing !== null && !standing.upright;
  const own =
    context.ownSeats[faceOperation(face, "rough")] ?? context.ownSeats[faceOperation(face)] ?? noOwnSeat;
  const at = hangs
    ? overhangOrientation(piece, face, context)
    : (own.fixed && orientation(face, own.fixed)) || next.at;
  const seated = seatInVise({
    piece,
    at,
    removal: hangs ? 0 : removal,
    overhang: hangs ? tidy(removal + overhangRoom) : null,
    square: isEnd && !hangs,
    vise: context.vise,
    parallels: context.shop.parallels,
    rods: context.shop.rods,
    offEnd: hangs ? removal : 0,
    ownParallels: own.parallels,
    paper: own.paper,
    jack: own.jack,
    stop: own.stop,
    points: restsOnPoints(piece, at, context),
    wantedGrip: null,
  });
  if (!seated.ok) return seated;
  const gripped = Math.min(context.vise.jawWidth, piece.sizes[context.ends]);
  const past = pastJaws(seated.value, context.vise);
  const tips = hangs && !seated.value.jack && past > tipsPast * gripped;
  if (tips) {
    // By its own weight it would tip out at the end that is not cut.
    const jack = jackUnder(seated.value, context.vise, context.shop.aids);
    if (!jack.ok)
      return refused(
        rule(
          "M11.tips",
        )`${mm(past)} of the part hangs free past ${mm(gripped)} of grip at the end that is not cut: it tips out of the vise. ${jack.reason}`,
        say`${jack.suggestion} Or strap it to the table.`,
      );
  }
  const seat = tips ? { ...seated.value, jack: true } : seated.value;
  if (hangs && !seat.jack && seat.overhang! > 0.5 * gripped) {
    return refused(
      rule(
        "M11.overhang",
      )`${mm(seat.overhang!)} would hang out past ${mm(gripped)} of grip; at most half is held safely.`,
      say`Put a jack under the end, or saw it closer first.`,
    );
  }
  const kind = hangs ? "side" : context.machine.kind === "horizontal" ? "slab" : "face";
  return done({
    at,
    seat,
    entry: "placed",
    kind,
    extent: next.extent === "again" ? "again" : "face",
    removal,
    from: piece.sizes[axisOf(face)],
    to,
    sized,
    rest: null,
    endReason: standing?.reason ?? null,
  });
}

/**
 * For an end past the jaws the block lies flat: its lower size up, so that the flutes reach. The end lies at the side where a cut
 * along it pushes the part to the fixed jaw (M16): for the other end the part is turned over, the same face at the jaw.
 */
function overhangOrientation(piece: Piece, end: Face, { ends, vise }: RouteContext): Orientation {
  const [a, b] = (["length", "width", "height"] as const).filter((axis) => axis !== ends) as [Axis, Axis];
  const low = piece.sizes[a] <= piece.sizes[b] ? a : b;
  const wide = low === a ? b : a;
  const wanted = feedDirection("side", vise).end;
  const lying = [...facesOf(low)].reverse().map((up) => orientation(up, facesOf(wide)[0])!);
  return lying.find((at) => sideOf(at, end, vise.fixedJaw) === wanted)!;
}
