import { type Mm, tidy } from "../quantity/index.ts";
import { type Area, lanesAlong, lanesBetween, type SideName, type Sweep, widestLane } from "./sweep.ts";
import { pocketMoves } from "./pocket-moves.ts";
import { leftOnWalls } from "./sweep-size.ts";
import { clearOff, conventionalAlong, type Point, type SpindleWay, straight } from "./spindle-way.ts";

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

export function clearWays(area: Area, leave: Mm, diameter: Mm, start?: Point): SpindleWay[] | null {
  const r = diameter / 2;
  const left = leftOnWalls(area, leave, diameter);
  if (area.boss) return bossRings(area, area.boss, left, diameter, start);
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
    // Open at one end: every lane comes in from there, and plunges nowhere.
    const toward = (i: number) => (ends.low === ends.high ? (i % 2 === 0 ? 1 : -1) : ends.low ? 1 : -1);
    const inRows = at.map((a, i) =>
      straight(along, a, laneReach(area, along, a, r, left), toward(i), ends, "full"),
    );
    return count === 1 ? inRows : [...inRows, ...alongEnds(area, along, r, left)];
  }
  // From the open side toward the wall, the metal ahead of the cutter's flank.
  const toward = wallHigh ? "high" : "low";
  const width = lanes.across - (wallLow || wallHigh ? left : 0);
  const count = Math.max(1, Math.ceil(width / (widestLane * diameter) - 1e-9));
  const step = width / count;
  const inRows = Array.from({ length: count }, (_, i) => {
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
  return lanes.across > r + left ? [...inRows, ...alongEnds(area, along, r, left)] : inRows;
}

/** Where lanes end at a wall their round ends leave ridges between them: the cutter runs along that wall once more. */
function alongEnds(area: Area, along: "x" | "y", r: Mm, left: Mm): SpindleWay[] {
  const other = along === "x" ? "y" : "x";
  const open = { low: !area.walls[`${other}Low`], high: !area.walls[`${other}High`] };
  return (["Low", "High"] as const).flatMap((end) => {
    if (!area.walls[`${along}${end}`]) return [];
    const [low, high] = area[along];
    const at = end === "Low" ? low + r + left : high - r - left;
    const metal = end === "Low" ? "low" : "high";
    const reach = laneReach(area, other, at, r, left);
    return [straight(other, at, reach, conventionalAlong(other, metal), open, "conventional")];
  });
}

/**
 * One way from the middle of a closed pocket out, ring by ring and clockwise: conventional inside. It goes down once at every
 * level, where the start hole is; from one ring to the next along one axis and then the other, as two handles can.
 */
function ringWays(area: Area, leave: Mm, diameter: Mm): SpindleWay[] | null {
  const size = { x: area.x[1] - area.x[0], y: area.y[1] - area.y[0] };
  const moves = pocketMoves(size, diameter, leave);
  if (!moves) return null;
  const [mx, my] = [tidy((area.x[0] + area.x[1]) / 2), tidy((area.y[0] + area.y[1]) / 2)];
  const rings = moves.rings.map(({ x, y }) =>
    ring([mx - x, mx + x], [my - y, my + y], "clockwise", "plunge"),
  );
  return [inOneWay([[mx, my]], rings, "plunge")];
}

/** Rings one after the other without going up between them: from one to the next along one axis and then the other. */
function inOneWay(
  from: readonly Point[],
  rings: readonly SpindleWay[],
  entry: SpindleWay["entry"],
): SpindleWay {
  const points: Point[] = [...from];
  for (const p of rings.flatMap((r) => r.points)) {
    const here = points.at(-1);
    if (here && Math.hypot(here[0] - p[0], here[1] - p[1]) < 1e-6) continue;
    if (here && Math.abs(here[0] - p[0]) > 1e-6 && Math.abs(here[1] - p[1]) > 1e-6)
      points.push([p[0], here[1]]);
    points.push(p);
  }
  return { points, depth: null, closed: false, entry, cuts: "conventional", stops: points.map(() => true) };
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
  startHole?: Point,
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
  const rings = Array.from({ length: count + 1 }, (_, i): SpindleWay => {
    const share = count === 0 ? 1 : i / count;
    const at = (o: Mm, n: Mm) => o + (n - o) * share;
    return ring(
      [at(x[0], ix[0]), at(x[1], ix[1])],
      [at(y[0], iy[0]), at(y[1], iy[1])],
      "counterclockwise",
      "plunge",
    );
  });
  // Out past an open side it comes in from there; the first ring begins along the low side in Y, or up the low side in X.
  const start: Point[] = !area.walls.xLow
    ? [[tidy(Math.min(area.x[0] - r - clearOff, x[0])), tidy(y[0])]]
    : !area.walls.yLow
      ? [[tidy(x[0]), tidy(Math.min(area.y[0] - r - clearOff, y[0]))]]
      : // Between wall and boss; in the start hole where there is one, wherever the setup turns it.
        [startHole ?? [tidy((area.x[0] + boss.x[0]) / 2), tidy(boss.y[0])]];
  return [inOneWay(start, rings, area.walls.xLow && area.walls.yLow ? "plunge" : "outside")];
}

export function wallWays(sweep: Extract<Sweep, { kind: "walls" }>, diameter: Mm, shift: Mm): SpindleWay[] {
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
    // In a corner the pass stops as far off the wall ahead as off its own: what is left there is that wall's.
    const ahead = (["Low", "High"] as const).some((end) => sides.includes(`${along}${end}`)) ? -shift : 0;
    return straight(
      along,
      at,
      laneReach(area, along, Math.max(across[0] + r, Math.min(across[1] - r, at)), r, ahead),
      conventionalAlong(along, low ? "low" : "high"),
      ends,
      "conventional",
    );
  });
}
