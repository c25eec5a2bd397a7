import { type Outline } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import {
  type Area,
  type FeatureOperation,
  lanesAlong,
  lanesBetween,
  lanesOfTrack,
  leftOnWalls,
  type Run,
  type SideName,
  type Sweep,
  type Track,
  widestLane,
} from "../route/index.ts";
import { cylinderStairs } from "./arc-steps.ts";
import { freeAlong, isFree, offSide, piecesOf, plungesAlong, waysWithAxis } from "./offset.ts";
import { pocketMoves } from "./pocket-moves.ts";

type Point = readonly [x: Mm, y: Mm];

/** One way of the spindle at one or more depths, as the readout counts it. */
export interface SpindleWay {
  points: readonly Point[];
  /** Depth below the face that is up where it has one of its own; null for every level of the operation. */
  depth: Mm | null;
  /** The last point is the first again. */
  closed: boolean;
  /** How it comes to its depth. */
  entry: "outside" | "plunge";
  /** Seen from the way the cutter travels: metal to the left is conventional; none on one side is full width. */
  cuts: "conventional" | "full" | "down";
  /** Whether a stop may not be passed: a closed end, a corner. */
  stops: readonly boolean[];
}

/** A cutter starts and ends this clear of the part, mm. */
export const clearOff = 2;

const line = (along: "x" | "y", at: Mm, from: Mm, to: Mm): [Point, Point] =>
  along === "x"
    ? [
        [tidy(from), tidy(at)],
        [tidy(to), tidy(at)],
      ]
    : [
        [tidy(at), tidy(from)],
        [tidy(at), tidy(to)],
      ];

/**
 * The direction that cuts conventional with the metal on one side of a way: to the left of where the cutter travels.
 * @returns 1 toward the high end, −1 toward the low end
 */
export const conventionalAlong = (along: "x" | "y", metal: "low" | "high"): 1 | -1 =>
  // Travelling to +X the left is +Y; travelling to +Y the left is −X.
  (along === "x") === (metal === "high") ? 1 : -1;

const straight = (
  along: "x" | "y",
  at: Mm,
  [low, high]: readonly [Mm, Mm],
  toward: 1 | -1,
  open: { low: boolean; high: boolean },
  cuts: SpindleWay["cuts"],
  depth: Mm | null = null,
): SpindleWay => {
  const [from, to] = toward > 0 ? [low, high] : [high, low];
  const starts = toward > 0 ? open.low : open.high;
  const ends = toward > 0 ? open.high : open.low;
  return {
    points: line(along, at, from, to),
    depth,
    closed: false,
    entry: starts ? "outside" : "plunge",
    cuts,
    stops: [!starts, !ends],
  };
};

/** Where the axis stops at a closed end of an area, at a place across it: round corners are not cut into. */
function endStop(area: Area, along: "x" | "y", across: Mm, radius: Mm, leave: Mm): Mm {
  const [low, high] = along === "x" ? area.y : area.x;
  const R = area.corner;
  const wall = Math.min(across - low, high - across);
  const within = R - radius - leave;
  if (wall >= R || within <= 0) return radius + leave;
  const off = Math.min(within, R - wall);
  return R - Math.sqrt(Math.max(0, within ** 2 - off ** 2));
}

/** The reach of the axis along a lane of an area: out past open ends, up to the stop at closed ones. */
function laneReach(area: Area, along: "x" | "y", across: Mm, radius: Mm, leave: Mm): [Mm, Mm] {
  const [low, high] = along === "x" ? area.x : area.y;
  const stop = endStop(area, along, across, radius, leave);
  return [
    area.walls[`${along}Low`] ? low + stop : low - radius - clearOff,
    area.walls[`${along}High`] ? high - stop : high + radius + clearOff,
  ];
}

function clearWays(area: Area, leave: Mm, diameter: Mm): SpindleWay[] | null {
  const r = diameter / 2;
  const left = leftOnWalls(area, leave, diameter);
  if (area.boss) return bossRings(area, area.boss, left, diameter);
  const lanes = lanesAlong(area);
  const { along } = lanes;
  const [low, high] = along === "x" ? area.y : area.x;
  const closed = Object.values(area.walls).every(Boolean);
  if (closed && lanes.across > 2 * area.corner + 1e-6) return ringWays(area, left, diameter);
  const ends = { low: !area.walls[`${along}Low`], high: !area.walls[`${along}High`] };
  const wallLow = area.walls[along === "x" ? "yLow" : "xLow"];
  const wallHigh = area.walls[along === "x" ? "yHigh" : "xHigh"];
  if (lanes.walls === 2) {
    const count = lanesBetween(lanes.across, diameter, left);
    const [from, to] = [low + r + left, high - r - left];
    if (lanes.across < diameter - 1e-9) return null;
    const at =
      count === 1
        ? [(low + high) / 2]
        : Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));
    return at.map((a, i) =>
      straight(along, a, laneReach(area, along, a, r, left), i % 2 === 0 ? 1 : -1, ends, "full"),
    );
  }
  // From the open side toward the wall, the metal ahead of the cutter's flank.
  const toward = wallHigh ? "high" : "low";
  const width = lanes.across - (wallLow || wallHigh ? left : 0);
  const count = Math.max(1, Math.ceil(width / (widestLane * diameter) - 1e-9));
  const step = width / count;
  return Array.from({ length: count }, (_, i) => {
    const edge = toward === "high" ? low + step * (i + 1) : high - step * (i + 1);
    const at = toward === "high" ? edge - r : edge + r;
    return straight(
      along,
      at,
      laneReach(area, along, at, r, left),
      conventionalAlong(along, toward),
      ends,
      "conventional",
    );
  });
}

/** Rings of a closed pocket from its middle out, clockwise: conventional inside. */
function ringWays(area: Area, leave: Mm, diameter: Mm): SpindleWay[] | null {
  const size = { x: area.x[1] - area.x[0], y: area.y[1] - area.y[0] };
  const moves = pocketMoves(size, diameter, leave);
  if (!moves) return null;
  const [mx, my] = [(area.x[0] + area.x[1]) / 2, (area.y[0] + area.y[1]) / 2];
  return moves.rings.map(({ x, y }): SpindleWay =>
    ring([mx - x, mx + x], [my - y, my + y], "clockwise", "plunge"),
  );
}

/** A closed way round a rectangle; a line or a point where it has no width. */
function ring(
  [left, right]: readonly [Mm, Mm],
  [low, high]: readonly [Mm, Mm],
  turn: "clockwise" | "counterclockwise",
  entry: SpindleWay["entry"],
): SpindleWay {
  const flatX = right - left < 1e-6;
  const flatY = high - low < 1e-6;
  const corners: Point[] =
    flatX && flatY
      ? [[left, low]]
      : flatY
        ? [
            [left, low],
            [right, low],
          ]
        : flatX
          ? [
              [left, low],
              [left, high],
            ]
          : turn === "clockwise"
            ? [
                [left, low],
                [left, high],
                [right, high],
                [right, low],
                [left, low],
              ]
            : [
                [left, low],
                [right, low],
                [right, high],
                [left, high],
                [left, low],
              ];
  return {
    points: corners.map(([x, y]) => [tidy(x), tidy(y)] as const),
    depth: null,
    closed: corners.length === 5,
    entry,
    cuts: flatX || flatY ? "full" : "conventional",
    stops: corners.map(() => true),
  };
}

/** Rings round a boss, from the outside in; counterclockwise, so that the boss is cut conventional. */
function bossRings(
  area: Area,
  boss: NonNullable<Area["boss"]>,
  leave: Mm,
  diameter: Mm,
): SpindleWay[] | null {
  const r = diameter / 2;
  const outer = (which: "x" | "y"): [Mm, Mm] => [
    area.walls[`${which}Low`] ? area[which][0] + r + leave : area[which][0],
    area.walls[`${which}High`] ? area[which][1] - r - leave : area[which][1],
  ];
  const inner = (which: "x" | "y"): [Mm, Mm] => [boss[which][0] - r - leave, boss[which][1] + r + leave];
  const [ox, oy, ix, iy] = [outer("x"), outer("y"), inner("x"), inner("y")];
  // An open side may be narrower than the cutter: the ring then runs outside it.
  const out = (o: [Mm, Mm], i: [Mm, Mm], which: "x" | "y"): [Mm, Mm] => [
    area.walls[`${which}Low`] ? o[0] : Math.min(o[0], i[0]),
    area.walls[`${which}High`] ? o[1] : Math.max(o[1], i[1]),
  ];
  const [x, y] = [out(ox, ix, "x"), out(oy, iy, "y")];
  const gaps = [ix[0] - x[0], x[1] - ix[1], iy[0] - y[0], y[1] - iy[1]];
  if (Math.min(...gaps) < -1e-9) return null;
  const count = Math.max(0, Math.ceil(Math.max(...gaps) / (widestLane * diameter) - 1e-9));
  const open = !Object.values(area.walls).every(Boolean);
  return Array.from({ length: count + 1 }, (_, i): SpindleWay => {
    const share = count === 0 ? 1 : i / count;
    const at = (o: Mm, n: Mm) => o + (n - o) * share;
    return ring(
      [at(x[0], ix[0]), at(x[1], ix[1])],
      [at(y[0], iy[0]), at(y[1], iy[1])],
      "counterclockwise",
      open && i === 0 ? "outside" : "plunge",
    );
  });
}

function wallWays(sweep: Extract<Sweep, { kind: "walls" }>, diameter: Mm, shift: Mm): SpindleWay[] {
  const { area, sides, of } = sweep;
  const r = diameter / 2;
  if (of === "boss" && area.boss) {
    const { x, y } = area.boss;
    const off = r - shift;
    return [ring([x[0] - off, x[1] + off], [y[0] - off, y[1] + off], "counterclockwise", "plunge")];
  }
  const all = sides.length === 4;
  // All four in one round where the cutter makes the corner itself.
  if (all && area.corner <= r + 1e-6)
    return [
      ring(
        [area.x[0] + r - shift, area.x[1] - r + shift],
        [area.y[0] + r - shift, area.y[1] - r + shift],
        "clockwise",
        "plunge",
      ),
    ];
  return sides.map((side: SideName) => {
    const along = side.startsWith("x") ? ("y" as const) : ("x" as const);
    const low = side.endsWith("Low");
    const across = area[along === "x" ? "y" : "x"];
    const at = low ? across[0] + r - shift : across[1] - r + shift;
    const ends = { low: !area.walls[`${along}Low`], high: !area.walls[`${along}High`] };
    return straight(
      along,
      at,
      laneReach(area, along, Math.max(across[0] + r, Math.min(across[1] - r, at)), r, 0),
      conventionalAlong(along, low ? "low" : "high"),
      ends,
      "conventional",
    );
  });
}

function trackWay(run: Run, at: Mm, side: -1 | 0 | 1, diameter: Mm, depth: Mm | null): SpindleWay {
  const r = diameter / 2;
  const reach: [Mm, Mm] = [
    run.openLow ? run.from - r - clearOff : run.from + r,
    run.openHigh ? run.to + r + clearOff : run.to - r,
  ];
  return straight(
    run.along,
    at + side * r,
    reach,
    side === 0 ? 1 : conventionalAlong(run.along, side > 0 ? "low" : "high"),
    { low: run.openLow, high: run.openHigh },
    side === 0 ? "full" : "conventional",
    depth,
  );
}

/** A track and the lanes beside it, the farthest from its line first. */
function trackLanes(run: Run, track: Track, diameter: Mm): SpindleWay[] {
  const { at, side, depth = null, wide = 0 } = track;
  const count = lanesOfTrack(track, diameter);
  const step = count === 1 ? 0 : (wide - diameter) / (count - 1);
  return Array.from({ length: count }, (_, i) =>
    trackWay(run, at + side * step * (count - 1 - i), side, diameter, depth),
  );
}

/** Stairs of a hollow: as wide as the round is at each depth, down to where the cutter no longer goes in. */
function hollowStairs(radius: Mm, depth: Mm, cutter: Mm, cusp: Mm): { depth: Mm; half: Mm }[] {
  const above = radius - depth;
  const widest = Math.sqrt(Math.max(0, radius ** 2 - above ** 2));
  const r = cutter / 2;
  if (widest < r) return [];
  const [start, end] = [above ** 2, radius ** 2 - r ** 2];
  const most = 2 * radius * cusp - cusp ** 2;
  const count = Math.max(1, Math.min(200, Math.ceil((end - start) / most - 1e-9)));
  return Array.from({ length: count }, (_, i) => {
    const square = start + ((end - start) * (i + 1)) / count;
    return {
      depth: tidy(Math.sqrt(square) - above),
      half: Math.sqrt(Math.max(0, radius ** 2 - square)),
    };
  });
}

function arcWays(sweep: Extract<Sweep, { kind: "arc" }>, diameter: Mm): SpindleWay[] | null {
  const { run, middle, edges, radius, depth, form, cusp } = sweep;
  const r = diameter / 2;
  if (form === "hollow")
    return hollowStairs(radius, depth, diameter, cusp).flatMap(({ depth: down, half }) => {
      const count = lanesBetween(2 * half, diameter, 0);
      const [from, to] = [middle - half + r, middle + half - r];
      return count === 1 && to - from < 1e-6
        ? [trackWay(run, middle, 0, diameter, down)]
        : Array.from({ length: Math.max(2, count) }, (_, i) =>
            trackWay(run, from + ((to - from) * i) / (Math.max(2, count) - 1), 0, diameter, down),
          );
    });
  const stairs = cylinderStairs(radius, diameter, depth, cusp);
  if (!stairs) return null;
  return stairs.flatMap(({ depth: down, half }) =>
    ([-1, 1] as const).flatMap((side) => {
      const edge = side < 0 ? edges[0] : edges[1];
      const wide = side * (edge - middle) - half;
      if (wide <= 1e-6) return [];
      const count = Math.max(1, Math.ceil(wide / (widestLane * diameter) - 1e-9));
      return Array.from({ length: count }, (_, i) => {
        const off = half + (wide * (count - 1 - i)) / count;
        return trackWay(run, middle + side * off, side, diameter, down);
      });
    }),
  );
}

/** Rows over a region that touch neither its outline nor what stands in it. */
function regionWays(sweep: Extract<Sweep, { kind: "region" }>, diameter: Mm): SpindleWay[] {
  const { outer, islands, around, leave } = sweep;
  const r = diameter / 2;
  const walls: Outline[] = [...(outer ? [outer] : []), ...islands];
  const pieces = walls.flatMap(piecesOf);
  const extent = outer
    ? {
        x: [Math.min(...pieces.map(([p]) => p[0])), Math.max(...pieces.map(([p]) => p[0]))] as const,
        y: [Math.min(...pieces.map(([p]) => p[1])), Math.max(...pieces.map(([p]) => p[1]))] as const,
      }
    : { x: [around.x[0] - r, around.x[1] + r] as const, y: [around.y[0], around.y[1]] as const };
  const [low, high] = outer ? [extent.y[0] + r + leave, extent.y[1] - r - leave] : extent.y;
  if (high < low) return [];
  const count = Math.max(1, Math.ceil((high - low) / (widestLane * diameter) - 1e-9));
  const inside = (p: Point) => within(p, outer, islands);
  return Array.from({ length: count + 1 }, (_, i) => low + ((high - low) * i) / count).flatMap((y, row) =>
    freeAlong("x", y, [extent.x[0], extent.x[1]], pieces, r + leave)
      .filter(([a, b]) => inside([(a + b) / 2, y]))
      .map(([a, b]): SpindleWay => {
        const toward = row % 2 === 0 ? 1 : -1;
        const open = { low: !outer && a <= extent.x[0] + 1e-6, high: !outer && b >= extent.x[1] - 1e-6 };
        return straight("x", y, [a, b], toward, open, "full");
      }),
  );
}

/** Whether a point lies in the outer outline and in no island: counted by crossings of its pieces. */
function within([x, y]: Point, outer: Outline | null, islands: readonly Outline[]): boolean {
  const inside = (outline: Outline) =>
    piecesOf(outline).filter(
      ([[ax, ay], [bx, by]]) => ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax),
    ).length %
      2 ===
    1;
  return (!outer || inside(outer)) && islands.every((o) => !inside(o));
}

/** Along an outline: feeds where it runs with an axis, plunges along the rest. */
function contourWays(sweep: Extract<Sweep, { kind: "contour" }>, diameter: Mm): SpindleWay[] {
  const { outline, metal, cusp, ways } = sweep;
  const r = diameter / 2;
  const side = offSide(outline, metal);
  const pieces = piecesOf(outline);
  return waysWithAxis(outline).flatMap(({ from, to, along, index }): SpindleWay[] => {
    if (ways && !ways.includes(index)) return [];
    if (along) {
      const other = along === "x" ? "y" : "x";
      const ahead = Math.sign(to[along] - from[along]);
      const left = along === "x" ? ahead : -ahead;
      const at = from[other] + side * left * r;
      const ends: [Mm, Mm] = [Math.min(from[along], to[along]) - r, Math.max(from[along], to[along]) + r];
      const toward = conventionalAlong(along, side * left > 0 ? "low" : "high");
      return freeAlong(along, at, ends, pieces, r).map((reach) =>
        straight(along, at, reach, toward, { low: false, high: false }, "conventional"),
      );
    }
    const points = plungesAlong(from, to, side, r, cusp).filter((p) => isFree(p, pieces, r - 0.002));
    return points.map((p): SpindleWay => ({
      points: [p],
      depth: null,
      closed: false,
      entry: "plunge",
      cuts: "down",
      stops: [true],
    }));
  });
}

/**
 * The ways of the spindle for an operation, compensated for the diameter that cuts, in the order they are cut.
 * @param sweep as the readout counts it
 * @param shift how much further out a wall is cut than planned: what a reading says is left, mm
 * @returns null where the cutter does not go in
 */
export function spindleWays(
  sweep: Sweep,
  operation: Pick<FeatureOperation, "diameter" | "floor">,
  shift: Mm = 0,
): SpindleWay[] | null {
  const { diameter } = operation;
  switch (sweep.kind) {
    case "points":
      return sweep.at.map((p) => ({
        points: [p],
        depth: null,
        closed: false,
        entry: "plunge",
        cuts: "down",
        stops: [true],
      }));
    case "clear":
      return clearWays(sweep.area, sweep.leave, diameter);
    case "walls":
      return wallWays(sweep, diameter, shift);
    case "tracks":
      return sweep.tracks.flatMap((t) => trackLanes(sweep.run, t, diameter));
    case "arc":
      return arcWays(sweep, diameter);
    case "region":
      return regionWays(sweep, diameter);
    case "contour":
      return contourWays(sweep, diameter);
    case "disc":
      return [];
  }
}
