import {
  arcOf,
  axisOf,
  extentOfOutline,
  facesOf,
  mapOutline,
  type Outline,
  outlineArea,
  smooth,
  spansWithin,
  turnAt,
  waysOf,
} from "../frame/index.ts";
import { acrossAxis, type Cutout, type Prism, type Site } from "../part/index.ts";
import { type Crossing, crossedLine, crossingOf } from "./crossings.ts";
import type { Ink, Shape } from "./figure.ts";
import type { View } from "./view.ts";

const near = 1e-6;

/**
 * What is seen of a cutout in a view: its edges where they are in sight, hidden lines else; center lines of what is round.
 * @param all everything that is cut into the part: where it crosses this one, only the edges of the solid are drawn
 */
export function cutoutInView(cutout: Cutout, view: View, site: Site, all: readonly Cutout[] = []): Shape[] {
  const crossing = crossingOf(cutout, all, view, site);
  const sized = (prism: Prism) => Math.abs(outlineArea(prism.outline));
  return (
    cutout.prisms
      .map((prism, i) => ({ prism, centered: i === 0 || !sharesMiddle(cutout, i) }))
      // What is wider is drawn first: a hole stands in its counterbore.
      .sort((a, b) => sized(b.prism) - sized(a.prism))
      .flatMap(({ prism, centered }) => {
        const seen = { prism, cutout, view, site, crossing };
        return prism.axis === axisOf(view.face) ? fromItsEnd(seen, centered) : fromItsSide(seen);
      })
  );
}

interface Seen {
  prism: Prism;
  cutout: Cutout;
  view: View;
  site: Site;
  crossing: Crossing;
}

/** Whether a piece is a head or a thread about the hole before it. */
function sharesMiddle({ prisms }: Cutout, i: number): boolean {
  const [a, b] = [extentOfOutline(prisms[i]!.outline), extentOfOutline(prisms[i - 1]!.outline)];
  return (
    Math.abs(a.x[0] + a.x[1] - b.x[0] - b.x[1]) < near && Math.abs(a.y[0] + a.y[1] - b.y[0] - b.y[1]) < near
  );
}

/** Whether a span along the line of sight comes out at the viewer's side of the part, and at its far side. */
function reach(span: readonly [number, number], { cutout, view, site }: Seen) {
  const axis = axisOf(view.face);
  const high = view.face === facesOf(axis)[1];
  const [low, top] = [span[0] <= near, span[1] >= site.sizes[axis] - near];
  // Round about a shaft only the face it was cut from shows it.
  const own = cutout.face === view.face;
  if (site.shaft && axis !== "length") return { here: own, there: false };
  return high ? { here: top || own, there: low } : { here: low || own, there: top };
}

const drawn = (outline: Outline, view: View): Outline =>
  mapOutline(outline, (x, y) => [view.x(x), view.y(y)], true);

/** Whether a straight way lies on the outline of a block in this view, where its own edge is not drawn. */
function onRim(from: { x: number; y: number }, to: { x: number; y: number }, { view, site }: Seen): boolean {
  if (site.shaft) return false;
  const along = (a: number, b: number, size: number) =>
    Math.abs(a - b) < near && (a <= near || a >= size - near);
  return along(from.x, to.x, site.sizes[view.across]) || along(from.y, to.y, site.sizes[view.up]);
}

/** A piece seen along its own direction: its outline, open where it leaves the part. */
function fromItsEnd(seen: Seen, centered: boolean): Shape[] {
  const { prism, view } = seen;
  const { here, there } = reach(prism.span, seen);
  const ink: Ink = prism.thread ? "thin" : here ? "edge" : "hidden";
  const outlines = [prism.outline, ...(prism.island ? [prism.island] : [])];
  const ways = outlines.flatMap((outline) => waysOf(outline));
  const rim = ways.map(([from, to]) => from.bulge === 0 && onRim(from, to, seen));
  const closed = rim.every((on) => !on);
  const through = here && there && !prism.thread;
  const crossed = seen.crossing.others.length > 0;
  const fill: Shape[] =
    through || (here && closed && !prism.thread)
      ? [
          {
            kind: "path",
            outlines: outlines.map((o) => drawn(o, view)),
            // Crossed by another, not all of its outline is an edge.
            ink: (through && !closed) || crossed ? "ground" : "void",
          },
        ]
      : [];
  const edges =
    closed && !crossed
      ? fill.length > 0
        ? []
        : outlines.map((o): Shape => ({ kind: "path", outlines: [drawn(o, view)], ink }))
      : ways.flatMap((way, i): Shape[] => {
          const places = wayPoints(way);
          const points = places.map(([x, y]): [number, number] => [view.x(x), view.y(y)]);
          if (rim[i]) return through ? [{ kind: "line", points, ink: "erase" }] : [];
          if (!crossed) return [{ kind: "line", points, ink }];
          return places
            .slice(1)
            .flatMap((to, k) => crossedLine(seen.crossing, places[k]!, to, ink, () => [prism.span]));
        });
  // What is cleared goes first, so that it eats into no edge.
  edges.sort((a, b) => Number(isErased(b)) - Number(isErased(a)));
  return [...fill, ...edges, ...(centered && closed && !prism.thread ? crossOf(prism, view) : [])];
}

const isErased = (shape: Shape): boolean => shape.kind === "line" && shape.ink === "erase";

/** A way as points: its ends, an arc in small chords. */
function wayPoints([from, to]: [Outline[number], Outline[number]]): [number, number][] {
  const arc = arcOf(from, to);
  if (!arc)
    return [
      [from.x, from.y],
      [to.x, to.y],
    ];
  const count = Math.max(2, Math.ceil(Math.abs(arc.turn) / 0.15));
  return Array.from({ length: count + 1 }, (_, i) => {
    const angle = arc.from + (arc.turn * i) / count;
    return [arc.x + arc.r * Math.cos(angle), arc.y + arc.r * Math.sin(angle)];
  });
}

/** A thin cross a little past what is round. */
function crossOf({ outline }: Prism, view: View): Shape[] {
  if (!outline.some((corner) => corner.bulge !== 0) || outline.length > 8) return [];
  const { x, y } = extentOfOutline(outline);
  const past = Math.max(x[1] - x[0], y[1] - y[0]) * 0.15;
  const [mx, my] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
  return [
    {
      kind: "line",
      points: [
        [view.x(x[0] - past), view.y(my)],
        [view.x(x[1] + past), view.y(my)],
      ],
      ink: "center",
    },
    {
      kind: "line",
      points: [
        [view.x(mx), view.y(y[0] - past)],
        [view.x(mx), view.y(y[1] + past)],
      ],
      ink: "center",
    },
  ];
}

/** A piece seen across its direction: a line for every edge along it, and its two ends. */
function fromItsSide(seen: Seen): Shape[] {
  const { prism, view, site } = seen;
  const sight = axisOf(view.face);
  const [first] = acrossAxis(prism.axis);
  const deepIsX = first === sight;
  const other = prism.axis === view.across ? view.up : view.across;
  // A point of the view from how far along the piece and how far across it.
  const placed = (along: number, across: number): [number, number] =>
    prism.axis === view.across ? [along, across] : [across, along];
  const at = (along: number, across: number): [number, number] => {
    const [x, y] = placed(along, across);
    return [view.x(x), view.y(y)];
  };
  const size = site.sizes[other];
  const offRim = (c: number) => site.shaft !== null || (c > near && c < size - near);
  const [from, to] = prism.span;
  const shapes: Shape[] = [];
  for (const outline of [prism.outline, ...(prism.island ? [prism.island] : [])]) {
    const extent = extentOfOutline(outline);
    const across = deepIsX ? extent.y : extent.x;
    const deep = deepIsX ? extent.x : extent.y;
    const whole = outline === prism.outline && isRectangle(outline) && passesAll(deep, seen);
    if (whole) shapes.push(...cleared(seen, at, across));
    const edges = edgesAcross(outline, deepIsX, prism.island === undefined, seen);
    const small = prism.inset ?? 0;
    const [start, end] = farFirst(seen) ? [to, from] : [from, to];
    for (const { c, visible, depths } of edges) {
      if (!offRim(c)) continue;
      const ink: Ink = prism.thread ? "hidden" : visible ? "edge" : "hidden";
      const inward = c < (across[0] + across[1]) / 2 ? small : -small;
      shapes.push(
        ...crossedLine(seen.crossing, placed(start, c), placed(end, c + inward), ink, () => depths),
      );
    }
    const visible = edges.some((e) => e.visible);
    for (const end of [from, to]) {
      if (end <= near || end >= site.sizes[prism.axis] - near || prism.thread) continue;
      const shown: Ink = visible ? "edge" : "hidden";
      const narrow = prism.inset !== undefined && end !== start ? prism.inset : 0;
      const depthsAt = (value: number) => spansWithin(outline, deepIsX ? "y" : "x", value);
      shapes.push(
        ...crossedLine(
          seen.crossing,
          placed(end, across[0] + narrow),
          placed(end, across[1] - narrow),
          shown,
          ([x, y]) => depthsAt(prism.axis === view.across ? y : x),
        ),
      );
    }
  }
  return shapes;
}

/** Whether the face a piece is cut from lies at the high end of its direction. */
const farFirst = ({ prism, cutout }: Seen): boolean => cutout.face === facesOf(prism.axis)[1];

const isRectangle = (outline: Outline): boolean => {
  const { x, y } = extentOfOutline(outline);
  return Math.abs(Math.abs(outlineArea(outline)) - (x[1] - x[0]) * (y[1] - y[0])) < near;
};

/** Whether a span along the line of sight goes through the whole part. */
const passesAll = (deep: readonly [number, number], seen: Seen): boolean => {
  const { here, there } = reach(deep, seen);
  return here && there;
};

/** Ground where a piece is cut through to the viewer and out at a side. */
function cleared(
  { prism, site, view }: Seen,
  at: (along: number, across: number) => [number, number],
  across: readonly [number, number],
): Shape[] {
  const [from, to] = prism.span;
  const other = prism.axis === view.across ? view.up : view.across;
  const corners = [at(from, across[0]), at(to, across[0]), at(to, across[1]), at(from, across[1])];
  const path: Outline = corners.map(([x, y]) => ({ x, y, bulge: 0 }));
  const rims: [boolean, number, number][] = [
    [across[0] <= near, 0, 1],
    [to >= site.sizes[prism.axis] - near, 1, 2],
    [across[1] >= site.sizes[other] - near, 2, 3],
    [from <= near, 3, 0],
  ];
  if (!rims.some(([on]) => on)) return [{ kind: "path", outlines: [path], ink: "void" }];
  return [
    { kind: "path", outlines: [path], ink: "ground" },
    ...rims.flatMap(([on, a, b]): Shape[] =>
      on ? [{ kind: "line", points: [corners[a]!, corners[b]!], ink: "erase" }] : [],
    ),
  ];
}

/** Edges along a piece: how far across each lies, and whether nothing stands before it. */
function edgesAcross(outline: Outline, deepIsX: boolean, cleared: boolean, seen: Seen) {
  const acrossOf = (p: { x: number; y: number }) => (deepIsX ? p.y : p.x);
  const deepOf = (p: { x: number; y: number }) => (deepIsX ? p.x : p.y);
  const box = extentOfOutline(outline);
  const ends = deepIsX ? box.y : box.x;
  const points = waysOf(outline).flatMap(([from, to], i) => {
    const arc = arcOf(from, to);
    // Where a way runs smoothly on there is no edge.
    const edge = Math.abs(turnAt(outline, i)) > smooth ? [{ c: acrossOf(from), v: deepOf(from) }] : [];
    if (!arc) return edge;
    // The places where an arc turns back across: its silhouette.
    const center = { c: acrossOf(arc), v: deepOf(arc) };
    const turns = ends.filter((c) => Math.abs(Math.abs(c - center.c) - arc.r) < near);
    return [...edge, ...turns.map((c) => ({ c, v: center.v }))];
  });
  const found = new Map<number, { visible: boolean; depths: number[] }>();
  for (const { c, v } of points) {
    const key = Math.round(c * 1e4) / 1e4;
    const visible = cleared ? inSight(outline, deepIsX, c, v, seen) : reach([v, v], seen).here;
    const before = found.get(key);
    found.set(key, {
      visible: (before?.visible ?? false) || visible,
      depths: [...(before?.depths ?? []), v],
    });
  }
  const walls = waysOf(outline).flatMap(([from, to]) =>
    arcOf(from, to) || Math.abs(acrossOf(from) - acrossOf(to)) > near
      ? []
      : [{ c: acrossOf(from), span: spanOf(deepOf(from), deepOf(to)) }],
  );
  return [...found].map(([c, { visible, depths }]) => {
    const mine = walls.filter((wall) => Math.abs(wall.c - c) < 1e-4).map((wall) => wall.span);
    // An edge at the end of a wall is seen with it.
    const alone = depths.filter((v) => !mine.some(([low, high]) => v >= low - near && v <= high + near));
    return { c, visible, depths: [...mine, ...alone.map((v) => spanOf(v, v))] };
  });
}

const spanOf = (a: number, b: number): readonly [number, number] => [Math.min(a, b), Math.max(a, b)];

/** Whether the way from a point to the viewer leads through what is cut only. */
function inSight(outline: Outline, deepIsX: boolean, c: number, v: number, seen: Seen): boolean {
  const extent = extentOfOutline(outline);
  const [low, high] = deepIsX ? extent.x : extent.y;
  const { here } = reach([low, high], seen);
  if (!here) return false;
  const toHigh = seen.view.face === facesOf(axisOf(seen.view.face))[1];
  return [-1e-3, 1e-3].some((off) =>
    spansWithin(outline, deepIsX ? "y" : "x", c + off).some(
      ([from, to]) => v >= from - 0.01 && v <= to + 0.01 && (toHigh ? to >= high - 0.01 : from <= low + 0.01),
    ),
  );
}
