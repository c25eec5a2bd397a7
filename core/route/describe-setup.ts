import { type Cut } from "../cutting/index.ts";
import { axisOf, downOf, type Face, movingOf } from "../frame/index.ts";
import { handlingTimes, wordsFor } from "../handbook/index.ts";
import {
  faceCalled,
  feedDirection,
  otherFaceAtJaw,
  parallelReached,
  pullMovesZero,
  type Seat,
  seatWarnings,
  sprungByJaws,
  thinBows,
} from "../holding/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { note, type Phrase, rule, say, warn, type Warning } from "../working/index.ts";
import { noCut } from "./hold.ts";
import { type RouteContext } from "./route-context.ts";
import { type Setup } from "./setup-facts.ts";

/** A setup before it is put in words. */
export type Described = Omit<Setup, "title" | "reasons" | "warnings" | "minutes"> & {
  endReason: Phrase | null;
};

/** Puts title, reasons, warnings and minutes to a setup, all from its facts. */
export function describeSetup({ endReason, ...setup }: Described, context: RouteContext): Setup {
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
