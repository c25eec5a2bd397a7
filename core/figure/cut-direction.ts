import type { Setup } from "../route/index.ts";
import type { Figure, Shape } from "./figure.ts";

/** The cut seen from the front: cutter over the face, which way it travels against the table. */
export function cutDirection(setup: Setup): Figure {
  const side = setup.cut.kind === "side";
  const shapes: Shape[] = [
    { kind: "rect", x: 10, y: 30, w: 80, h: 5, ink: "remove" },
    { kind: "rect", x: 10, y: 35, w: 80, h: 26, ink: "part", strong: true },
    {
      kind: "text",
      x: 50,
      y: 52,
      text: String(setup.number),
      size: 10,
      anchor: "middle",
      ink: "edge",
      bold: true,
    },
    { kind: "rect", x: 24, y: 18, w: 22, h: 15, ink: "cutter" },
    {
      kind: "line",
      points: [
        [50, 25],
        [76, 25],
      ],
      ink: "accent",
      arrow: true,
    },
    {
      kind: "text",
      x: 50,
      y: 70,
      text: side
        ? "seen from above: the cutter passes along the end"
        : "seen from the front: table moves left, cutter travels right",
      size: 4,
      anchor: "middle",
      ink: "thin",
    },
  ];
  return {
    title: side
      ? "The cutter passes along the end."
      : "The table moves left, so the cutter travels right over the face.",
    width: 100,
    height: 74,
    shapes,
  };
}
