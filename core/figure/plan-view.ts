import { mapOutline, oppositeSide, type Outline, type Side, sideOf } from "../frame/index.ts";
import type { Stroke } from "../recipes/index.ts";
import type { Mm } from "../quantity/index.ts";
import { axisCross } from "./axis-cross.ts";
import type { Figure, Ink, Shape } from "./figure.ts";
import type { Setup } from "../route/index.ts";
import { strapHold } from "../handbook/index.ts";

type Point = [x: Mm, y: Mm];
type Reach = readonly [Mm, Mm];

/** What holds the part at one of its sides, seen from above: how far it reaches out and in, mm. */
export interface HeldAt {
  side: Side;
  out: Mm;
  in: Mm;
  /** Where along its side, from the low end of the part; all along where nothing is said; mm. */
  along?: Reach;
  ink: Ink;
}

/** How far what holds the part is drawn beside it, mm. */
export const jawShown = 6;

/** The two jaws, the fixed one at the back or the front. */
export const jawsAt = (fixedJaw: "back" | "front"): HeldAt[] => [
  { side: fixedJaw, out: jawShown, in: 0, ink: "fixedJaw" },
  { side: oppositeSide[fixedJaw], out: jawShown, in: 0, ink: "movingJaw" },
];

/** How far a strap is drawn out beyond its edge, mm. */
const strapOut = 24;

/** What holds the part on the machine, seen from above: jaws, straps where they stand or over one edge; nothing where it is glued. */
export function heldFromAbove(
  { seat, at }: Pick<Setup, "seat" | "at">,
  fixedJaw: "back" | "front",
): HeldAt[] {
  const { table } = seat;
  if (!table) return jawsAt(fixedJaw);
  if (table.at.length > 0)
    return table.at.map(({ edge, left }) => ({
      side: edge,
      out: strapOut,
      in: table.reach,
      along: [left - strapHold.wide / 2, left + strapHold.wide / 2],
      ink: "rod",
    }));
  const side = table.straps > 0 ? sideOf(at, table.over, "back") : null;
  return side ? [{ side, out: jawShown, in: table.reach, ink: "fixedJaw" }] : [];
}

/** Seen from above as the person at the machine sees it: X to the right, Y to the back, so up in the drawing. */
export interface PlanDrawn {
  part: { x: Reach; y: Reach };
  held: readonly HeldAt[];
  /** What lies in the part, or is to come off it. */
  inside: readonly { outlines: readonly Outline[]; ink: Ink }[];
  strokes: readonly Stroke[];
  /** The strokes that are drawn: those of one level. */
  shown: (stroke: Stroke) => boolean;
  /** The stroke to do now: the cutter stands at its end; null for where the last of them ends. */
  at: number | null;
  /** The cutter with its axis at a place, and how far it reaches from it. */
  cutter: (x: Mm, y: Mm) => Outline;
  reach: { x: Mm; y: Mm };
  /** Where both readouts are zero; false where places are judged by eye. */
  zero: boolean;
  title: string;
  /** Lines below the drawing. */
  foot: readonly string[];
  words: readonly { at: Point; text: string }[];
}

/** The places the strokes go through. */
function placesOf(strokes: readonly Stroke[]): { point: Point; move: Stroke; from: Point | null }[] {
  let here: Point | null = null;
  return strokes.flatMap((move) => {
    if (move.to.x === undefined && move.to.y === undefined) return [];
    const from: Point | null = here;
    const point: Point = [move.to.x ?? here?.[0] ?? 0, move.to.y ?? here?.[1] ?? 0];
    here = point;
    return [{ point, move, from }];
  });
}

/** A rectangle of what holds the part, along one of its sides. */
function heldRect(held: HeldAt, part: PlanDrawn["part"]): { x: Reach; y: Reach } {
  const { side, out, in: inward, along } = held;
  const within = (reach: Reach): Reach => (along ? [reach[0] + along[0], reach[0] + along[1]] : reach);
  const upright = side === "left" || side === "right";
  const [x, y] = upright ? [part.x, within(part.y)] : [within(part.x), part.y];
  switch (side) {
    case "left":
      return { x: [x[0] - out, x[0] + inward], y };
    case "right":
      return { x: [x[1] - inward, x[1] + out], y };
    case "front":
      return { x, y: [y[0] - out, y[0] + inward] };
    case "back":
      return { x, y: [y[1] - inward, y[1] + out] };
  }
}

/**
 * A setup from above: the part and what holds it, what comes off, the ways of the spindle with their stops and direction, the
 * cutter at its place, and zero where there is one.
 */
export function planView(drawn: PlanDrawn): Figure {
  const { part, strokes, at, cutter, reach } = drawn;
  const places = placesOf(strokes);
  const held = drawn.held.map((h) => ({ ...heldRect(h, part), ink: h.ink }));
  const xs = [...part.x, ...places.map((p) => p.point[0])];
  const ys = [...part.y, ...places.map((p) => p.point[1])];
  const edge = { x: Math.max(reach.x + 3, 8), y: Math.max(reach.y + 3, 8) };
  // What holds the part lies within the drawing too, with a little room beside it.
  const span = (of: readonly Mm[], room: Mm, beside: readonly Mm[]): Reach => [
    Math.min(Math.min(...of) - room, ...beside.map((b) => b - 2)),
    Math.max(Math.max(...of) + room, ...beside.map((b) => b + 2)),
  ];
  const [left, right] = span(
    xs,
    edge.x,
    held.flatMap((h) => h.x),
  );
  const [front, back] = span(
    ys,
    edge.y,
    held.flatMap((h) => h.y),
  );
  const size = Math.max(2.6, (right - left) / 30);
  const foot = size * (0.8 + 1.4 * drawn.foot.length);
  const width = right - left;
  const height = back - front + foot;
  const put = (x: Mm, y: Mm): Point => [x - left, back - y];
  const drawnPath = (outline: Outline): Outline => mapOutline(outline, (x, y) => put(x, y), true);
  const rect = (x: Reach, y: Reach, ink: Ink): Shape => {
    const [px, py] = put(x[0], y[1]);
    return { kind: "rect", x: px, y: py, w: x[1] - x[0], h: y[1] - y[0], ink };
  };
  const shapes: Shape[] = [
    rect(part.x, part.y, "part"),
    ...held.map(({ x, y, ink }) => rect(x, y, ink)),
    ...drawn.inside.map(({ outlines, ink }): Shape => ({
      kind: "path",
      outlines: outlines.map(drawnPath),
      ink,
    })),
  ];
  const now = at === null ? null : (strokes.find((m) => m.number === at) ?? null);
  const shown = places.filter(({ move }) => drawn.shown(move));
  for (const { point, from, move } of shown)
    if (move.kind === "feed" && from)
      shapes.push({ kind: "line", points: [put(...from), put(...point)], ink: "accent", arrow: true });
  const mark = Math.min(1.1, size * 0.35);
  shown.forEach(({ point, move }) => {
    const [x, y] = put(...point);
    shapes.push(
      move.kind === "go" || move.kind === "in"
        ? { kind: "circle", x, y, r: mark, ink: "accent" }
        : {
            kind: "line",
            points: [
              [x - mark, y - mark],
              [x + mark, y + mark],
            ],
            ink: "edge",
          },
    );
  });
  const place = now
    ? (places.filter(({ move }) => strokes.indexOf(move) <= strokes.indexOf(now)).at(-1)?.point ?? null)
    : (shown.at(-1)?.point ?? null);
  if (place) {
    shapes.push({ kind: "path", outlines: [drawnPath(cutter(...place))], ink: "hidden" });
    shapes.push(...axisCross(...put(...place), Math.max(reach.x, reach.y) + 2));
  }
  if (drawn.zero) shapes.push(...zeroMark(put(0, 0), size));
  for (const word of drawn.words) {
    const [x, y] = put(...word.at);
    shapes.push({ kind: "text", x, y, text: word.text, size, anchor: "middle", ink: "edge", bold: true });
  }
  drawn.foot.forEach((text, i) =>
    shapes.push({
      kind: "text",
      x: size * 0.3,
      y: height - foot + size * (1.2 + 1.4 * i),
      text,
      size,
      anchor: "start",
      ink: "edge",
    }),
  );
  return { title: drawn.title, width, height, shapes };
}

const zeroMark = ([x, y]: Point, size: Mm): Shape[] => [
  {
    kind: "line",
    points: [
      [x - size * 1.4, y],
      [x + size * 1.4, y],
    ],
    ink: "edge",
  },
  {
    kind: "line",
    points: [
      [x, y - size * 1.4],
      [x, y + size * 1.4],
    ],
    ink: "edge",
  },
  { kind: "circle", x, y, r: size * 0.7, ink: "touch" },
  {
    kind: "text",
    x: x - size * 0.5,
    y: y - size * 0.6,
    text: "0",
    size,
    anchor: "end",
    ink: "edge",
    bold: true,
  },
];
