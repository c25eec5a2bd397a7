import { type Axis, axisOf } from "../frame/index.ts";
import type { View } from "./cutout-views.ts";
import { mm } from "../quantity/index.ts";
import type { Shape } from "./figure.ts";

/** A place that is dimensioned: along a size, from where it counts to the middle of the feature; mm from the low face. */
export interface PlacedAlong {
  axis: Axis;
  from: number;
  to: number;
}

/** How far dimension lines stand apart that lie one beyond the other: level ones below a view, upright ones beside it; hundredths of the drawing. */
export const stackStep = { level: 5.5, upright: 9 };

/**
 * The places of features that are not open, each with its figure, one beyond the other.
 * @param before places that stand nearest the view already, with room for what is typed there
 */
export function figuredPlaces(
  view: View,
  places: readonly PlacedAlong[],
  unit: number,
  before: readonly PlacedAlong[],
): Shape[] {
  const used = { level: 0, upright: 0 };
  for (const { axis } of before) used[axis === view.across ? "level" : "upright"]++;
  return places.flatMap(({ axis, from, to }): Shape[] => {
    if (axis === axisOf(view.face) || from === to) return [];
    const flat = axis === view.across;
    const k = used[flat ? "level" : "upright"]++;
    const [a, b] = flat ? [view.x(from), view.x(to)] : [view.y(from), view.y(to)];
    const off =
      (flat ? view.y(0) + 4.5 * unit : view.beyond + 4.5 * unit) +
      k * stackStep[flat ? "level" : "upright"] * unit;
    const put = (along: number): [number, number] => (flat ? [along, off] : [off, along]);
    const [low, high] = a < b ? [a, b] : [b, a];
    return [
      {
        kind: "dimension",
        from: put(low),
        to: put(high),
        value: mm(Math.abs(to - from)),
        label: "",
        size: 2.6 * unit,
        side: flat ? "below" : "right",
      },
      ...[low, high].map((end): Shape => ({
        kind: "line",
        points: flat
          ? [
              [end, view.y(0) + unit],
              [end, off + unit],
            ]
          : [
              [view.beyond + unit, end],
              [off + unit, end],
            ],
        ink: "thin",
      })),
    ];
  });
}

/**
 * Dimension lines of a feature's place in the view of its face, and where the text of each stands.
 * @param unit a hundredth of the drawing, mm
 */
export function placeDimensions(
  view: View,
  places: readonly PlacedAlong[],
  unit: number,
): { shapes: Shape[]; at: { axis: Axis; x: number; y: number }[] } {
  const shapes: Shape[] = [];
  const at: { axis: Axis; x: number; y: number }[] = [];
  for (const { axis, from, to } of places) {
    if (axis === axisOf(view.face)) continue;
    const flat = axis === view.across;
    const [a, b] = flat ? [view.x(from), view.x(to)] : [view.y(from), view.y(to)];
    const beside = flat ? view.y(0) + 5 * unit : view.beyond + 6 * unit;
    const point = (along: number, off: number): [number, number] =>
      flat ? [along, beside + off] : [beside + off, along];
    shapes.push(
      { kind: "line", points: [point(a, 0), point(b, 0)], ink: "dimension", arrow: true },
      ...[a, b].map((end): Shape => ({
        kind: "line",
        points: [point(end, -4 * unit), point(end, 1 * unit)],
        ink: "thin",
      })),
    );
    const [x, y] = point((a + b) / 2, 0);
    at.push({ axis, x, y });
  }
  return { shapes, at };
}
