import { type Axis, axisOf } from "../frame/index.ts";
import type { View } from "./cutout-views.ts";
import type { Shape } from "./figure.ts";

/** A place that is dimensioned: along a size, from where it counts to the middle of the feature; mm from the low face. */
export interface PlacedAlong {
  axis: Axis;
  from: number;
  to: number;
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
