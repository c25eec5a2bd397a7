import { type Mm } from "../quantity/index.ts";
import type { Sweep } from "./sweep.ts";
import { clearWays, wallWays } from "./area-ways.ts";
import { contourWays, regionWays } from "./outline-ways.ts";
import { plungeAt, type SpindleWay } from "./spindle-way.ts";
import { arcWays, trackLanes } from "./track-ways.ts";

/**
 * The ways of the spindle for an operation, compensated for the diameter that cuts, in the order they are cut.
 * @param sweep as the readout counts it
 * @param shift how much further out a wall is cut than planned: what a reading says is left, mm
 * @returns null where the cutter does not go in
 */
export function spindleWays(
  sweep: Sweep,
  operation: { diameter: Mm; floor: Mm },
  shift: Mm = 0,
): SpindleWay[] | null {
  const { diameter } = operation;
  switch (sweep.kind) {
    case "points":
      return sweep.at.map(plungeAt);
    case "clear":
      return clearWays(sweep.area, sweep.leave, diameter, sweep.start);
    case "walls":
      return wallWays(sweep, diameter, shift);
    case "tracks":
      return sweep.tracks.flatMap((t) => trackLanes(sweep.run, t, diameter));
    case "arc":
      return arcWays(sweep, diameter);
    case "region":
      return regionWays(sweep, diameter);
    case "contour":
      return contourWays(sweep, diameter, shift);
    case "disc":
      return [];
  }
}
