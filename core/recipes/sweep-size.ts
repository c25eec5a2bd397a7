import { extentOfOutline } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { type Area, lanesAlong, lanesBetween, lanesOfTrack, type Sweep, widestLane } from "./sweep.ts";

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
        // The first of them has metal on both sides.
        width: diameter,
      };
    case "arc":
      return {
        lanes: Math.max(2, Math.ceil(Math.sqrt(sweep.depth / (2 * sweep.cusp))) * 2),
        length: sweep.run.to - sweep.run.from,
        width: diameter,
      };
    case "region": {
      const { x, y } = sweep.around;
      return {
        lanes: Math.ceil((y[1] - y[0]) / (widestLane * diameter)),
        length: x[1] - x[0],
        // A row that begins at an island has metal on both sides.
        width: diameter,
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

/** A cut that cleared an area, with the diameter it was cleared with, mm. */
export interface Cleared {
  sweep: Sweep;
  diameter: Mm;
}

/**
 * What a wall's cut takes off: what was left when its area was cleared, with the cutter that cleared it; where that went one way
 * down the middle and was narrower than the slot, more; and what a larger cutter left in a corner between two walls.
 * @param total what is left on a wall that nothing cleared, mm
 * @param diameter of the cutter that cuts the wall, mm
 */
export function sideTotal(total: Mm, sweep: Sweep, earlier: readonly Cleared[], diameter: Mm): Mm {
  if (sweep.kind === "contour") {
    // Where rows end at a wall their round ends leave a ridge between two of them.
    const rows = earlier.findLast((o) => o.sweep.kind === "region");
    return rows?.sweep.kind === "region" ? tidy(rows.sweep.leave + ridgeOf(rows.diameter)) : total;
  }
  if (sweep.kind !== "walls" || sweep.of === "boss") return total;
  const { area } = sweep;
  const rough = earlier.findLast((o) => o.sweep.kind === "clear" && sameArea(o.sweep.area, area));
  if (rough?.sweep.kind !== "clear") return total;
  const { across, walls } = lanesAlong(area);
  const left = leftOnWalls(area, rough.sweep.leave, rough.diameter);
  if (walls === 2 && lanesBetween(across, rough.diameter, left) === 1)
    return Math.max(0.02, tidy((across - rough.diameter) / 2));
  return tidy(left + (hasCorner(area) ? inCorner(rough.diameter, diameter) : 0));
}

/** Whether two walls of an area meet. */
export const hasCorner = ({ walls }: Area): boolean =>
  (walls.xLow || walls.xHigh) && (walls.yLow || walls.yHigh);

/** How far from both walls of a corner a cutter first meets what a larger one left there, mm. */
const inCorner = (larger: Mm, smaller: Mm): Mm => Math.max(0, ((larger - smaller) / 2) * (1 - Math.SQRT1_2));

/** Whether walls are cut that meet in a corner which is drawn sharp: the radius of their cutter stays in it. */
export const leavesRadius = (sweep: Sweep): boolean =>
  sweep.kind === "walls" &&
  sweep.of === "area" &&
  sweep.sides.length > 1 &&
  sweep.area.corner === 0 &&
  hasCorner(sweep.area);

/** How far the ridge between two rows stands out, the rows as far apart as lanes may be; mm. */
const ridgeOf = (diameter: Mm): Mm => (diameter / 2) * (1 - Math.sqrt(1 - widestLane ** 2));

const sameArea = (a: Area, b: Area): boolean =>
  a === b || [a.x, a.y].flat().every((p, i) => Math.abs(p - [b.x, b.y].flat()[i]!) < 1e-6);
