import { type Axis, axisOf, type Face, opposite } from "../frame/index.ts";
import type { Cutout } from "../part/index.ts";
import type { Shape } from "./figure.ts";

/** One of the views: the face it looks at, the size along each of its sides, and where a point of the part comes to lie. */
export interface View {
  face: Face;
  across: Axis;
  up: Axis;
  x: (along: number) => number;
  y: (up: number) => number;
}

/** A line is skipped where it would lie on the outline of a side that is open. */
const sidesOf = (left: number, right: number, top: number, bottom: number) =>
  ({
    left: [
      [left, top],
      [left, bottom],
    ],
    right: [
      [right, top],
      [right, bottom],
    ],
    top: [
      [left, top],
      [right, top],
    ],
    bottom: [
      [left, bottom],
      [right, bottom],
    ],
  }) satisfies Record<string, [number, number][]>;

/**
 * What is seen of a cutout in a view: its outline where it opens to the viewer, hidden lines else; center lines of what is
 * round. `over` is how far the cleared ground reaches past the outline of the block.
 */
export function cutoutInView(cutout: Cutout, view: View, sizes: Record<Axis, number>, over: number): Shape[] {
  const across = cutout.box[view.across];
  const up = cutout.box[view.up];
  const [left, right] = [view.x(across[0]), view.x(across[1])];
  const [bottom, top] = [view.y(up[0]), view.y(up[1])];
  const own = axisOf(cutout.face) === axisOf(view.face);
  const seen = cutout.face === view.face || cutout.opens.includes(view.face);
  const center = own && (cutout.round === "circle" || cutout.round > 0);
  const cross: Shape[] = center
    ? centerLines((left + right) / 2, (top + bottom) / 2, right - left, bottom - top)
    : [];
  if (own && cutout.round === "circle")
    return [
      {
        kind: "circle",
        x: (left + right) / 2,
        y: (top + bottom) / 2,
        r: (right - left) / 2,
        ink: seen ? "void" : "hidden",
      },
      ...cross,
    ];
  if (own && typeof cutout.round === "number" && cutout.round > 0)
    return [
      {
        kind: "rect",
        x: left,
        y: top,
        w: right - left,
        h: bottom - top,
        ink: seen ? "void" : "hidden",
        round: Math.min(cutout.round, (right - left) / 2, (bottom - top) / 2),
      },
      ...cross,
    ];
  const lines = sidesOf(left, right, top, bottom);
  const edge = {
    left: across[0] <= 1e-6,
    right: across[1] >= sizes[view.across] - 1e-6,
    bottom: up[0] <= 1e-6,
    top: up[1] >= sizes[view.up] - 1e-6,
  };
  const drawn = (Object.keys(lines) as (keyof typeof lines)[]).flatMap((side): Shape[] =>
    edge[side] ? [] : [{ kind: "line", points: lines[side], ink: seen ? "edge" : "hidden" }],
  );
  // What is cut right through to the viewer and out of the outline leaves ground there.
  const through = seen && (!own || cutout.opens.includes(opposite(cutout.face)));
  if (!through) return drawn;
  const grow = (is: boolean) => (is ? over : 0);
  return [
    {
      kind: "rect",
      x: left - grow(edge.left),
      y: top - grow(edge.top),
      w: right - left + grow(edge.left) + grow(edge.right),
      h: bottom - top + grow(edge.top) + grow(edge.bottom),
      ink: "ground",
    },
    ...drawn,
  ];
}

/** A thin cross a little past what is round. */
function centerLines(x: number, y: number, wide: number, high: number): Shape[] {
  const past = Math.max(wide, high) * 0.15;
  return [
    {
      kind: "line",
      points: [
        [x - wide / 2 - past, y],
        [x + wide / 2 + past, y],
      ],
      ink: "center",
    },
    {
      kind: "line",
      points: [
        [x, y - high / 2 - past],
        [x, y + high / 2 + past],
      ],
      ink: "center",
    },
  ];
}
