import { type Axis, axisOf, type Face, type Sizes } from "../frame/index.ts";
import type { Cutout, Site } from "../part/index.ts";
import { mm } from "../quantity/index.ts";
import type { DrawnCutout } from "./drawn-cutouts.ts";
import { cutoutInView, type View } from "./cutout-views.ts";
import { partInView } from "./part-views.ts";
import { placeDimensions, type PlacedAlong } from "./place-dimensions.ts";
import type { Figure, Shape } from "./figure.ts";

/** Where the entry field of a size stands, as shares of the figure's width and height. */
export type EntryPlaces = Record<Axis, { x: number; y: number }>;

/**
 * Top, front and right view of a part to scale, with dimension lines; the texts are entry fields put in by the app.
 * What is cut into it is drawn in all three, hidden where it is hidden; every shape of it names its feature.
 * @param site sizes in mm; one not yet known is drawn at a usual proportion and marked by the app
 * @param dimensioned the feature whose place is dimensioned in the view of its face
 */
export function threeViews(
  site: Site,
  cutouts: readonly DrawnCutout[] = [],
  dimensioned: { face: Face; places: readonly PlacedAlong[] } | null = null,
): {
  figure: Figure;
  entries: EntryPlaces;
  views: readonly View[];
  placed: { axis: Axis; x: number; y: number }[];
} {
  const { length, width, height } = site.sizes;
  const unit = Math.max(length + width, width + height) / 100;
  const gap = 22 * unit;
  const rise = 15 * unit;
  const left = (site.shaft ? 6 : 26) * unit;
  const top = 6 * unit;
  const figureWidth = left + length + gap + width + 4 * unit;
  const figureHeight = top + width + rise + height + 12 * unit;
  const frontTop = top + width + rise;
  const text = 3.6 * unit;
  const label = (x: number, y: number, words: string): Shape => ({
    kind: "text",
    x,
    y,
    text: words,
    size: text,
    anchor: "start",
    ink: "thin",
  });
  const lengthY = frontTop + height + 8 * unit;
  const sideX = left - 13 * unit;
  const rightX = left + length + gap;
  const views: View[] = [
    {
      face: "top",
      across: "length",
      up: "width",
      x: (l) => left + l,
      y: (w) => top + width - w,
      beyond: left + length,
    },
    {
      face: "front",
      across: "length",
      up: "height",
      x: (l) => left + l,
      y: (h) => frontTop + height - h,
      beyond: left + length,
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
  const outsideSize = (level: boolean, low: number, high: number, edge: number, at: number): Shape[] => {
    const put = (along: number, across: number): [number, number] =>
      level ? [along, across] : [across, along];
    const away = Math.sign(at - edge) * unit;
    const thin = (end: number): Shape => ({
      kind: "line",
      points: [put(end, edge + 1.5 * away), put(end, at + 2 * away)],
      ink: "thin",
    });
    return [
      { kind: "line", points: [put(low, at), put(high, at)], ink: "dimension", arrow: true },
      thin(low),
      thin(high),
    ];
  };
  const outside = [
    ...outsideSize(true, left, left + length, frontTop + height, lengthY),
    ...outsideSize(false, top, top + width, left, sideX),
    ...outsideSize(false, frontTop, frontTop + height, left, sideX),
  ];
  const shapes: Shape[] = [
    ...views.flatMap((view) => partInView(view, site)),
    ...views.flatMap((view) =>
      cutouts.flatMap(({ cutout, id }) => [
        ...cutoutInView(cutout, view, site).map((shape) => ({ ...shape, of: id })),
        touchOf(cutout, view, id, unit),
      ]),
    ),
    ...namesOf(cutouts, views, site, text),
    label(left, top - 2 * unit, "top"),
    label(left, frontTop - 2 * unit, "front"),
    label(rightX, frontTop - 2 * unit, "right"),
    ...(site.shaft ? shaftDimensions(site, views[1]!, text, lengthY) : outside),
  ];
  const dimensionedIn = views.find((v) => dimensioned && axisOf(v.face) === axisOf(dimensioned.face));
  const places =
    dimensioned && dimensionedIn ? placeDimensions(dimensionedIn, dimensioned.places, unit) : null;
  shapes.push(...(places?.shapes ?? []));
  const at = (x: number, y: number) => ({ x: x / figureWidth, y: y / figureHeight });
  return {
    figure: {
      title: `Three views of the ${site.shaft ? "shaft" : "block"} to scale: top, front and right.`,
      width: figureWidth,
      height: figureHeight,
      shapes,
    },
    entries: {
      length: at(left + length / 2, lengthY),
      width: at(sideX, top + width / 2),
      height: at(sideX, frontTop + height / 2),
    },
    views,
    placed: (places?.at ?? []).map(({ axis, x, y }) => ({ axis, ...at(x, y) })),
  };
}

/** Where a pointer finds a feature in a view. */
function touchOf({ box }: Cutout, view: View, of: string, unit: number): Shape {
  const [left, right] = box[view.across];
  const [low, high] = box[view.up];
  const [x, y] = [view.x(left), view.y(high)];
  const least = 2 * unit;
  const [w, h] = [Math.max(right - left, least), Math.max(high - low, least)];
  return { kind: "rect", x, y, w, h, ink: "touch", of };
}

/** Names of the features in the views of their faces, each where it covers none before it. */
function namesOf(cutouts: readonly DrawnCutout[], views: readonly View[], site: Site, text: number): Shape[] {
  const put: { left: number; right: number; y: number }[] = [];
  return cutouts.flatMap(({ cutout, name, id }): Shape[] => {
    const view = views.find((v) => axisOf(v.face) === axisOf(cutout.face));
    if (!view) return [];
    const [across, up] = [cutout.box[view.across], cutout.box[view.up]];
    const long = text * 0.45 * name.length;
    // Beside it, above its top where there is no room to the right.
    const room = site.sizes[view.across] - across[1];
    const within = room < long * 1.1;
    const x = view.x(across[1]) + (within ? -text * 0.3 : text * 0.3);
    let y = view.y(up[1]) + (within && room > 1e-6 ? -text * 0.3 : text * 0.9);
    const [left, right] = within ? [x - long, x] : [x, x + long];
    while (put.some((p) => p.left < right && left < p.right && Math.abs(p.y - y) < text * 0.85))
      y += text * 0.9;
    put.push({ left, right, y });
    return [
      {
        kind: "text",
        x,
        y,
        text: name,
        size: text * 0.8,
        anchor: within ? "end" : "start",
        ink: "accent",
        of: id,
      },
    ];
  });
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
