import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
} from "dxf-parser";
import { arcOf, circle, type Corner, type Outline } from "../frame/index.ts";
import type { LengthUnit, Mm } from "../quantity/index.ts";
import { type DxfDrawing, largestDxf } from "./dxf-drawing.ts";
import { type DxfFault, entitiesOf } from "./dxf-groups.ts";
import { done, type Outcome, refused, say, words } from "../working/index.ts";

/** Factors to mm of the units a DXF header can name; centimeters and meters are brought to mm. */
const headerUnits: Record<number, { unit: LengthUnit; factor: number }> = {
  1: { unit: "in", factor: 1 },
  2: { unit: "in", factor: 12 },
  4: { unit: "mm", factor: 1 },
  5: { unit: "mm", factor: 10 },
  6: { unit: "mm", factor: 1000 },
};

const solids = new Set(["3DFACE", "3DSOLID", "BODY", "REGION", "SURFACE", "MESH", "POLYFACE"]);

const broken = () =>
  refused(
    words("This file cannot be read as DXF: it is damaged, cut short, empty, or binary."),
    words("Save the outline again as a text DXF, and read that."),
  );

/**
 * Reads closed outlines of lines, arcs, circles and polylines. Lines and arcs that meet are joined.
 * @returns a refusal with what to do for a file that is too large, damaged, or three-dimensional
 */
export function readDxf(text: string): Outcome<DxfDrawing> {
  if (text.length > largestDxf)
    return refused(
      say`The file is larger than ${String(largestDxf / 1e6)} MB: no outline of a part needs that.`,
      words("Export only the outline, without views, hatches and pictures."),
    );
  // A whole file in text form begins with a group and ends with its mark.
  if (text.includes("\0") || !/^\s*(0|999)\s/.test(text) || !/\sEOF\s*$/.test(text.slice(-100)))
    return broken();
  const whole = entitiesOf(text);
  if ("line" in whole)
    return refused(
      say`The DXF file is damaged at line ${whole.line}: ${faults[whole.what]}.`,
      words("Save the outline again as a text DXF, and read that."),
    );
  const entities = parse(whole.text);
  if (!entities) return broken();
  if ([...whole.others.keys()].some((type) => solids.has(type)) || entities.some((e) => !isFlat(e)))
    return refused(
      words("The drawing is three-dimensional: its shapes do not lie in one plane."),
      words("Export a flat view of it, seen onto the face that is milled."),
    );
  const header = whole.units === null ? undefined : headerUnits[whole.units];
  const scale = header?.factor ?? 1;
  const ignored = new Map(whole.others);
  const outlines: Outline[] = [];
  const pieces: Piece[] = [];
  for (const entity of entities) {
    const read = wholeEntity(entity);
    if (read === null) ignored.set(entity.type, (ignored.get(entity.type) ?? 0) + 1);
    else if ("outline" in read) outlines.push(read.outline);
    else pieces.push(...read.pieces);
  }
  const { closed, open } = joined(pieces);
  const scaled = [...outlines, ...closed].map((outline) =>
    outline.map(({ x, y, bulge }) => ({ x: x * scale, y: y * scale, bulge })),
  );
  if (scaled.length === 0 && open === 0)
    return refused(
      words("The file holds no lines, arcs, circles or polylines."),
      words("Check that the outline is in it, and not in a block or as a spline."),
    );
  return done({
    unit: header?.unit ?? null,
    closed: scaled,
    open,
    ignored: [...ignored].map(([name, count]) => ({ name, count })),
  });
}

/** What is wrong with a file at a line, in words. */
const faults: Record<DxfFault["what"], string> = {
  code: "a group code should stand there, a whole number",
  number: "a number should stand there",
  "cut off": "what begins there has no end",
  "too far": "the number is far out of any drawing",
};

function parse(text: string): IEntity[] | null {
  try {
    const entities: unknown = new DxfParser().parseSync(text)?.entities;
    return Array.isArray(entities) ? (entities as IEntity[]) : null;
  } catch {
    // The library throws on anything it does not understand; what it says helps nobody at the bench.
    return null;
  }
}

/** Heights of a drawing in one plane differ by no more than dust. */
const dust = 1e-6;

function isFlat(entity: IEntity): boolean {
  const points = (entity as unknown as { vertices?: { z?: number }[]; center?: { z?: number } }) ?? {};
  const heights = [...(points.vertices ?? []), ...(points.center ? [points.center] : [])].map(
    (p) => p.z ?? 0,
  );
  const tilted = (entity as { extrusionDirectionZ?: number }).extrusionDirectionZ;
  return (
    heights.every((z) => Math.abs(z - heights[0]!) < dust) &&
    (tilted === undefined || Math.abs(tilted) > 1 - dust)
  );
}

/** A line or an arc from one corner to an end. */
interface Piece {
  from: Corner;
  to: { x: number; y: number };
}

/** What an entity draws; null where a file leaves out its middle, its size or a corner, or it is a point. */
function wholeEntity(entity: IEntity): ReturnType<typeof readEntity> {
  const { center, radius } = entity as Partial<ICircleEntity>;
  if ((entity.type === "CIRCLE" || entity.type === "ARC") && !(center && radius! > 0)) return null;
  const made = readEntity(entity);
  const corners =
    made === null ? [] : "outline" in made ? made.outline : made.pieces.flatMap(({ from, to }) => [from, to]);
  const good = corners.every((c) => [c.x, c.y, "bulge" in c ? c.bulge : 0].every(Number.isFinite));
  return good ? made : null;
}

function readEntity(entity: IEntity): { outline: Outline } | { pieces: Piece[] } | null {
  switch (entity.type) {
    case "CIRCLE": {
      const { center, radius } = entity as ICircleEntity;
      return { outline: circle(center.x, center.y, radius) };
    }
    case "LINE": {
      const [from, to] = (entity as ILineEntity).vertices;
      return from && to ? { pieces: [{ from: { x: from.x, y: from.y, bulge: 0 }, to }] } : null;
    }
    case "ARC": {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      const turn = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
      const at = (angle: number) => ({
        x: center.x + radius * Math.cos(angle),
        y: center.y + radius * Math.sin(angle),
      });
      const from = { ...at(startAngle), bulge: Math.tan(turn / 4) };
      return { pieces: [{ from, to: at(startAngle + turn) }] };
    }
    case "LWPOLYLINE":
    case "POLYLINE": {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity;
      const corners = (vertices as { x: number; y: number; bulge?: number }[]).map(({ x, y, bulge }) => ({
        x,
        y,
        bulge: bulge ?? 0,
      }));
      const [first, last] = [corners[0], corners.at(-1)];
      if (!first || !last || corners.length < 2) return null;
      if (shape) return { outline: corners };
      return { pieces: corners.slice(0, -1).map((from, i) => ({ from, to: corners[i + 1]! })) };
    }
    default:
      return null;
  }
}

/** Ends closer than this share of the drawing's size are one point. */
const closeness = 1e-5;

/** Pieces joined end to end into closed outlines, and how many ways stay open. */
function joined(pieces: readonly Piece[]): { closed: Outline[]; open: number } {
  if (pieces.length === 0) return { closed: [], open: 0 };
  const spread = pieces.reduce(
    (most, { from, to }) =>
      Math.max(most, Math.abs(from.x), Math.abs(from.y), Math.abs(to.x), Math.abs(to.y)),
    1,
  );
  const near: Mm = spread * closeness;
  const key = (p: { x: number; y: number }) => `${Math.round(p.x / near)},${Math.round(p.y / near)}`;
  // A point near the edge of its cell is looked for in the cells beside it too.
  const cells = new Map<string, Set<number>>();
  const cellsAround = (p: { x: number; y: number }) =>
    [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => key({ x: p.x + dx * near, y: p.y + dy * near })));
  pieces.forEach(({ from, to }, i) => {
    for (const end of [from, to]) {
      const cell = key(end);
      cells.set(cell, (cells.get(cell) ?? new Set()).add(i));
    }
  });
  const left = new Set(pieces.keys());
  const meets = (a: { x: number; y: number }, b: { x: number; y: number }) =>
    Math.hypot(a.x - b.x, a.y - b.y) <= near;
  const nextAt = (p: { x: number; y: number }): { corner: Corner; to: { x: number; y: number } } | null => {
    for (const cell of cellsAround(p))
      for (const i of cells.get(cell) ?? []) {
        if (!left.has(i)) continue;
        const { from, to } = pieces[i]!;
        if (meets(from, p)) {
          left.delete(i);
          return { corner: from, to };
        }
        if (meets(to, p)) {
          left.delete(i);
          return { corner: { x: to.x, y: to.y, bulge: -from.bulge }, to: { x: from.x, y: from.y } };
        }
      }
    return null;
  };
  const closed: Outline[] = [];
  let open = 0;
  for (const start of pieces.keys()) {
    if (!left.delete(start)) continue;
    const corners: Corner[] = [pieces[start]!.from];
    let end = pieces[start]!.to;
    while (!meets(end, corners[0]!)) {
      const next = nextAt(end);
      if (!next) break;
      corners.push(next.corner);
      end = next.to;
    }
    if (meets(end, corners[0]!) && (corners.length > 1 || arcOf(corners[0]!, end as Corner)))
      closed.push(corners);
    else open += 1;
  }
  return { closed, open };
}
