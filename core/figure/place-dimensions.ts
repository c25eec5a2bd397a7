import { type Axis, axisOf } from "../frame/index.ts";
import type { View } from "./view.ts";
import { mm } from "../quantity/index.ts";
import type { Shape } from "./figure.ts";

/** A place that is dimensioned: along a size, from where it counts to the middle of the feature; mm from the low face. */
export interface PlacedAlong {
  axis: Axis;
  from: number;
  to: number;
}

/** Level dimension lines below a view and upright ones beside it: how far off the first lies, and each beyond it; hundredths of the drawing. */
const first = { level: 7, upright: 6 };
export const stackStep = { level: 5.5, upright: 9 };

/**
 * Dimension lines of places in the view of their face, one beyond the other: with its figure, or with room for what is typed there.
 * @param unit a hundredth of the drawing, mm
 * @returns the shapes, and where the text of each typed one stands
 */
export function placeDimensions(
  view: View,
  places: readonly (PlacedAlong & { typed: boolean; of?: string })[],
  unit: number,
): { shapes: Shape[]; at: { axis: Axis; x: number; y: number }[] } {
  const shapes: Shape[] = [];
  const at: { axis: Axis; x: number; y: number }[] = [];
  const used = { level: 0, upright: 0 };
  for (const { axis, from, to, typed, of } of places) {
    if (axis === axisOf(view.face) || (from === to && !typed)) continue;
    const lies = axis === view.across ? "level" : "upright";
    const [a, b, edge] =
      lies === "level" ? [view.x(from), view.x(to), view.y(0)] : [view.y(from), view.y(to), view.beyond];
    const off = edge + (first[lies] + used[lies]++ * stackStep[lies]) * unit;
    const point = (along: number, beside: number): [number, number] =>
      lies === "level" ? [along, beside] : [beside, along];
    const [low, high] = [point(Math.min(a, b), off), point(Math.max(a, b), off)];
    const mine = of === undefined ? {} : { of };
    shapes.push(
      typed
        ? { kind: "line", points: [point(a, off), point(b, off)], ink: "dimension", arrow: true }
        : {
            kind: "dimension",
            from: low,
            to: high,
            value: mm(Math.abs(to - from)),
            label: "",
            size: 2.6 * unit,
            side: lies === "level" ? "below" : "right",
            ...mine,
          },
      ...[a, b].map((end): Shape => ({
        kind: "line",
        points: [point(end, edge + unit), point(end, off + unit)],
        ink: "thin",
      })),
    );
    const [x, y] = point((a + b) / 2, off);
    if (typed) at.push({ axis, x, y });
  }
  return { shapes, at };
}
