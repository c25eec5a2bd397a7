import { axisOf, sideOf } from "../frame/index.ts";
import {
  otherFaceAtJaw,
  parallelReached,
  pullMovesZero,
  seatWarnings,
  sprungByJaws,
  thinBows,
  twistsJaw,
} from "../holding/index.ts";
import { mm } from "../quantity/index.ts";
import { note, type Phrase, rule, say, warn, type Warning } from "../working/index.ts";
import { handlingOf } from "./handling.ts";
import { noCut } from "./held.ts";
import { type RouteContext } from "./route-context.ts";
import { type Setup } from "./setup-facts.ts";
import { extentReasons, type Facts, holdingReasons, titleOf } from "./setup-words.ts";
import { travelOf } from "./travel.ts";

/** A setup before it is put in words, and why an end stands or hangs. */
export type Described = Facts & { endReason: Phrase | null };

/** Puts title, reasons, warnings and minutes to a setup, all from its facts. */
export function describeSetup({ endReason, ...setup }: Described, context: RouteContext): Setup {
  const { before, seat, cut } = setup;
  return {
    ...setup,
    looks:
      cut.kind === "side" ? sideOf(setup.at, setup.face, seat.table ? "back" : context.vise.fixedJaw) : null,
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

/** What holding says against a setup in this vise: parallels in the way, stretch, the face at the jaw, thin parts. */
function viseWarnings(
  { seat, cut, from, to, face, before, sized, limits }: Facts,
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
    ...twistsJaw(seat, vise),
    ...(cut.kind === "side" && seat.overhang === null ? [] : otherFaceAtJaw(before, face, seat.fixed)),
    ...(thinnest && spares[axisOf(face)].spare > 0
      ? thinBows(before.sizes, tolerance === null ? null : tolerance / 2)
      : []),
    ...(cut.kind === "side" ? [] : sprungByJaws(seat)),
  ];
}
