/**
 * A corner of an outline, mm. The way to the next corner is straight, or an arc: bulge is the tangent of a quarter of its
 * angle, above 0 where the arc runs counterclockwise.
 */
export interface Corner {
  x: number;
  y: number;
  bulge: number;
}
/** A closed way of lines and arcs, from each corner to the next and from the last to the first. */
export type Outline = readonly Corner[];

export interface Arc {
  x: number;
  y: number;
  r: number;
  /** Where it begins and how far it turns, radians, counterclockwise above 0. */
  from: number;
  turn: number;
}

const near = 1e-9;
/** Bulge of a quarter circle. */
export const quarter = Math.tan(Math.PI / 8);

/** A closed way of straight lines. */
export const polygon = (points: readonly (readonly [x: number, y: number])[]): Outline =>
  points.map(([x, y]) => ({ x, y, bulge: 0 }));

export const circle = (x: number, y: number, r: number): Outline => [
  { x: x + r, y, bulge: 1 },
  { x: x - r, y, bulge: 1 },
];

/** A rectangle; its corners round where a radius is given, which is held to half of its shorter side. */
export function rectangle(
  [left, right]: readonly [number, number],
  [low, high]: readonly [number, number],
  radius = 0,
): Outline {
  const r = Math.min(radius, (right - left) / 2, (high - low) / 2);
  if (!(r > near))
    return polygon([
      [left, low],
      [right, low],
      [right, high],
      [left, high],
    ]);
  const corners: Corner[] = [
    { x: left + r, y: low, bulge: 0 },
    { x: right - r, y: low, bulge: quarter },
    { x: right, y: low + r, bulge: 0 },
    { x: right, y: high - r, bulge: quarter },
    { x: right - r, y: high, bulge: 0 },
    { x: left + r, y: high, bulge: quarter },
    { x: left, y: high - r, bulge: 0 },
    { x: left, y: low + r, bulge: quarter },
  ];
  // Round ends leave straight pieces of no length.
  return corners.filter((c, i) => c.bulge !== 0 || !same(c, corners[(i + 1) % corners.length]!));
}

const same = (a: Corner, b: Corner) => Math.abs(a.x - b.x) < near && Math.abs(a.y - b.y) < near;

/** Every way of an outline from one corner to the next. */
export const waysOf = (outline: Outline): [from: Corner, to: Corner][] =>
  outline.map((corner, i) => [corner, outline[(i + 1) % outline.length]!]);

/** The circle an arc lies on; null for a straight way. */
export function arcOf(from: Corner, to: Corner): Arc | null {
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  if (Math.abs(from.bulge) < near || chord < near) return null;
  const turn = 4 * Math.atan(from.bulge);
  const r = chord / (2 * Math.abs(Math.sin(turn / 2)));
  // From the middle of the chord to the center, left of the way for a short arc counterclockwise.
  const off = chord / 2 / Math.tan(turn / 2);
  const x = (from.x + to.x) / 2 - ((to.y - from.y) / chord) * off;
  const y = (from.y + to.y) / 2 + ((to.x - from.x) / chord) * off;
  return { x, y, r, from: Math.atan2(from.y - y, from.x - x), turn };
}

/** The direction of a way where it starts or ends, radians. */
function heading(from: Corner, to: Corner, at: "start" | "end"): number {
  const arc = arcOf(from, to);
  if (!arc) return Math.atan2(to.y - from.y, to.x - from.x);
  return arc.from + (at === "end" ? arc.turn : 0) + (Math.sign(arc.turn) * Math.PI) / 2;
}

/** A corner that turns by less than this runs smoothly on. */
export const smooth = 1e-3;

/** How the way turns at a corner: the sine of the angle, above 0 to the left; 0 where it runs smoothly on. */
export function turnAt(outline: Outline, i: number): number {
  const before = outline[(i + outline.length - 1) % outline.length]!;
  const [corner, after] = [outline[i]!, outline[(i + 1) % outline.length]!];
  return Math.sin(heading(corner, after, "start") - heading(before, corner, "end"));
}

/** Whether an arc passes an angle. */
function passes({ from, turn }: Arc, angle: number): boolean {
  const full = 2 * Math.PI;
  const after = (((turn > 0 ? angle - from : from - angle) % full) + full) % full;
  return after <= Math.abs(turn) + near || after >= full - near;
}

export interface Extent {
  x: readonly [low: number, high: number];
  y: readonly [low: number, high: number];
}

/** Outlines never change, and are measured again and again. */
const measured = new WeakMap<Outline, Extent>();

/** The smallest upright rectangle around an outline, arcs with what they swell past their corners. */
export function extentOfOutline(outline: Outline): Extent {
  const known = measured.get(outline);
  if (known) return known;
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = (x: number, y: number) => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  };
  outline.forEach((from, i) => {
    take(from.x, from.y);
    const arc = from.bulge === 0 ? null : arcOf(from, outline[(i + 1) % outline.length]!);
    if (!arc) return;
    if (passes(arc, 0)) take(arc.x + arc.r, from.y);
    if (passes(arc, Math.PI / 2)) take(from.x, arc.y + arc.r);
    if (passes(arc, Math.PI)) take(arc.x - arc.r, from.y);
    if (passes(arc, -Math.PI / 2)) take(from.x, arc.y - arc.r);
  });
  const extent: Extent = { x: [left, right], y: [low, high] };
  measured.set(outline, extent);
  return extent;
}

/** Area enclosed, mm²; below zero where the outline runs clockwise. */
export function outlineArea(outline: Outline): number {
  return waysOf(outline).reduce((sum, [from, to]) => {
    const arc = arcOf(from, to);
    const segment = arc ? (arc.r ** 2 * (arc.turn - Math.sin(arc.turn))) / 2 : 0;
    return sum + (from.x * to.y - to.x * from.y) / 2 + segment;
  }, 0);
}

/** The outline with every corner put elsewhere. A mirroring turns its arcs the other way. */
export const mapOutline = (
  outline: Outline,
  put: (x: number, y: number) => readonly [number, number],
  mirrors = false,
): Outline =>
  outline.map((corner) => {
    const [x, y] = put(corner.x, corner.y);
    return { x, y, bulge: mirrors ? -corner.bulge || 0 : corner.bulge };
  });

/** Its two directions changed for one another. */
export const swappedOutline = (outline: Outline): Outline => mapOutline(outline, (x, y) => [y, x], true);

/**
 * Spans of a line that lie within an outline, in order.
 * @param across the direction the line is laid across, at a value of it
 */
export function spansWithin(outline: Outline, across: "x" | "y", at: number): [low: number, high: number][] {
  const [a, b] = across === "x" ? (["x", "y"] as const) : (["y", "x"] as const);
  const crossings: number[] = [];
  for (const [from, to] of waysOf(outline)) {
    const arc = arcOf(from, to);
    if (!arc) {
      // A corner on the line counts for one of its two ways only.
      if (from[a] > at === to[a] > at) continue;
      crossings.push(from[b] + ((at - from[a]) / (to[a] - from[a])) * (to[b] - from[b]));
      continue;
    }
    const off = at - arc[a];
    if (Math.abs(off) >= arc.r) continue;
    const half = Math.sqrt(arc.r ** 2 - off ** 2);
    const ends = passesOnce(arc, from, to, a, at);
    for (const side of [-half, half]) {
      const angle = a === "x" ? Math.atan2(side, off) : Math.atan2(off, side);
      if (ends(angle)) crossings.push(arc[b] + side);
    }
  }
  crossings.sort((one, two) => one - two);
  const spans: [number, number][] = [];
  for (let i = 0; i + 1 < crossings.length; i += 2) spans.push([crossings[i]!, crossings[i + 1]!]);
  return spans;
}

/** Whether an arc crosses at an angle; an end of it that lies on the line counts as the end of a straight way does. */
function passesOnce(arc: Arc, from: Corner, to: Corner, a: "x" | "y", at: number) {
  const full = 2 * Math.PI;
  return (angle: number): boolean => {
    const after = (((arc.turn > 0 ? angle - arc.from : arc.from - angle) % full) + full) % full;
    const length = Math.abs(arc.turn);
    const atStart = after < 1e-7 || after > full - 1e-7;
    const atEnd = Math.abs(after - length) < 1e-7;
    if (!atStart && !atEnd) return after < length;
    // The way just inside the arc decides on which side of the line it leaves that end.
    const inside = arc.from + Math.sign(arc.turn) * (atStart ? 1e-5 : length - 1e-5);
    const beside = a === "x" ? arc.x + arc.r * Math.cos(inside) : arc.y + arc.r * Math.sin(inside);
    const end = atStart ? from : to;
    return end[a] > at !== beside > at;
  };
}

/** Chords of an outline that is asked often, mm off it. */
const chordWithin = 0.01;
const chordsKnown = new WeakMap<Outline, readonly (readonly [number, number])[]>();

/** Whether a point lies in an outline: counted by crossings of its chords. */
export function inOutline(outline: Outline, x: number, y: number): boolean {
  const points = chordsKnown.get(outline) ?? chordsOf(outline, chordWithin);
  chordsKnown.set(outline, points);
  let inside = false;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const a = points[i]!;
    const b = points[j]!;
    if (a[1] > y !== b[1] > y && x < a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])) inside = !inside;
  }
  return inside;
}

/** Whether no straight line between two places of an outline leaves it. */
export function isConvex(outline: Outline): boolean {
  const points = chordsOf(outline);
  const turns = points.map(([ax, ay], i) => {
    const [bx, by] = points[(i + 1) % points.length]!;
    const [cx, cy] = points[(i + 2) % points.length]!;
    return (bx - ax) * (cy - by) - (by - ay) * (cx - bx);
  });
  return turns.every((t) => t > -1e-6) || turns.every((t) => t < 1e-6);
}

/** The outline as straight chords that leave it by no more than a cusp, for what draws no arcs. */
export function chordsOf(outline: Outline, cusp = 0.01): [x: number, y: number][] {
  return waysOf(outline).flatMap(([from, to]): [number, number][] => {
    const arc = arcOf(from, to);
    if (!arc) return [[from.x, from.y]];
    const most = 2 * Math.acos(Math.max(0, 1 - cusp / arc.r));
    const count = Math.max(1, Math.ceil(Math.abs(arc.turn) / most));
    return Array.from({ length: count }, (_, i) => {
      const angle = arc.from + (arc.turn * i) / count;
      return [arc.x + arc.r * Math.cos(angle), arc.y + arc.r * Math.sin(angle)];
    });
  });
}
