import { type Axis, axisOf, type Face, facesOf } from "../frame/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import { precise, rule, type Warning, warn } from "../working/index.ts";
import type { LocateRequest, Pickup } from "./pickup.ts";
import { type Datum, setupFrame, sideInSetup } from "./setup-frame.ts";
import { aboveJaws, facePickup, sidePickup } from "./side-pickup.ts";
import { pickupNow, type Touchable } from "./touchable.ts";
import { crownPickup } from "./touch-pickups.ts";

/** How a setup counts, with the pick-up of every axis. */
export interface Locating extends Touchable {
  pickups: Pickup[];
  /** Error of a place in X and Y together, mm, and half the tolerance it is held against; null where none is asked. */
  error: Mm;
  closest: Mm | null;
  warnings: Warning[];
}

/** The most used datum along a size; the face at the machine's left or the fixed jaw where nothing counts from any. */
function datumAlong(setup: FeatureSetup, axis: Axis, usual: Face, center: boolean): Datum {
  if (center) return "center";
  return setup.datums.find((use) => use.axis === axis)?.from ?? usual;
}

/** Whether a setup feeds a disc cutter in from the side. */
const isDisc = ({ operations }: FeatureSetup): boolean => operations.some((o) => o.sweep.kind === "disc");

/**
 * Where zero lies in a setup and how it is picked up on every axis: by edge finder where one is owned, else with the cutter and
 * paper; the middle by touching both sides and halving. The medium counts on every axis it touches (M23), and every touch backs
 * off before anything goes down (M24).
 */
export function locateSetup(request: LocateRequest): Locating {
  const { setup, sizes, shaft } = request;
  const fixedJaw = setup.seat.table ? "back" : request.vise.fixedJaw;
  const first = setupFrame(setup.at, fixedJaw, sizes, { x: "center", y: "center" });
  const usual = (which: "x" | "y", want: string): Face =>
    facesOf(first[which].axis).find((f) => sideInSetup(first, f) === want)!;
  const upright = axisOf(setup.at.up) === "length";
  const datum = {
    x: datumAlong(setup, first.x.axis, usual("x", "left"), shaft !== null && upright),
    y: datumAlong(setup, first.y.axis, usual("y", fixedJaw), shaft !== null),
  };
  const frame = setupFrame(setup.at, fixedJaw, sizes, datum);
  const cutting = setup.operations.filter((o) => o.by !== "hand");
  const disc = isDisc(setup);
  const above = aboveJaws(setup, request.vise);
  const byFace = shaft
    ? []
    : (["x", "y"] as const).flatMap((axis) =>
        facesOf(frame[axis].axis).map((face) => facePickup(axis, datum[axis], face, frame, request)),
      );
  const part: Touchable = { frame, sizes, shaft, gone: request.gone, above, byFace };
  const pickups =
    cutting.length === 0
      ? []
      : [
          sidePickup("x", datum.x, frame, request),
          disc ? crownPickup(frame, request) : sidePickup("y", datum.y, frame, request),
        ].map((pickup) => pickupNow(pickup, part, []));
  const error = Math.hypot(...pickups.map((p) => p.error));
  const closest = setup.closest;
  return {
    ...part,
    pickups,
    error,
    closest,
    warnings:
      closest !== null && error > closest
        ? [
            warn(
              rule(
                "locate.error",
              )`Places in this setup may be off by ${precise(mm(closest), 3)}; picked up this way they can be off by ${precise(mm(error), 3)}. Use a better pickup, or indicate every place before it is cut.`,
            ),
          ]
        : [],
  };
}
