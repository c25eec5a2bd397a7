import { axisOf, opposite, sideOf } from "../frame/index.ts";
import {
  heldWarnings,
  liesOn,
  otherFaceAtJaw,
  parallelReached,
  seatWarnings,
  strapWarnings,
  thinBows,
  unlikeParallels,
} from "../holding/index.ts";
import type { Cut } from "../cutting/index.ts";
import { facePasses, type FaceSweep, faceStrokes, strokeMinutes } from "../recipes/index.ts";
import { type Minutes, mm } from "../quantity/index.ts";
import { extentOf } from "../squaring/index.ts";
import { note, type Phrase, rule, say, stop, warn, type Warning } from "../working/index.ts";
import { eachOf, handlingOf } from "./handling.ts";
import { noCut } from "./held.ts";
import type { RouteContext } from "./route-context.ts";
import type { FaceSetup } from "./setup.ts";
import { extentReasons, type Facts, holdingReasons, titleOf } from "./face-words.ts";
import { sweepOfFace } from "./sweep-of-face.ts";
import { travelOf } from "./travel.ts";
import { parallelsById } from "../shop/index.ts";

/** A setup before it is put in words: why an end stands or hangs, and the machine it was begun on, where that is known. */
export type Described = Facts & { endReason: Phrase | null; machine?: string | null };

/** Puts title, reasons, warnings and minutes to a setup, all from its facts. */
export function describeFaceSetup({ endReason, ...setup }: Described, context: RouteContext): FaceSetup {
  const { number, clamping, entry, stays, machine, at, seat, before, placed, after, turn } = setup;
  const { key, face, axis, cut, task, why, from, to, sized, limits } = setup;
  const measured = context.spares[axis].verdict !== "unmeasured";
  const looks =
    cut.kind === "side" ? sideOf(setup.at, setup.face, seat.table ? "back" : context.vise.fixedJaw) : null;
  const cutter = context.everyCutter.find((c) => c.id === cut.cutter) ?? null;
  const matched = looks !== null && extentOf(key) === "rest" && before.faces[opposite(face)].rest !== null;
  const sweep = sweepOfFace({ ...setup, looks, matched }, cutter, context.vise);
  return {
    number,
    clamping,
    entry,
    stays,
    machine: machine ?? context.machine.id,
    carried: false,
    at,
    seat,
    device: seat.table ? "table" : "vise",
    before,
    placed,
    after,
    turn,
    operations: [
      { by: "face", key, face, axis, looks, cut, sweep, task, why, from, to, sized, limits, matched },
    ],
    lies: liesOn(before, seat, seat),
    title: titleOf(setup, measured),
    reasons: [
      ...(entry === "stays"
        ? [
            say`The part stays clamped: what is cut now is square and parallel to what was cut before, by the machine alone.`,
          ]
        : holdingReasons(setup)),
      travelOf(setup, context.vise).why,
      ...(endReason ? [endReason] : []),
      ...extentReasons(setup),
    ],
    warnings: [
      ...(context.vise.id === seat.vise
        ? viseWarnings(setup, context)
        : entry === "stays"
          ? []
          : [
              ...seatWarnings(before, seat, cut.kind === "side" || stays),
              ...strapWarnings(seat, context.shop.aids, context.machine.tSlot),
            ]),
      ...cut.warnings,
      ...(!measured
        ? [
            stop(
              rule(
                "M10.unmeasured",
              )`The ${axis} of the stock is not measured, so no cut can be planned here. Measure it first, at the Stock station.`,
            ),
          ]
        : []),
      ...(sized && from < limits.lower
        ? [
            warn(
              rule(
                "M01.already",
              )`The block is ${mm(from)} and the lower limit is ${mm(limits.lower)}: it is under size before this cut.`,
            ),
          ]
        : []),
      ...(context.material.caution ? [note(say`${context.material.caution}`)] : []),
    ],
    minutes: {
      cutting: from - to <= noCut ? 0 : eachOf(seat, minutesOfFace(sweep, cut)),
      handling: handlingOf(entry, sized, seat),
    },
  };
}

/** The minutes of a face: the sum of its strokes. */
function minutesOfFace(sweep: FaceSweep, cut: Cut): Minutes {
  const passes = cut.passes.map(({ depth, cumulative }, i) => ({
    number: i + 1,
    takes: depth,
    cumulative,
    last: i === cut.passes.length - 1,
  }));
  return strokeMinutes(faceStrokes(sweep, facePasses(cut, passes)), cut.vf, 0);
}

/** What holding says against a setup in this vise: the seat, parallels in the way, the face at the jaw, thin parts. */
function viseWarnings(setup: Facts, { vise, shop, spares }: RouteContext): Warning[] {
  const { seat, cut, from, to, face, before, sized, limits } = setup;
  const tolerance =
    sized && Number.isFinite(limits.upper - limits.lower) ? limits.upper - limits.lower : null;
  const thinnest = Math.min(...Object.values(before.sizes)) === before.sizes[axisOf(face)];
  const side = cut.kind === "side";
  const pair = parallelsById(shop.parallels, seat.parallels?.id);
  return [
    ...(setup.entry === "stays"
      ? []
      : heldWarnings({
          piece: before,
          seat,
          vise,
          side: side || setup.stays,
          tolerance,
          cuts: side && seat.overhang !== null ? [] : null,
          faced: !side,
        })),
    ...parallelReached(seat, vise, pair, side ? from - to : 0),
    ...(pair && seat.parallels && !seat.parallels.single ? unlikeParallels(pair) : []),
    ...(side && seat.overhang === null ? [] : otherFaceAtJaw(before, face, seat.fixed)),
    ...(thinnest && spares[axisOf(face)].spare > 0
      ? thinBows(before.sizes, tolerance === null ? null : tolerance / 2)
      : []),
  ];
}
