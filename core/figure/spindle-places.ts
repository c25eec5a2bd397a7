import { type PocketMoves, type Ring, type SlotStops, type Stair } from "../recipes/index.ts";
import { circle, type Outline, polygon, rectangle } from "../frame/index.ts";
import type { SideReadings, ToolSide } from "../locate/index.ts";
import { axisCross } from "./axis-cross.ts";
import type { Figure, Shape } from "./figure.ts";

/** Drawings of where the spindle stands, seen from above unless said: words and places, the figures stand beside. */

type Point = [x: number, y: number];

const text = (
  x: number,
  y: number,
  words: string,
  size: number,
  anchor: "start" | "middle" | "end" = "middle",
): Shape => ({
  kind: "text",
  x,
  y,
  text: words,
  size,
  anchor,
  ink: "thin",
});
const path = (
  outline: Outline,
  ink: "part" | "void" | "cutter" | "accent" | "hidden" | "parallel",
): Shape => ({
  kind: "path",
  outlines: [outline],
  ink,
});
const way = (points: Point[], arrow = false): Shape => ({
  kind: "line",
  points,
  ink: "accent",
  ...(arrow ? { arrow } : {}),
});

/** A tool beside an edge, paper between: half the tool and the paper lie between its axis and the face. */
export function touchAtEdge(side: ToolSide): Figure {
  const [r, paper] = [14, 3];
  const edge = side === "minus" ? 62 : 58;
  const sign = side === "minus" ? -1 : 1;
  const axis = edge + sign * (r + paper);
  const part: Point[] =
    side === "minus"
      ? [
          [edge, 18],
          [112, 18],
          [112, 62],
          [edge, 62],
        ]
      : [
          [8, 18],
          [edge, 18],
          [edge, 62],
          [8, 62],
        ];
  const sheet =
    side === "minus" ? rectangle([edge - paper, edge], [22, 58]) : rectangle([edge, edge + paper], [22, 58]);
  return {
    title: `Seen from above: the tool touches the edge from its ${side === "minus" ? "low" : "high"} side, paper between.`,
    width: 120,
    height: 84,
    shapes: [
      path(polygon(part), "part"),
      path(sheet, "parallel"),
      path(circle(axis, 40, r), "cutter"),
      ...axisCross(axis, 40, r + 4),
      {
        kind: "line",
        points: [
          [axis, 70],
          [edge, 70],
        ],
        ink: "dimension",
        arrow: true,
      },
      {
        kind: "line",
        points: [
          [edge, 58],
          [edge, 74],
        ],
        ink: "thin",
      },
      {
        kind: "line",
        points: [
          [axis, 58],
          [axis, 74],
        ],
        ink: "thin",
      },
      text((axis + edge) / 2, 80, "half the tool + paper", 4.6),
      text(side === "minus" ? 88 : 32, 42, "part", 5),
      text(edge, 14, "the face reads here", 4.6),
    ],
  };
}

/** A tool over a top, paper between, seen from the front. */
export function touchAtTop(): Figure {
  return {
    title: "Seen from the front: the tool comes down onto paper on the top.",
    width: 120,
    height: 84,
    shapes: [
      path(rectangle([14, 106], [48, 76]), "part"),
      path(rectangle([30, 90], [45, 48]), "parallel"),
      path(rectangle([48, 72], [8, 45]), "cutter"),
      {
        kind: "line",
        points: [
          [60, 4],
          [60, 54],
        ],
        ink: "center",
      },
      {
        kind: "line",
        points: [
          [100, 45],
          [100, 48],
        ],
        ink: "dimension",
        arrow: true,
      },
      text(96, 41, "paper", 4.6),
      text(60, 66, "the top reads here, less the paper", 4.6),
    ],
  };
}

/** A closed slot with the two stops of the spindle, and the cutter at both. */
export function slotPlaces(
  stops: SlotStops,
  from: number,
  length: number,
  width: number,
  cutter: number,
): Figure {
  const unit = length / 100;
  const margin = 14 * unit;
  const x = (at: number) => margin + (at - from);
  const high = Math.max(width, 10 * unit);
  const middle = margin + high / 2 + 4 * unit;
  const size = 4.4 * unit;
  const walls: Shape[] =
    stops.walls > 0
      ? [-1, 1].map((side) =>
          way([
            [x(stops.low), middle + side * stops.walls],
            [x(stops.high), middle + side * stops.walls],
          ]),
        )
      : [
          way([
            [x(stops.low), middle],
            [x(stops.high), middle],
          ]),
        ];
  return {
    title: "Seen from above: the slot, the spindle at both its stops, and its way along each wall.",
    width: length + 2 * margin,
    height: high + 2 * margin + 12 * unit,
    shapes: [
      path(rectangle([margin / 2, length + 1.5 * margin], [margin / 2, margin + high + 8 * unit]), "part"),
      path(
        rectangle([x(from), x(from + length)], [middle - width / 2, middle + width / 2], width / 2),
        "void",
      ),
      ...[stops.low, stops.high].map((at) => path(circle(x(at), middle, cutter / 2), "cutter")),
      ...walls,
      ...[stops.low, stops.high].flatMap((at) => axisCross(x(at), middle, cutter * 0.7)),
      text(x(stops.low), margin + high + 16 * unit, "stop here", size),
      text(x(stops.high), margin + high + 16 * unit, "and here, not past", size),
    ],
  };
}

const ringWay = ({ x, y }: Ring): Point[] =>
  x === 0 && y === 0
    ? [
        [0, 0],
        [0, 0],
      ]
    : [
        [-x, -y],
        [x, -y],
        [x, y],
        [-x, y],
        [-x, -y],
      ];

/** A pocket with the rings of the spindle round its middle. */
export function pocketPlaces(
  { rings, finish }: PocketMoves,
  size: { x: number; y: number },
  cutter: number,
): Figure {
  const unit = Math.max(size.x, size.y) / 80;
  const margin = 8 * unit;
  const [cx, cy] = [margin + size.x / 2, margin + size.y / 2];
  const put = (points: Point[]): Point[] => points.map(([x, y]) => [cx + x, cy + y]);
  return {
    title:
      "Seen from above: the pocket, the rings of the spindle from its center out, the last one along its walls.",
    width: size.x + 2 * margin,
    height: size.y + 2 * margin + 8 * unit,
    shapes: [
      path(rectangle([margin / 2, size.x + 1.5 * margin], [margin / 2, size.y + 1.5 * margin]), "part"),
      path(
        rectangle([cx - size.x / 2, cx + size.x / 2], [cy - size.y / 2, cy + size.y / 2], cutter / 2),
        "void",
      ),
      path(circle(cx + finish.x, cy + finish.y, cutter / 2), "cutter"),
      ...rings.map((ring): Shape => ({ kind: "line", points: put(ringWay(ring)), ink: "hidden" })),
      way(put(ringWay(finish))),
      ...axisCross(cx, cy, 5 * unit),
      text(cx, size.y + 2 * margin + 4 * unit, "zero at the center; the last ring drawn full", 3.6 * unit),
    ],
  };
}

/** What is left standing, with the way of the spindle round it. */
export function bossPlaces(at: SideReadings, size: { x: number; y: number }, cutter: number): Figure {
  const [wide, high] = [at.xPlus - at.xMinus, at.yPlus - at.yMinus];
  const unit = Math.max(wide, high) / 80;
  const margin = cutter / 2 + 6 * unit;
  const [cx, cy] = [margin + wide / 2, margin + high / 2];
  const ring = ringWay({ x: wide / 2, y: high / 2 }).map(([x, y]): Point => [cx + x, cy + y]);
  return {
    title: "Seen from above: the boss, and the spindle's way round it by half a cutter outside.",
    width: wide + 2 * margin,
    height: high + 2 * margin,
    shapes: [
      path(rectangle([cx - size.x / 2, cx + size.x / 2], [cy - size.y / 2, cy + size.y / 2]), "part"),
      path(circle(cx + wide / 2, cy + high / 2, cutter / 2), "cutter"),
      way(ring),
      ...axisCross(cx + wide / 2, cy + high / 2, cutter * 0.6),
      text(cx, cy + 1.5 * unit, "left standing", 4 * unit),
    ],
  };
}

/** Half a round with its steps, seen along it: the cutter's side at every depth. */
export function stairPlaces(stairs: readonly Stair[], radius: number, cutter: number): Figure {
  const deepest = stairs.at(-1)!;
  const wide = Math.max(deepest.axis + cutter / 2, radius) * 1.06;
  const unit = wide / 60;
  const high = deepest.depth + 12 * unit;
  const [left, top] = [4 * unit, 6 * unit];
  const point = (half: number, depth: number): Point => [left + half, top + depth];
  const steps = stairs.flatMap((s, i): Point[] => [
    point(s.half, stairs[i - 1]?.depth ?? 0),
    point(s.half, s.depth),
  ]);
  const arc: Point[] = Array.from({ length: 41 }, (_, i) => {
    const depth = (deepest.depth * i) / 40;
    return point(Math.sqrt(Math.max(0, 2 * radius * depth - depth ** 2)), depth);
  });
  return {
    title: "Seen along the part: one half of the round with its steps; the inner corners lie on the arc.",
    width: wide + 2 * left,
    height: high + top,
    shapes: [
      path(polygon([point(0, 0), ...steps, point(0, deepest.depth)]), "part"),
      { kind: "line", points: arc, ink: "accent" },
      { kind: "line", points: [point(0, -4 * unit), point(0, deepest.depth + 4 * unit)], ink: "center" },
      {
        kind: "rect",
        x: left + deepest.axis - cutter / 2,
        y: top + deepest.depth - Math.min(deepest.depth, 12 * unit),
        w: cutter,
        h: Math.min(deepest.depth, 12 * unit),
        ink: "cutter",
      },
      text(left + 1 * unit, top + deepest.depth + 7 * unit, "center line", 2.6 * unit, "start"),
    ],
  };
}
