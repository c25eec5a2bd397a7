import type { Face, Orientation } from "../frame/index.ts";
import { downOf } from "../frame/index.ts";
import { wordsFor } from "../handbook/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Figure, Shape } from "./figure.ts";

const cell = 20;
const gap = 1;
/** The six faces unfolded in a cross around the top: column and row. */
const places: Record<Face, [column: number, row: number]> = {
  back: [1, 0],
  left: [0, 1],
  top: [1, 1],
  right: [2, 1],
  bottom: [3, 1],
  front: [1, 2],
};

/**
 * Face net: fill says the condition, the number stamped on a face is the order of cutting, marks show the references.
 * @param marks lines written small at the foot of a face
 */
export function faceNet(
  piece: Piece,
  at: Orientation | null,
  marks: Partial<Record<Face, readonly string[]>> = {},
): Figure {
  const shapes: Shape[] = [];
  for (const face of Object.keys(places) as Face[]) {
    const [column, row] = places[face];
    const x = 2 + column * (cell + gap);
    const y = 2 + row * (cell + gap);
    const state = piece.faces[face];
    shapes.push({
      kind: "rect",
      x,
      y,
      w: cell,
      h: cell,
      ink: `face-${state.condition}`,
      strong: at?.up === face,
    });
    if (state.order !== null) {
      shapes.push({
        kind: "text",
        x: x + cell / 2,
        y: y + cell * (marks[face] ? 0.62 : 0.76),
        text: String(state.order),
        size: cell * (marks[face] ? 0.36 : 0.5),
        anchor: "middle",
        ink: at?.up === face ? "accent" : "edge",
        bold: true,
      });
    }
    if (state.order !== null && !state.clean) {
      shapes.push({
        kind: "text",
        x: x + cell / 2,
        y: y + cell - 1.2,
        text: "not clean",
        size: 3.8,
        anchor: "middle",
        ink: "edge",
      });
    } else {
      shapes.push({
        kind: "text",
        x: x + cell / 2,
        y: y + 6,
        text: face,
        size: 5.6,
        anchor: "middle",
        ink: "edge",
      });
    }
    (marks[face] ?? []).forEach((text, i, all) =>
      shapes.push({
        kind: "text",
        x: x + cell / 2,
        y: y + cell - 1 - (all.length - 1 - i) * 2.9,
        text,
        size: 2.6,
        anchor: "middle",
        ink: "edge",
      }),
    );
    // The face at the fixed jaw carries a bar at its side, the face below a bar at its foot.
    if (at && face === at.fixed)
      shapes.push({ kind: "rect", x: x + cell - 2.4, y: y + 8, w: 2.4, h: cell - 8, ink: "accent" });
    if (at && face === downOf(at))
      shapes.push({ kind: "rect", x, y: y + cell - 2.4, w: cell, h: 2.4, ink: "accent" });
  }
  const told = (Object.keys(places) as Face[]).map((face) => {
    const state = piece.faces[face];
    return `${face} ${state.order !== null ? `cut ${state.order}` : wordsFor.faceCondition[state.condition]}`;
  });
  return {
    title: `Face net: ${told.join(", ")}.`,
    width: 4 * (cell + gap) + 4,
    height: 3 * (cell + gap) + 4,
    shapes,
  };
}
