import { type Axis, axisOf, type Face, rectangle, type Sizes } from "../frame/index.ts";
import { type FacePoint, type Motion, moved } from "../stock/index.ts";
import type { Figure, Shape } from "./figure.ts";

type Point = [x: number, y: number];

/**
 * The finished part inside the lump as it is balanced, from above and from the front: the points probed, joined face by face.
 * @param thinnest the face with least to come off: its points are filled
 */
export function balanceView(
  points: readonly FacePoint[],
  motion: Motion,
  finished: Sizes,
  thinnest: Face | null,
): Figure {
  const placed = points.map((p) => ({ face: p.face, at: moved(motion, p.at) }));
  const around = Math.max(
    8,
    ...placed.map(({ face, at }) => {
      const axis = axisOf(face);
      return Math.max(-at[axis], at[axis] - finished[axis]);
    }),
  );
  const room = around * 1.6;
  const r = Math.max(finished.length, finished.width, finished.height) * 0.012;
  const view = (left: number, up: Axis, name: string): Shape[] => {
    const put = (at: Sizes): Point => [left + at.length, room + finished[up] - at[up]];
    const seen = placed.filter(({ face }) => axisOf(face) === "length" || axisOf(face) === up);
    const along = (face: Face): Axis => (axisOf(face) === "length" ? up : "length");
    const faces = [...new Set(seen.map((p) => p.face))];
    return [
      {
        kind: "path",
        outlines: [rectangle([left, left + finished.length], [room, room + finished[up]])],
        ink: "part",
      },
      ...faces.flatMap((face): Shape[] => {
        const mine = seen
          .filter((p) => p.face === face)
          .sort((a, b) => a.at[along(face)] - b.at[along(face)])
          .map((p) => put(p.at));
        return [
          ...(mine.length > 1 ? [{ kind: "line", points: mine, ink: "thin" } as const] : []),
          ...mine.map(([x, y]): Shape => ({
            kind: "circle",
            x,
            y,
            r,
            ink: face === thinnest ? "accent" : "void",
          })),
        ];
      }),
      {
        kind: "text",
        x: left + finished.length / 2,
        y: room + finished[up] / 2,
        text: name,
        size: r * 4,
        anchor: "middle",
        ink: "thin",
      },
    ];
  };
  return {
    title: "The finished part in the blank, from above and from the front, with the points probed.",
    width: 2 * finished.length + 4 * room,
    height: Math.max(finished.width, finished.height) + 2 * room,
    shapes: [
      ...view(room, "width", "from above"),
      ...view(3 * room + finished.length, "height", "from the front"),
    ],
  };
}
