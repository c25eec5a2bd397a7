import { oppositeSide, type Side, sideOf } from "../frame/index.ts";
import { type FaceLane, type FaceSweep, lanesOver, pastEdge } from "../recipes/index.ts";
import { tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Vise } from "../shop/index.ts";
import type { FaceOperation, FaceSetup } from "./setup.ts";
import { travelOf } from "./travel.ts";
import { isGlued, intoPlate } from "../holding/index.ts";

const toward = (travel: Side): 1 | -1 => (travel === "right" || travel === "back" ? 1 : -1);

/**
 * What a setup's cutter sweeps to make its face, as the part lies in it. Where straps hold an edge, the lanes begin at the free
 * one opposite and stop short of them.
 * @param cutter the one in the spindle; null when it is gone from the shop: then as wide as a lane
 */
export function sweepOfFace(
  setup: Pick<FaceSetup, "seat" | "at"> & Pick<FaceOperation, "cut" | "task" | "face" | "looks" | "matched">,
  cutter: Cutter | null,
  vise: Pick<Vise, "fixedJaw">,
): FaceSweep {
  const { cut, task, seat, at, looks } = setup;
  const by = cut.kind === "side" ? "side" : cut.kind === "face" || cut.kind === "slot" ? "end" : "arbor";
  const diameter = cutter ? cuttingDiameter(cutter) : cut.width;
  const wide = by === "arbor" ? (cutter?.fluteLength ?? cut.width) : diameter;
  return {
    by,
    along: cut.feedAlong,
    toward: toward(travelOf(setup, vise).travel),
    lastToward: toward(travelOf(setup, vise, true).travel),
    size: { x: seat.along, y: seat.between },
    lanes: by === "side" ? [] : lanes(),
    cutter: { diameter, wide },
    side: looks,
    down: by === "side" ? tidy(cut.width - task.proud + pastBottom()) : 0,
  };

  /** How far the end of the cutter runs out below a wall, mm: not where a jaw stands, and into a plate no more than it must. */
  function pastBottom() {
    if (isGlued(seat)) return intoPlate;
    return seat.overhang === null && !seat.table && !setup.matched ? 0 : pastEdge;
  }

  function lanes(): FaceLane[] {
    const held = seat.table && seat.table.straps > 0 ? sideOf(at, seat.table.over, "back") : null;
    const from: Side = held ? oppositeSide[held] : "front";
    const size = from === "left" || from === "right" ? seat.along : seat.between;
    const covered = Math.min(task.across, size);
    const low = from === "front" || from === "left";
    return lanesOver(
      low ? [0, covered] : [tidy(size - covered), size],
      { count: cut.lanes, width: cut.width },
      wide,
      { from, to: oppositeSide[from], whole: covered >= size - 1e-6 },
    );
  }
}
