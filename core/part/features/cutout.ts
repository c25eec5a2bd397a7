import {
  type Axis,
  axesAcross,
  axisNames,
  axisOf,
  extentOfOutline,
  type Face,
  facesOf,
  inOutline,
  mapOutline,
  type Outline,
  polygon,
  type Sizes,
  swappedOutline,
} from "../../frame/index.ts";
import type { Mm } from "../../quantity/index.ts";
import { type Site, surfaceOf } from "./site.ts";

export type Span = readonly [low: Mm, high: Mm];
export type Box = Record<Axis, Span>;

/** One straight-sided piece of what is taken out: an outline swept along an axis of the part, mm. */
export interface Prism {
  axis: Axis;
  /** Over the two other axes in the order length, width, height. */
  outline: Outline;
  span: Span;
  /** Left standing within it. */
  island?: Outline;
  /** How much smaller a circle is at its far end from the face: a countersink. */
  inset?: Mm;
  /** The ridge of a thread: drawn, not cleared. */
  thread?: true;
}

/** What a feature takes out of a part. */
export interface Cutout {
  face: Face;
  prisms: readonly Prism[];
  /** Around all of it. */
  box: Box;
  /** Faces it opens to besides its own. */
  opens: readonly Face[];
}

/** A span about a middle. */
export const span = (middle: Mm, width: Mm): Span => [middle - width / 2, middle + width / 2];

/** The two axes across another, in their order. */
export const acrossAxis = (axis: Axis): readonly [Axis, Axis] => axesAcross(facesOf(axis)[0]);

export function boxOfPrism({ axis, outline, span: along }: Prism): Box {
  const [a, b] = acrossAxis(axis);
  const extent = extentOfOutline(outline);
  return { [axis]: along, [a]: extent.x, [b]: extent.y } as Box;
}

/** Whether a prism took a place of the part out. What narrows, or is only drawn, counts as standing. */
export function inPrism(prism: Prism, at: Sizes): boolean {
  if (prism.inset !== undefined || prism.thread) return false;
  const along = at[prism.axis];
  if (along < prism.span[0] || along > prism.span[1]) return false;
  const [a, b] = acrossAxis(prism.axis);
  const { x, y } = extentOfOutline(prism.outline);
  if (at[a] < x[0] || at[a] > x[1] || at[b] < y[0] || at[b] > y[1]) return false;
  return inOutline(prism.outline, at[a], at[b]) && !(prism.island && inOutline(prism.island, at[a], at[b]));
}

/** The whole of what is taken out, from its pieces; null for none. */
export function cutoutFrom(face: Face, prisms: readonly Prism[], { sizes }: Site): Cutout | null {
  const boxes = prisms.map(boxOfPrism);
  if (boxes.length === 0) return null;
  const box = Object.fromEntries(
    axisNames.map((axis) => [
      axis,
      [Math.min(...boxes.map((b) => b[axis][0])), Math.max(...boxes.map((b) => b[axis][1]))],
    ]),
  ) as unknown as Box;
  const opens = axisNames.flatMap((axis) => {
    const [low, high] = facesOf(axis);
    return [...(box[axis][0] <= 1e-6 ? [low] : []), ...(box[axis][1] >= sizes[axis] - 1e-6 ? [high] : [])];
  });
  return { face, prisms, box, opens: opens.filter((f) => f !== face) };
}

/**
 * An outline drawn as one looks along a groove, put into the part: x counts across it, y down from the face.
 * @param along the axis the groove runs along
 * @param at the place along a shaft whose crown it counts from
 */
export function profile(site: Site, face: Face, along: Axis, drawn: Outline, at: Mm | null = null): Outline {
  const deep = axisOf(face);
  const [a] = acrossAxis(along);
  const surface = surfaceOf(site, face, at);
  const down = face === facesOf(deep)[0] ? 1 : -1;
  const put = mapOutline(drawn, (x, y) => [x, surface + down * y], down < 0);
  return a === deep ? swappedOutline(put) : put;
}

/** The wedge along the whole edge between a face and a side: so far in along the face, so far down the side. */
export function wedgeAlong(face: Face, side: Face, inward: Mm, down: Mm, site: Site): Prism {
  const across = axisOf(side);
  const along = axesAcross(face).find((a) => a !== across)!;
  const size = site.sizes[across];
  const [edge, to] = side === facesOf(across)[0] ? [0, inward] : [size, size - inward];
  const outline = polygon([
    [edge, 0],
    [to, 0],
    [edge, down],
  ]);
  return { axis: along, outline: profile(site, face, along, outline), span: [0, site.sizes[along]] };
}

/** The size across a groove on a face. */
export const acrossGroove = (face: Face, along: Axis): Axis => axesAcross(face).find((a) => a !== along)!;

/** How deep a cutout goes below its face, mm. */
export const depthOf = ({ face, box }: Cutout): Mm => box[axisOf(face)][1] - box[axisOf(face)][0];

/** An outline along x with one round end, as an end mill leaves it: open at its low or its high end. */
export function openAt(end: "low" | "high", [low, high]: Span, [front, back]: Span): Outline {
  const r = (back - front) / 2;
  return end === "low"
    ? [
        { x: low, y: front, bulge: 0 },
        { x: high - r, y: front, bulge: 1 },
        { x: high - r, y: back, bulge: 0 },
        { x: low, y: back, bulge: 0 },
      ]
    : [
        { x: high, y: back, bulge: 0 },
        { x: low + r, y: back, bulge: 1 },
        { x: low + r, y: front, bulge: 0 },
        { x: high, y: front, bulge: 0 },
      ];
}

/** Places of a prism are asked about in so many rows each way. */
const rows = 7;
const inRows = ([low, high]: readonly [Mm, Mm]): Mm[] =>
  Array.from({ length: rows }, (_, i) => low + ((high - low) * (i + 0.5)) / rows);

/** Places spread over what a prism takes out; a part left standing in it is left aside. */
function* placesIn({ axis, outline, span, island }: Prism): Generator<Sizes> {
  const [a, b] = acrossAxis(axis);
  const { x, y } = extentOfOutline(outline);
  for (const u of inRows(x))
    for (const v of inRows(y)) {
      if (!inOutline(outline, u, v) || (island && inOutline(island, u, v))) continue;
      for (const w of inRows(span)) yield { [a]: u, [b]: v, [axis]: w } as Sizes;
    }
}

/** Whether a cutout takes out all of a piece of metal. */
export function takesAll(other: Cutout, prism: Prism): boolean {
  for (const place of placesIn(prism)) if (!other.prisms.some((p) => inPrism(p, place))) return false;
  return true;
}
