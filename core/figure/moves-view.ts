import { type Stroke } from "../recipes/index.ts";
import { axisOf, circle, mapOutline, type Outline, rectangle, type Sizes } from "../frame/index.ts";
import { outlineInSetup, rectInSetup, type SetupFrame } from "../locate/index.ts";
import type { Cutout, Site } from "../part/index.ts";
import { type Mm } from "../quantity/index.ts";
import type { FeatureOperation, FeatureSetup } from "../route/index.ts";
import { axisCross } from "./axis-cross.ts";
import type { Figure, Shape } from "./figure.ts";

/** What the plan view of an operation is drawn from. */
export interface MovesDrawn {
  setup: FeatureSetup;
  frame: SetupFrame;
  site: Site;
  /** What all features of the part take out, by id. */
  cutouts: ReadonlyMap<string, Cutout>;
  operation: FeatureOperation;
  moves: readonly Stroke[];
  /** The move to do now: it stands out, the cutter is drawn at its end; null for all alike. */
  at: number | null;
  fixedJaw: "back" | "front";
}

type Point = [x: Mm, y: Mm];

/** What a cutout shows from above in a setup: its outlines where it is cut straight down, else the box around it. */
function shown(frame: SetupFrame, cutout: Cutout): { outline: Outline; island?: Outline }[] {
  const axis = axisOf(frame.up);
  const order = (["length", "width", "height"] as const).filter((a) => a !== axis);
  const straight = cutout.prisms.filter((p) => p.axis === axis && !p.thread);
  if (straight.length > 0)
    return straight.map(({ outline, island }) => ({
      outline: outlineInSetup(frame, outline),
      ...(island ? { island: outlineInSetup(frame, island) } : {}),
    }));
  const rect = rectInSetup(frame, { x: cutout.box[order[0]!], y: cutout.box[order[1]!] });
  return [{ outline: rectangle(rect.x, rect.y) }];
}

/** Where the part lies in a setup, as the readout counts. */
export function partInSetup({ frame, site }: Pick<MovesDrawn, "frame" | "site">): {
  x: readonly [Mm, Mm];
  y: readonly [Mm, Mm];
} {
  const axis = axisOf(frame.up);
  const [a, b] = (["length", "width", "height"] as const).filter((s) => s !== axis) as [
    keyof Sizes,
    keyof Sizes,
  ];
  return rectInSetup(frame, { x: [0, site.sizes[a]], y: [0, site.sizes[b]] });
}

/** The places the moves go through, with the level each is on. */
function placesOf(moves: readonly Stroke[]): { point: Point; move: Stroke; from: Point | null }[] {
  let here: Point | null = null;
  return moves.flatMap((move) => {
    if (move.to.x === undefined && move.to.y === undefined) return [];
    const from: Point | null = here;
    const point: Point = [move.to.x ?? here?.[0] ?? 0, move.to.y ?? here?.[1] ?? 0];
    here = point;
    return [{ point, move, from }];
  });
}

/**
 * Seen from above as the person at the machine sees it: the part against the fixed jaw, the datum, the ways of the spindle with
 * their stops and direction, the cutter at its place. Y runs to the back, so up in the drawing.
 */
export function movesView(drawn: MovesDrawn): Figure {
  const { frame, cutouts, operation, moves, at, setup, fixedJaw } = drawn;
  const part = partInSetup(drawn);
  const r = operation.diameter / 2;
  const places = placesOf(moves);
  const xs = [...part.x, ...places.map((p) => p.point[0])];
  const ys = [...part.y, ...places.map((p) => p.point[1])];
  const edge = Math.max(r + 3, 8);
  const [left, right] = [Math.min(...xs) - edge, Math.max(...xs) + edge];
  const [front, back] = [Math.min(...ys) - edge, Math.max(...ys) + edge];
  const size = Math.max(2.6, (right - left) / 36);
  const foot = size * 2.2;
  const width = right - left;
  const height = back - front + foot;
  const put = (x: Mm, y: Mm): Point => [x - left, back - y];
  const drawnPath = (outline: Outline): Outline => mapOutline(outline, (x, y) => put(x, y), true);
  const shapes: Shape[] = [];
  const rect = (
    x: readonly [Mm, Mm],
    y: readonly [Mm, Mm],
    ink: "part" | "fixedJaw" | "movingJaw",
  ): Shape => {
    const [px, py] = put(x[0], y[1]);
    return { kind: "rect", x: px, y: py, w: x[1] - x[0], h: y[1] - y[0], ink };
  };
  const jaw = Math.min(edge * 0.7, 6);
  const jaws: Shape[] = [
    rect(
      [part.x[0], part.x[1]],
      [part.y[1], part.y[1] + jaw],
      fixedJaw === "back" ? "fixedJaw" : "movingJaw",
    ),
    rect(
      [part.x[0], part.x[1]],
      [part.y[0] - jaw, part.y[0]],
      fixedJaw === "back" ? "movingJaw" : "fixedJaw",
    ),
  ];
  shapes.push(...jaws, rect(part.x, part.y, "part"));
  for (const id of setup.features) {
    const cutout = cutouts.get(id);
    if (!cutout || id === operation.feature) continue;
    for (const { outline } of shown(frame, cutout))
      shapes.push({ kind: "path", outlines: [drawnPath(outline)], ink: "hidden" });
  }
  const own = cutouts.get(operation.feature);
  if (own)
    for (const { outline, island } of shown(frame, own))
      shapes.push({
        kind: "path",
        outlines: [drawnPath(outline), ...(island ? [drawnPath(island)] : [])],
        ink: "remove",
      });
  const now = at === null ? null : (moves.find((m) => m.number === at) ?? null);
  // At the machine the ways of this level; on paper those of the last, which are all there are at most.
  const level = now?.level ?? Math.max(0, ...moves.map((m) => m.level));
  const levelPlaces = places.filter(({ move }) => move.level === level || operation.sweep.kind === "tracks");
  for (const { point, from, move } of levelPlaces)
    if (move.kind === "feed" && from)
      shapes.push({ kind: "line", points: [put(...from), put(...point)], ink: "accent", arrow: true });
  const mark = Math.min(1.1, size * 0.35);
  levelPlaces.forEach(({ point, move }) => {
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
  const place = cutterPlace(places, moves, now) ?? levelPlaces.at(-1)?.point ?? null;
  if (place) {
    const [x, y] = put(...place);
    const inset = operation.sweep.kind === "disc" ? y + r : y;
    shapes.push({ kind: "path", outlines: [circle(x, inset, Math.max(r, 0.5))], ink: "hidden" });
    shapes.push(...axisCross(x, inset, r + 2));
  }
  const [zx, zy] = put(0, 0);
  shapes.push(
    {
      kind: "line",
      points: [
        [zx - size * 1.4, zy],
        [zx + size * 1.4, zy],
      ],
      ink: "edge",
    },
    {
      kind: "line",
      points: [
        [zx, zy - size * 1.4],
        [zx, zy + size * 1.4],
      ],
      ink: "edge",
    },
    { kind: "circle", x: zx, y: zy, r: size * 0.7, ink: "touch" },
    word(zx - size * 0.5, zy - size * 0.6, "0", size, "end", true),
    word(size * 0.3, height - foot * 0.3, footWords(operation, moves), size * 0.9, "start"),
  );
  return {
    title: titleWords(operation, moves, now),
    width,
    height,
    shapes,
  };
}

/** Where the cutter stands at a move: at its end, or where it was before it goes down. */
function cutterPlace(
  places: readonly { point: Point; move: Stroke }[],
  moves: readonly Stroke[],
  now: Stroke | null,
): Point | null {
  if (!now) return null;
  const upTo = moves.indexOf(now);
  return places.filter(({ move }) => moves.indexOf(move) <= upTo).at(-1)?.point ?? null;
}

const word = (
  x: Mm,
  y: Mm,
  text: string,
  size: Mm,
  anchor: "start" | "middle" | "end",
  bold = false,
): Shape => ({ kind: "text", x, y, text, size, anchor, ink: "edge", ...(bold ? { bold } : {}) });

const cutsWords = {
  conventional: "conventional",
  climb: "climb",
  full: "full width",
  down: "straight down",
  air: "in air",
} as const;

const footWords = (operation: FeatureOperation, moves: readonly Stroke[]): string => {
  const cuts = [...new Set(moves.filter((m) => m.kind === "feed").map((m) => cutsWords[m.cuts]))];
  const how = operation.by === "hole" ? "straight down" : cuts.join(", ") || "straight down";
  return `Seen from above, X right, Y back. Cut ${how}.`;
};

const titleWords = (operation: FeatureOperation, moves: readonly Stroke[], now: Stroke | null): string =>
  `Plan view of ${operation.key.replace("/", ", ")}: ${moves.length} moves from the datum${now ? `, move ${now.number} now` : ""}. ${footWords(operation, moves)}`;
