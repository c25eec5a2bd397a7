import {
  type Axis,
  axisOf,
  extentOfOutline,
  type Face,
  facesOf,
  mapOutline,
  rectangle,
} from "../frame/index.ts";
import type { Site } from "../part/index.ts";
import { type LengthUnit, type Mm, toMm } from "../quantity/index.ts";
import type { DrawnCutout } from "./drawn-cutouts.ts";
import type { Figure, Shape } from "./figure.ts";

/** How a face is seen from outside: the size to the right and the size up, and whether either runs the other way. */
const seen: Record<Face, { across: Axis; up: Axis; mirrored: boolean; turned: boolean }> = {
  top: { across: "length", up: "width", mirrored: false, turned: false },
  bottom: { across: "length", up: "width", mirrored: false, turned: true },
  front: { across: "length", up: "height", mirrored: false, turned: false },
  back: { across: "length", up: "height", mirrored: true, turned: false },
  right: { across: "width", up: "height", mirrored: false, turned: false },
  left: { across: "width", up: "height", mirrored: true, turned: false },
};

/** Room round the face, and below it for the bar, mm. */
const margin: Mm = 6;
const below: Mm = 16;
const letter: Mm = 3.2;

/** The length a print is tried by, mm: as many whole units as the ruler in the hand has. */
export const checkBar = (unit: LengthUnit): Mm => toMm(unit === "mm" ? 50 : 2, unit);

/**
 * A face at full size, to be printed, stuck on and worked to: its outline, what opens at it, the middles of what is round, and a bar
 * to try the print by. One unit of the figure is one mm.
 */
export function template(
  face: Face,
  { sizes }: Pick<Site, "sizes">,
  cutouts: readonly DrawnCutout[],
  unit: LengthUnit,
): Figure {
  const { across, up, mirrored, turned } = seen[face];
  const axis = axisOf(face);
  const high = facesOf(axis)[1] === face;
  const x = (along: Mm) => margin + (mirrored ? sizes[across] - along : along);
  const y = (at: Mm) => margin + (turned ? at : sizes[up] - at);
  const put = (a: Mm, b: Mm): [Mm, Mm] => [x(a), y(b)];
  const shapes: Shape[] = [
    { kind: "path", outlines: [rectangle([x(0), x(sizes[across])], [y(0), y(sizes[up])])], ink: "edge" },
  ];
  for (const { cutout, number } of cutouts)
    for (const prism of cutout.prisms) {
      const opens = high ? prism.span[1] >= sizes[axis] - 1e-6 : prism.span[0] <= 1e-6;
      if (prism.axis !== axis || !opens) continue;
      // Seen from behind or from below an arc bulges the other way.
      const outline = mapOutline(prism.outline, put, mirrored === turned);
      shapes.push({ kind: "path", outlines: [outline], ink: prism.thread ? "thin" : "edge" });
      const box = extentOfOutline(outline);
      const [mx, my] = [(box.x[0] + box.x[1]) / 2, (box.y[0] + box.y[1]) / 2];
      const [w, h] = [box.x[1] - box.x[0] + 4, box.y[1] - box.y[0] + 4];
      shapes.push(
        {
          kind: "line",
          points: [
            [mx - w / 2, my],
            [mx + w / 2, my],
          ],
          ink: "center",
        },
        {
          kind: "line",
          points: [
            [mx, my - h / 2],
            [mx, my + h / 2],
          ],
          ink: "center",
        },
        {
          kind: "text",
          x: box.x[1] + 0.8,
          y: box.y[0] - 0.4,
          text: String(number),
          size: letter,
          anchor: "start",
          ink: "accent",
        },
      );
    }
  const bar = checkBar(unit);
  const foot = margin + sizes[up] + 7;
  const text = unit === "mm" ? "50 mm" : "2 in";
  shapes.push(
    {
      kind: "line",
      points: [
        [margin, foot],
        [margin + bar, foot],
      ],
      ink: "edge",
    },
    ...[0, bar].map((at): Shape => ({
      kind: "line",
      points: [
        [margin + at, foot - 2],
        [margin + at, foot + 2],
      ],
      ink: "edge",
    })),
    { kind: "text", x: margin + bar / 2, y: foot + 5, text, size: letter, anchor: "middle", ink: "edge" },
    { kind: "text", x: margin, y: margin - 2, text: face, size: letter, anchor: "start", ink: "edge" },
  );
  return {
    title: `Template of the ${face} face at full size, with a bar of ${text}.`,
    width: Math.max(sizes[across], bar) + 2 * margin,
    height: sizes[up] + margin + below,
    shapes,
  };
}
