import type { Shape } from "./figure.ts";

/** The axis of the spindle seen from above, as a cross with arms this long. */
export const axisCross = (x: number, y: number, arm: number): Shape[] => [
  {
    kind: "line",
    points: [
      [x - arm, y],
      [x + arm, y],
    ],
    ink: "center",
  },
  {
    kind: "line",
    points: [
      [x, y - arm],
      [x, y + arm],
    ],
    ink: "center",
  },
];
