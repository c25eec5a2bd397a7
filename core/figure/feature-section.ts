import { parallelSpans } from "../holding/index.ts";
import { mm } from "../quantity/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { jointInSection } from "./joint.ts";
import { slabs } from "./slabs.ts";

const bed = 10;

/** How the part is held while features are cut, seen along the jaws, the fixed jaw at the right. */
export function featureSection(
  { seat, device, at, section }: Pick<FeatureSetup, "seat" | "device" | "at" | "section">,
  vise: Vise,
  small: boolean,
): Figure {
  const under = seat.parallels?.height ?? 0;
  const round = device === "vBlocks";
  const block = round ? seat.between * 0.9 : 0;
  const stands = Math.min(seat.standing, 3 * vise.jawDepth);
  const base = round ? Math.max(under, vise.jawDepth - stands * 0.5) : under;
  const jaws = 2 * vise.jawThickness + seat.between + block;
  // Beside the jaws there is room for the figure of the grip, whose text grows with the drawing.
  const margin = small ? 4 : Math.max(30, 9 + 0.22 * jaws);
  const width = jaws + 2 * margin;
  const top = base + stands;
  const height = Math.max(top, vise.jawDepth) + bed + (small ? 10 : 26);
  const zero = height - bed - (small ? 2 : 10);
  const y = (z: number) => zero - z;
  const left = margin + vise.jawThickness + block;
  const right = left + seat.between;
  const text = width * 0.036;
  const shapes: Shape[] = [
    { kind: "rect", x: margin / 2, y: zero, w: width - margin, h: bed, ink: "bed" },
    {
      kind: "rect",
      x: margin,
      y: y(vise.jawDepth),
      w: vise.jawThickness,
      h: vise.jawDepth,
      ink: "movingJaw",
    },
    { kind: "rect", x: right, y: y(vise.jawDepth), w: vise.jawThickness, h: vise.jawDepth, ink: "fixedJaw" },
  ];
  if (seat.parallels)
    for (const x of parallelSpans(seat.parallels, seat.between).map(({ to }) => right - to))
      shapes.push(...slabs(seat.parallels, x, y));
  if (round) {
    shapes.push({
      kind: "rect",
      x: margin + vise.jawThickness,
      y: y(base + stands * 0.7),
      w: block,
      h: base + stands * 0.7,
      ink: "rod",
    });
    shapes.push(
      seat.square
        ? { kind: "rect", x: left, y: y(top), w: seat.between, h: stands, ink: "part", strong: true }
        : {
            kind: "circle",
            x: (left + right) / 2,
            y: y(base + seat.between / 2),
            r: seat.between / 2,
            ink: "part",
          },
    );
  } else {
    shapes.push({ kind: "rect", x: left, y: y(top), w: seat.between, h: stands, ink: "part", strong: true });
    for (const { from, to, depth } of section)
      shapes.push({
        kind: "rect",
        x: right - to,
        y: y(top),
        w: to - from,
        h: Math.min(depth, stands),
        ink: "remove",
      });
    shapes.push(...jointInSection(seat, { left, right, top: y(top), bottom: y(base) }));
  }
  if (!small) {
    shapes.push({
      kind: "dimension",
      from: [right + vise.jawThickness + 6, y(base)],
      to: [right + vise.jawThickness + 6, y(base + seat.grip)],
      value: mm(seat.grip),
      label: "grip",
      size: text,
      side: "right",
    });
    for (const [x, words] of [
      [margin + vise.jawThickness / 2, "moving"],
      [right + vise.jawThickness / 2, "fixed"],
    ] as const)
      shapes.push({
        kind: "text",
        x,
        y: y(vise.jawDepth / 2),
        text: words,
        size: text,
        anchor: "middle",
        ink: "edge",
      });
  }
  return {
    title: `Seen along the jaws: the ${at.up} up, the ${at.fixed} at the fixed jaw${round ? ", in a V-block" : seat.parallels ? ", on parallels" : ", on the bed"}.`,
    width,
    height,
    shapes,
  };
}
