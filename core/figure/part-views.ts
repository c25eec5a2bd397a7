import { type Axis, axisOf, circle, facesOf } from "../frame/index.ts";
import type { Site } from "../part/index.ts";
import type { View } from "./view.ts";
import type { Shape } from "./figure.ts";

/** The bare part in a view: a block as a rectangle, a shaft by its sections with its center line. */
export function partInView(view: View, site: Site): Shape[] {
  const { sizes, shaft } = site;
  const [x, y] = [view.x(0), view.y(sizes[view.up])];
  if (!shaft)
    return [{ kind: "rect", x, y, w: sizes[view.across], h: sizes[view.up], ink: "part", strong: true }];
  const middle = sizes.height / 2;
  if (axisOf(view.face) === "length") return shaftFromEnd(view, site, middle);
  const past = sizes.length * 0.04;
  return [
    ...shaft.map(({ diameter, from, to }): Shape => ({
      kind: "rect",
      x: view.x(from),
      y: view.y(middle + diameter / 2),
      w: to - from,
      h: diameter,
      ink: "part",
      strong: true,
    })),
    {
      kind: "line",
      points: [
        [view.x(-past), view.y(middle)],
        [view.x(sizes.length + past), view.y(middle)],
      ],
      ink: "center",
    },
  ];
}

/** Circles of the sections, hidden behind a thicker one nearer to the viewer. */
function shaftFromEnd(view: View, { shaft, sizes }: Site, middle: number): Shape[] {
  const axis: Axis = "length";
  const fromRight = view.face === facesOf(axis)[1];
  const near = fromRight ? [...shaft!].reverse() : [...shaft!];
  const thickest = Math.max(...near.map((s) => s.diameter));
  const round = (d: number) => circle(view.x(middle), view.y(middle), d / 2);
  let before = 0;
  const rings = near.map(({ diameter }): Shape => {
    const hidden = diameter < before;
    before = Math.max(before, diameter);
    return { kind: "path", outlines: [round(diameter)], ink: hidden ? "hidden" : "edge" };
  });
  const past = sizes.height * 0.1;
  return [
    { kind: "path", outlines: [round(thickest)], ink: "part" },
    ...rings,
    {
      kind: "line",
      points: [
        [view.x(-past), view.y(middle)],
        [view.x(sizes.width + past), view.y(middle)],
      ],
      ink: "center",
    },
    {
      kind: "line",
      points: [
        [view.x(middle), view.y(-past)],
        [view.x(middle), view.y(sizes.height + past)],
      ],
      ink: "center",
    },
  ];
}
