import { extentOfOutline } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import {
  type Area,
  lanesAlong,
  lanesBetween,
  lanesOfTrack,
  type Sweep,
  widestLane,
} from "./recipes/sweep.ts";

/** What ways over an area come to: how many, how long, and how wide each is; mm. */
export function lanesOf(sweep: Sweep, diameter: Mm): { lanes: number; length: Mm; width: Mm } {
  switch (sweep.kind) {
    case "clear": {
      const { area, leave } = sweep;
      const along = lanesAlong(area);
      const free = along.across - leave * along.walls;
      const lanes =
        along.walls === 2
          ? lanesBetween(along.across, diameter, leave)
          : Math.max(1, Math.ceil(free / (widestLane * diameter) - 1e-9));
      return {
        lanes: area.boss ? lanes * 2 : lanes,
        length: along.length,
        width: along.walls === 2 ? diameter : Math.min(diameter, free / lanes),
      };
    }
    case "walls": {
      const { area, sides, of } = sweep;
      const at = of === "boss" && area.boss ? area.boss : area;
      const length = sides.reduce(
        (sum, side) => sum + (side.startsWith("x") ? at.y[1] - at.y[0] : at.x[1] - at.x[0]),
        0,
      );
      return { lanes: 1, length, width: 0 };
    }
    case "tracks":
      return {
        lanes: sweep.tracks.reduce((sum, t) => sum + lanesOfTrack(t, diameter), 0),
        length: sweep.run.to - sweep.run.from,
        width: diameter * 0.5,
      };
    case "arc":
      return {
        lanes: Math.max(2, Math.ceil(Math.sqrt(sweep.depth / (2 * sweep.cusp))) * 2),
        length: sweep.run.to - sweep.run.from,
        width: diameter * 0.5,
      };
    case "region": {
      const { x, y } = sweep.around;
      return {
        lanes: Math.ceil((y[1] - y[0]) / (widestLane * diameter)),
        length: x[1] - x[0],
        width: widestLane * diameter,
      };
    }
    case "contour": {
      const { x, y } = extentOfOutline(sweep.outline);
      return { lanes: 1, length: 2 * (x[1] - x[0] + y[1] - y[0]), width: 0 };
    }
    case "points":
      return { lanes: sweep.at.length, length: 0, width: diameter };
    case "disc":
      return { lanes: 1, length: sweep.depth, width: diameter };
  }
}

/** What roughing leaves on walls: more where a corner is larger than the cutter's and must not be cut into. */
export function leftOnWalls(area: Area, leave: Mm, diameter: Mm): Mm {
  const closed = Object.values(area.walls).every(Boolean) && area.boss === null;
  const larger = area.corner - diameter / 2;
  return closed && leave > 0 && larger > 0 && lanesAlong(area).across > 2 * area.corner + 1e-6
    ? Math.max(leave, tidy(larger * (1 - Math.SQRT1_2) + 0.05))
    : leave;
}

/** What a wall's cut takes off: what roughing leaves, or where one way down the middle was narrower than the slot, more. */
export function sideTotal(total: Mm, sweep: Sweep, diameter: Mm): Mm {
  if (sweep.kind !== "walls" || sweep.of === "boss") return total;
  const { across, walls } = lanesAlong(sweep.area);
  const left = leftOnWalls(sweep.area, total, diameter);
  if (left > total) return left;
  return walls === 2 && lanesBetween(across, diameter, total) === 1
    ? Math.max(0.02, tidy((across - diameter) / 2))
    : total;
}
