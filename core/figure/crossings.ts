import { type Axis, axisOf, extentOfOutline, facesOf, inOutline, spansWithin } from "../frame/index.ts";
import { acrossAxis, type Cutout, type Prism, type Site, type Span } from "../part/index.ts";
import type { View } from "./view.ts";
import type { Ink, Shape } from "./figure.ts";

/**
 * Where cutouts cross: of the edges each would have alone, those that the solid has, and what is seen of them. Taking metal away
 * never hides an edge: it takes some away, and brings others into sight.
 */

/** A cutout in a view with what else is cut where it lies. */
export interface Crossing {
  view: View;
  site: Site;
  own: readonly Prism[];
  /** Pieces of other cutouts that lie before, behind or in it; none where it stands alone. */
  others: readonly Prism[];
}

/** A place in a view: how far along its two sides, mm from the low faces. */
type Place = readonly [across: number, up: number];

/** This far beside an edge it is asked what stands there, mm. */
const beside = 2e-3;
const thin = 1e-3;

const sightOf = (view: View): Axis => axisOf(view.face);

/** Pieces of other cutouts that may matter to one in a view: their boxes lie over each other. */
export function crossingOf(cutout: Cutout, all: readonly Cutout[], view: View, site: Site): Crossing {
  const meets = (a: Span, b: Span) => a[0] <= b[1] + beside && b[0] <= a[1] + beside;
  const others = all.filter(
    (o) =>
      o !== cutout &&
      meets(o.box[view.across], cutout.box[view.across]) &&
      meets(o.box[view.up], cutout.box[view.up]),
  );
  return {
    view,
    site,
    own: cutout.prisms.filter((p) => !p.thread),
    others: others.flatMap((o) => o.prisms.filter((p) => !p.thread)),
  };
}

/** Spans along the line of sight that a piece takes out at a place of a view. */
function takenAt(prism: Prism, view: View, [across, up]: Place): Span[] {
  const sight = sightOf(view);
  const at = (axis: Axis) => (axis === view.across ? across : up);
  const [a, b] = acrossAxis(prism.axis);
  if (prism.axis === sight) {
    const inside = inOutline(prism.outline, at(a), at(b));
    const stands = prism.island !== undefined && inOutline(prism.island, at(a), at(b));
    return inside && !stands ? [prism.span] : [];
  }
  const along = at(prism.axis);
  if (along < prism.span[0] || along > prism.span[1]) return [];
  // The outline's two sides are the line of sight and the view's other side.
  const fixed = a === sight ? "y" : "x";
  const value = at(a === sight ? b : a);
  const spans = spansWithin(prism.outline, fixed, value);
  return prism.island ? spans.flatMap((s) => without(s, spansWithin(prism.island!, fixed, value))) : spans;
}

/** What is left of a span when others are taken from it. */
function without(span: Span, taken: readonly (readonly [number, number])[]): Span[] {
  return taken.reduce<Span[]>(
    (left, [from, to]) =>
      left.flatMap(([low, high]): Span[] =>
        to <= low || from >= high
          ? [[low, high]]
          : [...(from > low ? [[low, from] as const] : []), ...(to < high ? [[to, high] as const] : [])],
      ),
    [span],
  );
}

const lengthOf = (spans: readonly Span[]): number => spans.reduce((sum, [low, high]) => sum + high - low, 0);

/** How a line of a cutout lies along the line of sight: a wall from one depth to another, or an edge at one. */
export type DepthAt = (place: Place) => readonly Span[];

/** Cuts a straight line of a cutout into the pieces that the solid has, each as it is seen. Without crossings it stays whole. */
export function crossedLine(crossing: Crossing, from: Place, to: Place, ink: Ink, depthAt: DepthAt): Shape[] {
  const { view } = crossing;
  const drawn = (a: Place, b: Place, as: Ink): Shape => ({
    kind: "line",
    points: [
      [view.x(a[0]), view.y(a[1])],
      [view.x(b[0]), view.y(b[1])],
    ],
    ink: as,
  });
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (crossing.others.length === 0 || long < thin) return [drawn(from, to, ink)];
  const at = (t: number): Place => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
  const normal: Place = [(-(to[1] - from[1]) / long) * beside, ((to[0] - from[0]) / long) * beside];
  const inkAt = (t: number): Ink | null => seenAt(crossing, at(t), normal, ink, depthAt);
  const shapes: Shape[] = [];
  let start = 0;
  let now: Ink | null = null;
  const end = (t: number) => {
    if (now !== null && t > start) shapes.push(drawn(at(start), at(t), now));
  };
  const stops = stopsOn(crossing, from, to);
  stops.slice(1).forEach((stop, i) => {
    const next = inkAt((stops[i]! + stop) / 2);
    if (i > 0 && next === now) return;
    const turn = i === 0 ? 0 : changeBetween(inkAt, stops[i - 1]!, stops[i]!, stop, now, next);
    end(turn);
    [start, now] = [turn, next];
  });
  end(1);
  return shapes;
}

/** Places along a line where something may begin or end: the boxes of what crosses it, and a few between. */
function stopsOn({ others, view }: Crossing, from: Place, to: Place): number[] {
  const share = (value: number, i: 0 | 1) =>
    Math.abs(to[i] - from[i]) < thin ? [] : [(value - from[i]) / (to[i] - from[i])];
  const rims = others.flatMap((prism) => {
    const [a, b] = acrossAxis(prism.axis);
    const extent = extentOfOutline(prism.outline);
    const box = { [prism.axis]: prism.span, [a]: extent.x, [b]: extent.y } as Record<Axis, Span>;
    return [
      ...box[view.across].flatMap((value) => share(value, 0)),
      ...box[view.up].flatMap((value) => share(value, 1)),
    ];
  });
  const even = Array.from({ length: 9 }, (_, i) => i / 8);
  return [...new Set([...rims.filter((t) => t > 0 && t < 1), ...even])].sort((a, b) => a - b);
}

/** Where one way of being seen turns into another, near a stop: at the stop itself, or found by halving beside it. */
function changeBetween(
  inkAt: (t: number) => Ink | null,
  before: number,
  stop: number,
  after: number,
  was: Ink | null,
  is: Ink | null,
): number {
  const [low, high] = [(before + stop) / 2, (stop + after) / 2];
  const tiny = Math.min(stop - low, high - stop) * 0.01;
  if (inkAt(stop - tiny) === was && inkAt(stop + tiny) === is) return stop;
  let [a, b] = inkAt(stop) === was ? [stop, high] : [low, stop];
  for (let i = 0; i < 16; i++) {
    const middle = (a + b) / 2;
    if (inkAt(middle) === was) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/** How a line is seen at a place; null where the solid has no edge. */
function seenAt(crossing: Crossing, place: Place, normal: Place, ink: Ink, depthAt: DepthAt): Ink | null {
  const { view, own, others } = crossing;
  const sides: Place[] = [
    [place[0] + normal[0], place[1] + normal[1]],
    [place[0] - normal[0], place[1] - normal[1]],
  ];
  const takenBy = (prisms: readonly Prism[], at: Place) => prisms.flatMap((p) => takenAt(p, view, at));
  const left: Span[] = [];
  for (const span of depthAt(place)) {
    if (span[1] - span[0] > thin) {
      // A wall: it stands where the metal beside it was not taken by another.
      const middle = (span[0] + span[1]) / 2;
      const metal =
        sides.find((s) => !takenBy(own, s).some(([a, b]) => middle > a && middle < b)) ?? sides[0]!;
      left.push(...without(span, takenBy(others, metal)).filter(([a, b]) => b - a > thin));
    } else if (isEdge(crossing, sides, span[0])) left.push(span);
  }
  if (left.length === 0) return null;
  if (ink !== "hidden") return ink;
  const all = [...own, ...others];
  const high = view.face === facesOf(sightOf(view))[1];
  const nearest = high ? Math.max(...left.map((s) => s[1])) : Math.min(...left.map((s) => s[0]));
  const [front, back] = crossing.site.shaft
    ? [0, 0]
    : [nearest, high ? crossing.site.sizes[sightOf(view)] : 0];
  const way: Span = [Math.min(front, back), Math.max(front, back)];
  if (crossing.site.shaft || way[1] - way[0] < thin) return ink;
  return sides.some((s) => lengthOf(without(way, takenBy(all, s))) < thin) ? "edge" : "hidden";
}

/** Whether metal and air meet in an edge at a depth: not all of one, and no flat where another cutout runs on in one plane. */
function isEdge({ view, own, others }: Crossing, sides: readonly Place[], depth: number): boolean {
  const filled = (prisms: readonly Prism[]) =>
    sides.flatMap((side) => {
      const taken = prisms.flatMap((p) => takenAt(p, view, side));
      return [depth - beside, depth + beside].map((d) => !taken.some(([a, b]) => d > a && d < b));
    });
  const isFlat = ([a, b, c, d]: boolean[]) => (a === b && c === d) || (a === c && b === d);
  const [alone, together] = [filled(own), filled([...own, ...others])];
  return together.some(Boolean) && (!isFlat(together) || isFlat(alone));
}
