import { type Setup, sideCut, travelOf } from "../route/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Figure, Shape } from "./figure.ts";

/** The cut seen from the front (an end: from above): which way the cutter travels against the table (M16). */
export function cutDirection(setup: Setup, vise: Pick<Vise, "fixedJaw">): Figure {
  const side = setup.cut.kind === "side";
  const along = sideCut(setup, vise);
  const { travel } = travelOf(setup, vise);
  const toLeft = travel === "left" || travel === "front";
  const other = { left: "right", right: "left", back: "front", front: "back" }[travel];
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
    { kind: "rect", x: toLeft ? 54 : 24, y: 18, w: 22, h: 15, ink: "cutter" },
    {
      kind: "line",
      points: [
        [50, 25],
        [toLeft ? 24 : 76, 25],
      ],
      ink: "accent",
      arrow: true,
    },
    {
      kind: "text",
      x: 50,
      y: 70,
      text: side
        ? `seen from above: the cutter passes along the ${along ? `${along} side` : "end"} to the ${travel}`
        : `seen from the front: table moves ${other}, cutter travels ${travel}`,
      size: 4,
      anchor: "middle",
      ink: "thin",
    },
  ];
  return {
    title: side
      ? `The cutter passes along the ${along ? `${along} side` : "end"} to the ${travel}.`
      : `The table moves ${other}, so the cutter travels ${travel} over the face.`,
    width: 100,
    height: 74,
    shapes,
  };
}
