import { distanceTo, piecesOf } from "../../core/recipes/index.ts";
import {
  acrossAxis,
  cutoutOf,
  type Feature,
  type Part,
  type Prism,
  siteOfPart,
} from "../../core/part/index.ts";
import { axisOf, type Outline, rectangle } from "../../core/frame/index.ts";
import { type Locating, outlineInSetup, rectInSetup, setupMoves } from "../../core/locate/index.ts";
import type { FeatureSetup } from "../../core/route/index.ts";

type Point = readonly [number, number];
type Piece = readonly [Point, Point];

/** A straight way of a cutter at a depth below the face that is up. */
export interface Swept {
  from: Point;
  to: Point;
  r: number;
  depth: number;
  op: string;
}

/** Every way of the cutters of a feature in metal, as its moves say. */
export function sweptBy(setup: FeatureSetup, locating: Locating, feature: string): Swept[] {
  return setup.operations
    .filter((o) => o.feature === feature && o.by !== "hand")
    .flatMap((operation) => {
      // What was cut already is not told again.
      const moves = setupMoves(setup, locating).get(operation.key)!;
      let here: Point = [NaN, NaN];
      let z = 0;
      return moves.flatMap((move): Swept[] => {
        const before = here;
        here = [move.to.x ?? here[0], move.to.y ?? here[1]];
        if (move.kind === "go") {
          z = 0;
          return [];
        }
        z = move.to.z ?? z;
        const way = { r: operation.diameter / 2, depth: -z, op: operation.key };
        return move.kind === "down"
          ? [{ from: here, to: here, ...way }]
          : [{ from: before, to: here, ...way }];
      });
    });
}

const cross = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/** Distance between two straight pieces: of their ends, or nothing where they cross. */
export function apart(a: Piece, b: Piece): number {
  const crosses =
    cross(a[0], a[1], b[0]) > 0 !== cross(a[0], a[1], b[1]) > 0 &&
    cross(b[0], b[1], a[0]) > 0 !== cross(b[0], b[1], a[1]) > 0;
  return crosses
    ? 0
    : Math.min(
        distanceTo(a[0], ...b),
        distanceTo(a[1], ...b),
        distanceTo(b[0], ...a),
        distanceTo(b[1], ...a),
      );
}

/** A prism cut straight down, as the readout counts: its walls within the part, its outline, how deep. */
export interface Hollow {
  walls: Piece[];
  outline: Outline;
  island: Outline | null;
  depth: number;
}

const onEdge = 1e-6;

export function hollowsOf(
  part: Part,
  feature: Feature,
  { frame }: Locating,
): { hollows: Hollow[]; rect: ReturnType<typeof rectInSetup> } {
  const site = siteOfPart(part)!;
  const axis = axisOf(frame.up);
  const [a, b] = acrossAxis(axis);
  const rect = rectInSetup(frame, { x: [0, site.sizes[a]], y: [0, site.sizes[b]] });
  const borders = ([p, q]: Piece): boolean =>
    ([0, 1] as const).some((i) =>
      (i === 0 ? rect.x : rect.y).some(
        (edge) => Math.abs(p[i] - edge) < onEdge && Math.abs(q[i] - edge) < onEdge,
      ),
    );
  const high = frame.up === "right" || frame.up === "back" || frame.up === "top";
  const cutout = cutoutOf(feature, site)!;
  const straight = cutout.prisms.filter((p) => p.axis === axis && !p.thread && p.inset === undefined);
  // From another side a step is the box around it.
  const prisms: Prism[] =
    straight.length > 0
      ? straight
      : [{ axis, outline: rectangle(cutout.box[a], cutout.box[b]), span: cutout.box[axis] }];
  const hollows = prisms.map(({ outline, island, span }): Hollow => {
    const drawn = outlineInSetup(frame, outline);
    const stands = island ? outlineInSetup(frame, island) : null;
    return {
      walls: [...piecesOf(drawn), ...(stands ? piecesOf(stands) : [])].filter((piece) => !borders(piece)),
      outline: drawn,
      island: stands,
      depth: high ? site.sizes[axis] - span[0] : span[1],
    };
  });
  return { hollows, rect };
}

const inside = ([x, y]: Point, outline: Outline): boolean =>
  piecesOf(outline).filter(
    ([[ax, ay], [bx, by]]) => ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax),
  ).length %
    2 ===
  1;

export const inHollow = (p: Point, { outline, island }: Hollow): boolean =>
  inside(p, outline) && !(island && inside(p, island));
