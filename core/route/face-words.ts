import { type Cut } from "../cutting/index.ts";
import { axisOf, downOf, type Face, faceNames, movingOf, type Orientation } from "../frame/index.ts";
import { witnessStep, wordsFor } from "../handbook/index.ts";
import { faceCalled, isGlued, type Seat } from "../holding/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { isReference, squareAsBought, type Piece } from "../stock/index.ts";
import { capital, type Phrase, precise, rule, say } from "../working/index.ts";
import { noCut } from "./held.ts";
import { extentOf, rankSeats } from "../squaring/index.ts";
import type { FaceOperation, FaceSetup } from "./setup.ts";
import { leftForGood } from "./two-cutters.ts";

/** A setup before it is put in words. */
export type Facts = Omit<
  FaceSetup,
  "operations" | "device" | "machine" | "carried" | "lies" | "title" | "reasons" | "warnings" | "minutes"
> &
  Omit<FaceOperation, "by" | "looks" | "sweep" | "matched">;

/**
 * What is done in a setup, in a sentence.
 * @param measured whether the size it cuts was measured on the stock
 */
export function titleOf(setup: Facts, measured: boolean): Phrase {
  const { before, seat, cut, face, key, after } = setup;
  const down = capital(faceCalled(before, downOf(setup.at)));
  const fixed = faceCalled(before, seat.fixed);
  const number = after.faces[face].order ?? setup.number;
  const size = setup.sized ? say` to ${mm(setup.to)}` : say``;
  const extent = extentOf(key);
  const what =
    setup.from - setup.to <= noCut
      ? measured
        ? say`The ${face} face stays as it is: nothing to take off.`
        : say`Measure the ${setup.axis} of the stock first: nothing can be planned for the ${face} face.`
      : extent === "rough"
        ? say`Take the scale off the ${face} face, down to ${mm(setup.to)}.`
        : extent === "again"
          ? say`Cut face ${number} once more${size}.`
          : extent === "rest"
            ? say`Cut the rest of face ${number} to match.`
            : extent === "part" && cut.kind === "side"
              ? say`Cut face ${number}${size} with the side of the cutter, down to above the jaws.`
              : extent === "part"
                ? say`Cut face ${number}${size} as far as the straps leave it free.`
                : cut.kind === "side"
                  ? say`Cut face ${number}${size} with the side of the cutter.`
                  : say`Cut face ${number}${size}.`;
  if (setup.entry === "stays") return say`Still clamped. ${what}`;
  if (isGlued(seat)) return say`${down} down, glued to a plate on the table. ${what}`;
  if (seat.table)
    return setup.entry === "swapped"
      ? say`Move the straps to the ${seat.table.over} edge without disturbing the part. ${what}`
      : say`${down} down on packing, strapped over the ${seat.table.over} edge. ${what}`;
  if (seat.overhang !== null && setup.from - setup.to > noCut)
    return say`${capital(fixed)} to the fixed jaw, the ${face} end out past the jaws. ${what}`;
  return setup.from - setup.to <= noCut
    ? say`${capital(fixed)} to the fixed jaw. ${what}`
    : say`${down} down, ${fixed} to the fixed jaw. ${what}`;
}

/** Why the part is held so. */
export function holdingReasons({ before, seat, at, cut, entry }: Facts): Phrase[] {
  const points = seat.points
    ? [
        say`The cast face below is uneven: on three points it cannot rock. Set one of them until an indicator over the top reads level on average, each strap or jaw over a point.`,
      ]
    : [];
  if (!seat.table)
    return [
      fixedReason(before, at),
      rodReason(before, seat, movingOf(at)),
      ...(points.length > 0 ? points : [underReason(before, seat, downOf(at), cut.kind)]),
    ];
  const { table } = seat;
  if (isGlued(seat))
    return [
      rule(
        "holding.glued",
      )`${mm(seat.standing)} thick, it is glued to a flat plate ${mm(table.packing)} thick that is bolted to the table: jaws would leave nothing of it to cut, straps would be in the way. Nothing stands over it or beside it.`,
      setAlongX(before, seat),
    ];
  if (entry === "swapped")
    return [
      say`The ${table.over} edge is cut: the straps go over it, one at a time, the new one on before the old one comes off, so that nothing moves.`,
    ];
  return [
    ...points,
    say`${table.straps} straps reach ${mm(table.reach)} in over the ${table.over} edge, each over packing ${mm(table.packing)} high: the cutter runs free of the table on the other edges.`,
    setAlongX(before, seat),
  ];
}

/** How the edge at the back is set along X on the table. */
const setAlongX = (before: Piece, { fixed }: Seat): Phrase =>
  isReference(before, fixed)
    ? say`${capital(faceCalled(before, fixed))} is indicated along X, so what is cut here is square to it.`
    : say`The ${fixed} edge is set along X by eye: it is not machined. What is cut here comes true by the table.`;

/** Why the cut is a size, a cleaning up, or one to match. */
export function extentReasons(setup: Facts): Phrase[] {
  const extent = extentOf(setup.key);
  if (extent === "rest")
    return [
      say`It meets what was cut before: blue the first cut, and stop where the cutter just wipes the blue. A witness line of ${mm(0.02)} to ${mm(witnessStep.largest)} stays (guess).`,
    ];
  if (extent === "rough")
    return [
      say`The scale comes off with a cutter that can be spared; ${mm(leftForGood)} is left for the one that makes the size, in the same clamping.`,
    ];
  if (extent === "again")
    return [
      say`It was read at ${mm(setup.from)} where it is thickest: ${mm(tidy(setup.from - setup.to))} comes off there. Its seat clean, a part that lay askew comes parallel.`,
    ];
  const rest = setup.after.faces[setup.face].rest;
  return [
    setup.sized
      ? say`Second of the two ${setup.axis} faces: this cut makes the size.`
      : say`First of the two ${setup.axis} faces: clean it up, no size yet. ${mm(tidy(setup.from - setup.to))} planned.`,
    ...(rest ? [say`${mm(rest.across)} of it is cut later, when it can be reached.`] : []),
  ];
}

function fixedReason(piece: Piece, at: Orientation): Phrase {
  const { fixed } = at;
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(at.up));
  const state = piece.faces[fixed];
  return isReference(piece, fixed)
    ? say`${capital(faceCalled(piece, fixed))} is machined and goes to the fixed jaw, so this cut comes square to it.`
    : rankSeats(piece, beside)[0] === fixed
      ? say`${capital(fixed)} goes to the fixed jaw: it is the flattest wide face, though ${wordsFor.faceCondition[state.condition]}${state.bow === null ? say`` : say`, ${precise(mm(state.bow), 2)} out over ${mm(100)} by your straightedge`}.`
      : say`The ${fixed} face is ${wordsFor.faceCondition[state.condition]}: it only steadies the block at the fixed jaw; nothing comes square to it.`;
}

function rodReason(piece: Piece, seat: Seat, moving: Face): Phrase {
  if (!seat.rod) return say`Both faces at the jaws are machined: flat jaws hold them, no rod.`;
  const state = wordsFor.faceCondition[piece.faces[moving].condition];
  const machined = isReference(piece, moving) && isReference(piece, seat.fixed);
  if (machined && !squareAsBought(piece, axisOf(moving)))
    return say`Both faces at the jaws are machined, one as bought, one cut here. Nothing has made them parallel yet: a ${mm(seat.rod.diameter)} rod ${mm(seat.rod.height)} above the bed presses the block flat to the fixed jaw.`;
  if (machined)
    return say`Both faces at the jaws are machined, but by your readings ${mm(piece.uneven[axisOf(moving)])} out of parallel: flat jaws would hold them along an edge. A ${mm(seat.rod.diameter)} rod ${mm(seat.rod.height)} above the bed presses the block flat to the fixed jaw.`;
  return isReference(piece, moving)
    ? say`The fixed jaw holds a face that is not machined: the ${mm(seat.rod.diameter)} rod lets it settle. Rod ${mm(seat.rod.height)} above the bed.`
    : say`The ${moving} face at the moving jaw is ${state}: a ${mm(seat.rod.diameter)} rod at the center of the grip, ${mm(seat.rod.height)} above the bed, presses the block flat to the fixed jaw.`;
}

function underReason(piece: Piece, seat: Seat, down: Face, kind: Cut["kind"]): Phrase {
  const on = seat.parallels
    ? seat.parallels.single
      ? say`On one ${mm(seat.parallels.height)} parallel`
      : seat.parallels.lower !== null
        ? say`On parallels ${mm(seat.parallels.height)} high, one pair on another,`
        : say`On the ${mm(seat.parallels.height)} parallels`
    : say`On the bed of the vise`;
  const why =
    kind === "side" ? say`so that the top stands clear of the jaws` : say`so that the cutter clears the jaws`;
  const tap = seat.tap
    ? say`${faceCalled(piece, down)} below is machined: tap down until nothing moves`
    : isReference(piece, down)
      ? say`${faceCalled(piece, down)} below came finished, not cut here: the square sets the end, hand pressure only`
      : say`the face below is not machined: hand pressure only, no tapping`;
  return seat.parallels ? say`${on} ${why}; ${tap}.` : say`${on}; ${tap}.`;
}
