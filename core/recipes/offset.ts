import { arcOf, chordsOf, type Corner, type Outline, outlineArea, waysOf } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";

type Point = readonly [x: Mm, y: Mm];

/** Chords stay this near to an outline, mm. */
const chordWithin = 0.002;

/** An outline as straight pieces, for what asks how far off it a cutter stands. */
export const piecesOf = (outline: Outline): [Point, Point][] => {
  const points = chordsOf(outline, chordWithin);
  return points.map((p, i) => [p, points[(i + 1) % points.length]!]);
};

/** Distance of a point from a straight piece. */
export function distanceTo(p: Point, from: Point, to: Point): Mm {
  const dx = to[0] - from[0];
  const dy = to[1] - from[1];
  const length = dx * dx + dy * dy;
  const along = (p[0] - from[0]) * dx + (p[1] - from[1]) * dy;
  const t = length === 0 ? 0 : Math.max(0, Math.min(1, along / length));
  const offX = p[0] - from[0] - t * dx;
  const offY = p[1] - from[1] - t * dy;
  return Math.sqrt(offX * offX + offY * offY);
}

type Interval = [low: Mm, high: Mm];

/** Where along a line parallel to an axis a cutter of a radius would touch a straight piece; null where nowhere. */
function forbidden(
  along: "x" | "y",
  at: Mm,
  [[ax, ay], [bx, by]]: readonly [Point, Point],
  r: Mm,
): Interval | null {
  // Turned so that the line runs along x at y = 0.
  const [x1, y1, x2, y2] = along === "x" ? [ax, ay - at, bx, by - at] : [ay, ax - at, by, bx - at];
  let [low, high] = [Infinity, -Infinity];
  const take = (from: Mm, to: Mm) => {
    low = Math.min(low, from);
    high = Math.max(high, to);
  };
  for (const [cx, cy] of [
    [x1, y1],
    [x2, y2],
  ] as const) {
    if (Math.abs(cy) >= r) continue;
    const half = Math.sqrt(r * r - cy * cy);
    take(cx - half, cx + half);
  }
  const length = Math.hypot(x2 - x1, y2 - y1);
  if (length > 1e-12) {
    // The two sides of the stadium around the piece, where they meet the line.
    const [nx, ny] = [-(y2 - y1) / length, (x2 - x1) / length];
    const crossings: Mm[] = [];
    for (const s of [r, -r]) {
      const [sy, ey] = [y1 + s * ny, y2 + s * ny];
      if (sy > 0 === ey > 0 || sy === ey) continue;
      const t = sy / (sy - ey);
      crossings.push(x1 + s * nx + t * (x2 - x1));
    }
    // And the piece itself, where it crosses.
    if (y1 > 0 !== y2 > 0 && y1 !== y2) crossings.push(x1 + (y1 / (y1 - y2)) * (x2 - x1));
    if (crossings.length > 0) take(Math.min(...crossings), Math.max(...crossings));
  }
  return low < high ? [low, high] : null;
}

/** What is left of a stretch of a line when a cutter of a radius may touch none of the pieces. */
export function freeAlong(
  along: "x" | "y",
  at: Mm,
  [from, to]: Interval,
  pieces: readonly (readonly [Point, Point])[],
  radius: Mm,
): Interval[] {
  const taken = pieces
    .flatMap((piece) => {
      const span = forbidden(along, at, piece, radius - 1e-9);
      return span ? [span] : [];
    })
    .sort((a, b) => a[0] - b[0]);
  const free: Interval[] = [];
  let start = from;
  for (const [low, high] of taken) {
    if (low > start) free.push([start, Math.min(low, to)]);
    start = Math.max(start, high);
    if (start >= to) break;
  }
  if (start < to) free.push([start, to]);
  return free.filter(([a, b]) => b - a > 1e-6);
}

/** Whether a cutter at a point touches none of the pieces. */
export const isFree = (point: Point, pieces: readonly (readonly [Point, Point])[], radius: Mm): boolean =>
  pieces.every(([from, to]) => distanceTo(point, from, to) >= radius - 1e-6);

/** The side of an outline's ways a cutter stands on: 1 to the left, −1 to the right. */
export const offSide = (outline: Outline, metal: "inside" | "outside"): 1 | -1 =>
  outlineArea(outline) > 0 === (metal === "outside") ? 1 : -1;

/** A way moved off to one side by a distance; null where an arc is too tight for it. */
export function offWay(from: Corner, to: Corner, side: 1 | -1, off: Mm): [Point, Point] | null {
  const arc = arcOf(from, to);
  if (arc) {
    // To the left of a counterclockwise arc is toward its center.
    const r = arc.r - side * Math.sign(arc.turn) * off;
    if (r < 0) return null;
    const end = arc.from + arc.turn;
    return [
      [arc.x + r * Math.cos(arc.from), arc.y + r * Math.sin(arc.from)],
      [arc.x + r * Math.cos(end), arc.y + r * Math.sin(end)],
    ];
  }
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 1e-9) return null;
  const [nx, ny] = [(-(to.y - from.y) / length) * side * off, ((to.x - from.x) / length) * side * off];
  return [
    [from.x + nx, from.y + ny],
    [to.x + nx, to.y + ny],
  ];
}

/**
 * Places to plunge along a way, so that no cusp between two of them stands out further than wanted and none cuts into the way:
 * every circle of the cutter touches it.
 */
export function plungesAlong(from: Corner, to: Corner, side: 1 | -1, radius: Mm, cusp: Mm): Point[] {
  const arc = arcOf(from, to);
  if (!arc) {
    const ends = offWay(from, to, side, radius);
    if (!ends) return [];
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const pitch = 2 * Math.sqrt(Math.max(0, radius ** 2 - (radius - cusp) ** 2));
    const count = Math.max(1, Math.ceil(length / pitch - 1e-9));
    const [[ax, ay], [bx, by]] = ends;
    return Array.from({ length: count + 1 }, (_, i): Point => [
      tidy(ax + ((bx - ax) * i) / count),
      tidy(ay + ((by - ay) * i) / count),
    ]);
  }
  const inward = side * Math.sign(arc.turn) > 0;
  const path = inward ? arc.r - radius : arc.r + radius;
  if (path < -1e-9) return [];
  // How far the cusp between two circles so many radians apart stands out of the arc.
  const standsOut = (angle: number): Mm => {
    const half = angle / 2;
    const reach = radius ** 2 - (path * Math.sin(half)) ** 2;
    if (reach < 0) return Infinity;
    return inward
      ? arc.r - (path * Math.cos(half) + Math.sqrt(reach))
      : path * Math.cos(half) - Math.sqrt(reach) - arc.r;
  };
  const turn = Math.abs(arc.turn);
  let count = 1;
  while (count < 200 && standsOut(turn / count) > cusp) count++;
  return Array.from({ length: count + 1 }, (_, i): Point => {
    const angle = arc.from + (arc.turn * i) / count;
    return [tidy(arc.x + path * Math.cos(angle)), tidy(arc.y + path * Math.sin(angle))];
  });
}

/** Straight ways of an outline with how they run; arcs and slanted ones have no axis. */
export const waysWithAxis = (outline: Outline) =>
  waysOf(outline).map(([from, to], index) => {
    const straight = arcOf(from, to) === null;
    const along =
      straight && Math.abs(to.y - from.y) < 1e-6
        ? ("x" as const)
        : straight && Math.abs(to.x - from.x) < 1e-6
          ? ("y" as const)
          : null;
    return { from, to, along, index };
  });
