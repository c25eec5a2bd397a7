import { type Axis, axisOf, type Face, type Sizes } from "../frame/index.ts";
import type { Cutout, Site } from "../part/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { balloonsOf } from "./balloons.ts";
import { finishMarks } from "./finish-marks.ts";
import type { DrawnCutout } from "./drawn-cutouts.ts";
import { cutoutInView } from "./cutout-views.ts";
import type { View } from "./view.ts";
import { partInView } from "./part-views.ts";
import { placeDimensions, type PlacedAlong, stackStep } from "./place-dimensions.ts";
import type { Figure, Shape } from "./figure.ts";

/** Where the entry field of a size stands, as shares of the figure's width and height. */
export type EntryPlaces = Record<Axis, { x: number; y: number }>;

/** Which way the views are folded out: third angle puts each view at the side it is seen from, first angle beyond the part. */
export const projectionAngles = ["third", "first"] as const;
export type ProjectionAngle = (typeof projectionAngles)[number];

/** A feature with the places it is dimensioned at. */
interface Placed {
  id?: string;
  face: Face;
  places: readonly PlacedAlong[];
}

/** What the views show beside the part. */
export interface ViewsShown {
  /** Third where nothing is said. */
  angle?: ProjectionAngle;
  /** The feature whose place is dimensioned with room for entry fields, in the view of its face. */
  open?: { face: Face; places: readonly PlacedAlong[] } | null;
  /** Features whose places are dimensioned with their figures; a press of one leads to its feature. */
  dimensioned?: readonly { id: string; face: Face; places: readonly PlacedAlong[] }[];
  /** Outside sizes written at their dimension lines, mm; where none are given there is room for entry fields. */
  outside?: Partial<Record<Axis, Mm>>;
  /** Surface finish asked for, Ra in µm, by face. */
  finish?: Partial<Record<Face, number | null>>;
}

/**
 * Top, front and right view of a part to scale, with dimension lines; the texts are entry fields put in by the app.
 * What is cut into it is drawn in all three, hidden where it is hidden; every shape of it names its feature.
 * @param site sizes in mm; one not yet known is drawn at a usual proportion and marked by the app
 */
export function threeViews(
  site: Site,
  cutouts: readonly DrawnCutout[] = [],
  { angle = "third", open = null, dimensioned = [], outside: written = {}, finish = {} }: ViewsShown = {},
): {
  figure: Figure;
  entries: EntryPlaces;
  views: readonly View[];
  placed: { axis: Axis; x: number; y: number }[];
} {
  const { length, width, height } = site.sizes;
  const unit = Math.max(length + width, width + height) / 100;
  const text = 3.6 * unit;
  const third = angle === "third";
  const all: readonly Placed[] = [...(open ? [open] : []), ...dimensioned];
  // Dimension lines stack under and beside the view of their face; the views move apart to let them.
  const levels = (face: View["face"], axis: Axis) =>
    all.filter((d) => axisOf(d.face) === axisOf(face)).flatMap((d) => d.places.filter((p) => p.axis === axis))
      .length;
  const below = (face: View["face"], across: Axis) =>
    stackStep.level * Math.max(0, levels(face, across) - 1) * unit;
  const rise = 17 * unit + below(third ? "top" : "front", "length");
  const between = third
    ? Math.max(levels("front", "height"), levels("top", "width"))
    : levels("right", "height");
  const gap = 22 * unit + stackStep.upright * Math.max(0, between - 1) * unit;
  const left = (site.shaft ? 6 : 26) * unit;
  const top = 6 * unit;
  const [upperHigh, lowerHigh] = third ? [width, height] : [height, width];
  const lowerTop = top + upperHigh + rise;
  const [frontTop, topTop] = third ? [lowerTop, top] : [top, lowerTop];
  const mainX = third ? left : left + width + gap;
  const rightX = third ? left + length + gap : left;
  const lowest = lowerTop + lowerHigh;
  // What stands beside the view furthest right: its dimension lines, and the figure of the last.
  const last = third
    ? levels("right", "height")
    : Math.max(levels("front", "height"), levels("top", "width"));
  const beyond = last > 0 ? (4 + stackStep.upright * last) * unit : 0;
  const figureWidth = left + length + gap + width + 4 * unit + beyond;
  const lengthY = lowest + 8 * unit + (third ? below("front", "length") : below("top", "length"));
  const figureHeight = Math.max(
    lengthY + 4 * unit,
    frontTop + height + (8 + stackStep.level * levels("right", "width")) * unit,
  );
  const label = (x: number, y: number, words: string): Shape => ({
    kind: "text",
    x,
    y,
    text: words,
    size: text,
    anchor: "start",
    ink: "thin",
  });
  const views: View[] = [
    {
      face: "top",
      across: "length",
      up: "width",
      x: (l) => mainX + l,
      y: (w) => topTop + width - w,
      beyond: mainX + length,
    },
    {
      face: "front",
      across: "length",
      up: "height",
      x: (l) => mainX + l,
      y: (h) => frontTop + height - h,
      beyond: mainX + length,
    },
    {
      face: "right",
      across: "width",
      up: "height",
      x: (w) => rightX + w,
      y: (h) => frontTop + height - h,
      beyond: rightX + width,
    },
  ];
  // A dimension line with its two thin lines out from the view: level below it, upright at its left.
  const outsideSize = (axis: Axis, low: number, high: number, edge: number, at: number): Shape[] => {
    const level = axis === "length";
    const put = (along: number, across: number): [number, number] =>
      level ? [along, across] : [across, along];
    const away = Math.sign(at - edge) * unit;
    const thin = (end: number): Shape => ({
      kind: "line",
      points: [put(end, edge + 1.5 * away), put(end, at + 2 * away)],
      ink: "thin",
    });
    const value = written[axis];
    return [
      value === undefined
        ? { kind: "line", points: [put(low, at), put(high, at)], ink: "dimension", arrow: true }
        : {
            kind: "dimension",
            from: put(low, at),
            to: put(high, at),
            value: mm(value),
            label: "",
            size: text,
            side: level ? "below" : "left",
          },
      thin(low),
      thin(high),
    ];
  };
  const widthX = mainX - 13 * unit;
  const heightX = left - 13 * unit;
  const outside = [
    ...outsideSize("length", mainX, mainX + length, lowest, lengthY),
    ...outsideSize("width", topTop, topTop + width, mainX, widthX),
    ...outsideSize("height", frontTop, frontTop + height, left, heightX),
  ];
  const cut = cutouts.map(({ cutout }) => cutout);
  const inViews = views.flatMap((view) =>
    cutouts.flatMap(({ cutout, id }) =>
      cutoutInView(cutout, view, site, cut).map((shape) => ({ ...shape, of: id })),
    ),
  );
  const shapes: Shape[] = [
    ...views.flatMap((view) => partInView(view, site)),
    // What clears comes before every line, so that no feature wipes out the edge of another.
    ...inViews.filter(clears),
    ...inViews.filter((shape) => !clears(shape)),
    ...views.flatMap((view) => cutouts.map(({ cutout, id }) => touchOf(cutout, view, id, unit))),
    ...balloonsOf(cutouts, views, site, text),
    ...finishMarks(finish, views, site.sizes, text),
    label(mainX, topTop - 2 * unit, "top"),
    label(mainX, frontTop - 2 * unit, "front"),
    label(rightX, frontTop - 2 * unit, "right"),
    ...(site.shaft ? shaftDimensions(site, views[1]!, text, lengthY) : outside),
  ];
  const placed = views.map((view) => {
    const inView = (of: readonly Placed[], typed: boolean) =>
      of
        .filter((d) => axisOf(d.face) === axisOf(view.face))
        .flatMap((d) =>
          d.places.map((place) => ({ ...place, typed, ...(d.id === undefined ? {} : { of: d.id }) })),
        );
    return placeDimensions(
      view,
      [...inView(open ? [open] : [], true), ...inView([...dimensioned], false)],
      unit,
    );
  });
  shapes.push(...placed.flatMap((p) => p.shapes));
  const at = (x: number, y: number) => ({ x: x / figureWidth, y: y / figureHeight });
  return {
    figure: {
      title: `Three views of the ${site.shaft ? "shaft" : "block"} to scale, ${angle} angle: top, front and right.`,
      width: figureWidth,
      height: figureHeight,
      shapes,
    },
    entries: {
      length: at(mainX + length / 2, lengthY),
      width: at(widthX, topTop + width / 2),
      height: at(heightX, frontTop + height / 2),
    },
    views,
    placed: placed.flatMap((p) => p.at).map(({ axis, x, y }) => ({ axis, ...at(x, y) })),
  };
}

const clears = (shape: Shape): boolean =>
  (shape.kind === "path" && (shape.ink === "ground" || shape.ink === "void")) ||
  (shape.kind === "line" && shape.ink === "erase");

/** Where a pointer finds a feature in a view. */
function touchOf({ box }: Cutout, view: View, of: string, unit: number): Shape {
  const [left, right] = box[view.across];
  const [low, high] = box[view.up];
  const [x, y] = [view.x(left), view.y(high)];
  const least = 2 * unit;
  const [w, h] = [Math.max(right - left, least), Math.max(high - low, least)];
  return { kind: "rect", x, y, w, h, ink: "touch", of };
}

/** Length and diameter of every section of a shaft, under and over its front view. */
function shaftDimensions({ shaft, sizes }: Site, view: View, size: number, y: number): Shape[] {
  const middle = sizes.height / 2;
  return shaft!.flatMap(({ diameter, from, to }): Shape[] => [
    {
      kind: "dimension",
      from: [view.x(from), y],
      to: [view.x(to), y],
      value: mm(to - from),
      label: "",
      size: size * 0.8,
      side: "below",
    },
    {
      kind: "dimension",
      from: [view.x(to) - size * 1.2, view.y(middle - diameter / 2)],
      to: [view.x(to) - size * 1.2, view.y(middle + diameter / 2)],
      value: mm(diameter),
      label: "dia",
      size: size * 0.8,
      side: "left",
    },
  ]);
}

/** The place of the part that lies under a point of the three views; null beside them. Coordinates from the low faces, mm. */
export function viewPoint(
  views: readonly View[],
  sizes: Sizes,
  x: number,
  y: number,
): { face: View["face"]; at: Sizes } | null {
  for (const { face, across, up, x: putX, y: putY } of views) {
    const along = x - putX(0);
    const high = putY(0) - y;
    if (along < 0 || along > sizes[across] || high < 0 || high > sizes[up]) continue;
    return { face, at: { length: 0, width: 0, height: 0, [across]: along, [up]: high } };
  }
  return null;
}
