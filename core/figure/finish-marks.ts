import { type Face, faceNames, type Sizes } from "../frame/index.ts";
import type { View } from "./view.ts";
import type { Shape } from "./figure.ts";

/** The view in which a face is seen as an edge, and which edge it is. */
const edges: Record<Face, readonly [view: View["face"], edge: "upper" | "lower" | "left" | "right"]> = {
  top: ["front", "upper"],
  bottom: ["front", "lower"],
  left: ["top", "left"],
  right: ["front", "right"],
  back: ["top", "upper"],
  front: ["top", "lower"],
};

/** The finish asked of a face, as a mark with its Ra standing on the edge the face is seen as. */
export function finishMarks(
  finish: { readonly [F in Face]?: number | null },
  views: readonly View[],
  sizes: Sizes,
  text: number,
): Shape[] {
  return faceNames.flatMap((face): Shape[] => {
    const ra = finish[face];
    if (ra === null || ra === undefined) return [];
    const [of, edge] = edges[face];
    const view = views.find((v) => v.face === of)!;
    const [w, h] = [sizes[view.across], sizes[view.up]];
    // Clear of the sizes typed in the middle of an edge, and of what is most often cut away: the upper corners seen from the front.
    const x =
      edge === "left"
        ? view.x(0)
        : edge === "right"
          ? view.x(w)
          : view.x(w * (edge === "upper" ? 0.75 : 0.1));
    const y =
      edge === "upper"
        ? view.y(h)
        : edge === "lower"
          ? view.y(0)
          : view.y(h * (edge === "left" ? 0.92 : 0.2));
    const s = text * 0.75;
    // The mark stands out from the metal: below an edge and at the left it is turned over.
    const [out, over] = [edge === "left" ? -1 : 1, edge === "lower" ? -1 : 1];
    return [
      {
        kind: "line",
        points: [
          [x - 0.5 * s * out, y - 0.9 * s * over],
          [x, y],
          [x + 0.9 * s * out, y - 1.7 * s * over],
          [x + 3.4 * s * out, y - 1.7 * s * over],
        ],
        ink: "edge",
      },
      {
        kind: "text",
        x: x + 1 * s * out,
        y: y - (over > 0 ? 0.85 : -1.5) * s,
        text: String(ra),
        size: s,
        anchor: out > 0 ? "start" : "end",
        ink: "edge",
      },
    ];
  });
}
