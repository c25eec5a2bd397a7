import { type Cut } from "../cutting/index.ts";
import { axisOf, downOf, type Face, movingOf, type Side, sideOf } from "../frame/index.ts";
import { handlingTimes, wordsFor } from "../handbook/index.ts";
import {
  faceCalled,
  type FeedDirection,
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
import type { Vise } from "../shop/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { note, type Phrase, rule, say, warn, type Warning } from "../working/index.ts";
import { noCut } from "./held.ts";
import { extentOf } from "./operation.ts";
import { type RouteContext } from "./route-context.ts";
import { type Entry, type Setup } from "./setup-facts.ts";

/** A setup before it is put in words. */
export type Described = Omit<Setup, "title" | "reasons" | "warnings" | "minutes"> & {
  endReason: Phrase | null;
};

/** Puts title, reasons, warnings and minutes to a setup, all from its facts. */
export function describeSetup({ endReason, ...setup }: Described, context: RouteContext): Setup {
  const { before, seat, cut } = setup;
  return {
    ...setup,
    title: titleOf(setup),
    reasons: [
      ...(setup.entry === "stays"
        ? [
            say`The part stays clamped: what is cut now is square and parallel to what was cut before, by the machine alone.`,
          ]
        : holdingReasons(setup)),
      travelOf(setup, context.vise).why,
      ...(endReason ? [endReason] : []),
      ...extentReasons(setup),
    ],
    warnings: [
      ...(setup.entry === "stays" ? [] : seatWarnings(before, seat, cut.kind === "side" || setup.stays)),
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
      cutting: setup.from - setup.to <= noCut ? 0 : cut.minutes,
      handling: handlingOf(setup.entry, setup.sized),
    },
  };
}

/** Minutes of placing the part, or of moving the straps. */
export const placingTime = (entry: Entry): number =>
  entry === "placed" ? handlingTimes.setup : entry === "swapped" ? handlingTimes.indicate : 0;

/** Minutes around a cut: placing or moving the straps, touching off, deburring, measuring. */
export const handlingOf = (entry: Entry, sized: boolean): number =>
  placingTime(entry) +
  handlingTimes.touchOff +
  handlingTimes.deburr +
  handlingTimes.measure * (sized ? 2 : 1);

/** The side of the part that is cut while it is held all along; null for a face, or an end hung out. */
export const sideCut = (
  { cut, seat, face }: Pick<Setup, "cut" | "seat" | "face">,
  vise: Pick<Vise, "fixedJaw">,
): Side | null =>
  cut.kind === "side" && seat.overhang === null
    ? sideOf(seat, face, seat.table ? "back" : vise.fixedJaw)
    : null;

/** Which way the cutter goes over the part, and why (M16). */
export function travelOf(
  setup: Pick<Setup, "cut" | "seat" | "face">,
  vise: Pick<Vise, "fixedJaw">,
): FeedDirection {
  const { cut, seat } = setup;
  const usual = feedDirection(cut.kind, seat.table ? { fixedJaw: "back" } : vise, sideCut(setup, vise));
  return seat.table && cut.kind === "face"
    ? {
        ...usual,
        why: rule(
          "M16.table",
        )`The cutter travels to the ${usual.travel}: its teeth push the part to the back, where ${seat.stop ? "the stop takes it" : "a stop would take it"}.`,
      }
    : usual;
}

function titleOf(setup: Omit<Described, "endReason">): Phrase {
  const { before, seat, cut, face, key, after } = setup;
  const down = capital(faceCalled(before, downOf(setup.at)));
  const fixed = faceCalled(before, seat.fixed);
  const number = after.faces[face].order ?? setup.number;
  const size = setup.sized ? say` to ${mm(setup.to)}` : say``;
  const extent = extentOf(key);
  const what =
    setup.from - setup.to <= noCut
      ? say`The ${face} face stays as it is: there is nothing to take off.`
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
  if (seat.table)
    return setup.entry === "swapped"
      ? say`Straps over to the ${seat.table.over} edge, the part left where it is. ${what}`
      : say`${down} down on packing, strapped over the ${seat.table.over} edge. ${what}`;
  if (seat.overhang !== null && setup.from - setup.to > noCut)
    return say`${capital(fixed)} to the fixed jaw, the ${face} end out past the jaws. ${what}`;
  return setup.from - setup.to <= noCut
    ? say`${capital(fixed)} to the fixed jaw. ${what}`
    : say`${down} down, ${fixed} to the fixed jaw. ${what}`;
}

/** Why the part is held so. */
function holdingReasons({ before, seat, at, cut, entry }: Omit<Described, "endReason">): Phrase[] {
  const points = seat.points
    ? [
        say`The cast face below is uneven: on three points it cannot rock. Set one of them until an indicator over the top reads level on the average, each strap or jaw over a point.`,
      ]
    : [];
  if (!seat.table)
    return [
      fixedReason(before, seat.fixed),
      rodReason(before, seat, movingOf(at)),
      ...(points.length > 0 ? points : [underReason(before, seat, downOf(at), cut.kind)]),
    ];
  const { table } = seat;
  if (entry === "swapped")
    return [
      say`The ${table.over} edge is cut: the straps go over it, one at a time, the new one on before the old one comes off, so that nothing moves.`,
    ];
  return [
    ...points,
    say`${table.straps} straps reach ${mm(table.reach)} in over the ${table.over} edge, each over packing ${mm(table.packing)} high: the cutter runs free of the table on the other edges.`,
    isReference(before, seat.fixed)
      ? say`${capital(faceCalled(before, seat.fixed))} is indicated along X, so what is cut here is square to it.`
      : say`The ${seat.fixed} edge is set along X by eye: it is not machined. What is cut here comes true by the table.`,
  ];
}

/** Why the cut is a size, a cleaning up, or one to match. */
function extentReasons(setup: Omit<Described, "endReason">): Phrase[] {
  const extent = extentOf(setup.key);
  if (extent === "rest")
    return [
      say`It meets what was cut before: blue the first cut, and stop where the cutter just wipes the blue. A witness line of 0.02 to 0.08 mm stays (guess).`,
    ];
  const rest = setup.after.faces[setup.face].rest;
  return [
    setup.sized
      ? say`Both faces of the ${setup.axis} are cut now: this is where the size comes from.`
      : say`First face of the ${setup.axis}: it only has to clean up, ${mm(tidy(setup.from - setup.to))} comes off.`,
    ...(rest ? [say`${mm(rest.across)} of it is cut later, when it can be reached.`] : []),
  ];
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
    ...(cut.kind === "side" && seat.overhang === null ? [] : otherFaceAtJaw(before, face, seat.fixed)),
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
