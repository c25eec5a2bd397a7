import { extentOfOutline, inOutline, type Outline } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { endStrokes, type Stretch, worthwhile } from "./row-ends.ts";
import { type Sweep, widestLane } from "./sweep.ts";
import { freeAlong, isFree, offSide, piecesOf, plungesAlong, waysWithAxis } from "./offset.ts";
import {
  clearOff,
  conventionalAlong,
  plungeAt,
  type Point,
  type SpindleWay,
  straight,
} from "./spindle-way.ts";

/** Rows nearer to each other than this are one, mm. */
const sameRow = 0.01;
/** More than chords stay off an arc, less than can be set, mm. */
const tiny = 0.004;

/** Rows over a region that touch neither its outline nor what stands in it. */
export function regionWays(sweep: Extract<Sweep, { kind: "region" }>, diameter: Mm): SpindleWay[] {
  const { outer, islands, around, leave } = sweep;
  const r = diameter / 2;
  const walls: Outline[] = [...(outer ? [outer] : []), ...islands];
  const pieces = walls.flatMap(piecesOf);
  const extent = outer
    ? {
        x: [Math.min(...pieces.map(([p]) => p[0])), Math.max(...pieces.map(([p]) => p[0]))] as const,
        y: [Math.min(...pieces.map(([p]) => p[1])), Math.max(...pieces.map(([p]) => p[1]))] as const,
      }
    : {
        x: [around.x[0] - r - clearOff, around.x[1] + r + clearOff] as const,
        y: [around.y[0], around.y[1]] as const,
      };
  // Where an arc ends the region its outermost row is a point: just inside of it there is one to go on from.
  const tip = r + leave + tiny;
  const [low, high] = outer ? [extent.y[0] + tip, extent.y[1] - tip] : extent.y;
  if (high < low) return [];
  const count = Math.max(1, Math.ceil((high - low) / (widestLane * diameter) - 1e-9));
  const inside = (p: Point) => within(p, outer, islands);
  // Besides the even rows one along every straight that runs with them: no more is left there than elsewhere.
  const beside = [
    ...(outer ? [{ outline: outer, metal: "outside" as const }] : []),
    ...islands.map((outline) => ({ outline, metal: "inside" as const })),
  ].flatMap(({ outline, metal }) =>
    waysWithAxis(outline).flatMap(({ from, to, along }) =>
      along === "x" ? [from.y + offSide(outline, metal) * Math.sign(to.x - from.x) * (r + leave)] : [],
    ),
  );
  // And one past each end of what stands in it: an arc there has no straight of its own.
  const pastEnds = islands.flatMap((island) => {
    const { y } = extentOfOutline(island);
    return [y[0] - r - leave, y[1] + r + leave];
  });
  const even = Array.from({ length: count + 1 }, (_, i) => low + ((high - low) * i) / count);
  // Where nothing bounds it the cutter may run beside the part.
  const past = outer ? 0 : r;
  const rows = [...even, ...[...beside, ...pastEnds].filter((y) => y >= low - past && y <= high + past)]
    .map((y) => tidy(y))
    .sort((a, b) => a - b)
    .filter((y, i, all) => i === 0 || y - all[i - 1]! > sameRow);
  const freeAt = (y: Mm): Stretch[] =>
    freeAlong("x", y, [extent.x[0], extent.x[1]], pieces, r + leave)
      .filter(([a, b]) => inside([(a + b) / 2, y]))
      .map((ends) => ({ y, ends }));
  const free = rows.map(freeAt);
  const inRows = free.flatMap((stretches, row) =>
    stretches.filter(worthwhile).map(({ y, ends: [a, b] }): SpindleWay => {
      const open = { low: !outer && a <= extent.x[0] + 1e-6, high: !outer && b >= extent.x[1] - 1e-6 };
      // Open at one end: it comes in from there, and plunges nowhere.
      const toward = open.low === open.high ? (row % 2 === 0 ? 1 : -1) : open.low ? 1 : -1;
      return straight("x", y, [a, b], toward, open, "full");
    }),
  );
  const atEnds = free.flatMap((stretches, row) =>
    stretches.flatMap((stretch) =>
      (free[row + 1] ?? [])
        .filter((next) => overlap(stretch, next))
        .flatMap((next) => endStrokes(stretch, next, freeAt, r)),
    ),
  );
  return [...inRows, ...atEnds];
}

const overlap = ({ ends: a }: Stretch, { ends: b }: Stretch): boolean => a[0] < b[1] && b[0] < a[1];

/** Whether a point lies in the outer outline and in no island. */
const within = ([x, y]: Point, outer: Outline | null, islands: readonly Outline[]): boolean =>
  (!outer || inOutline(outer, x, y)) && !islands.some((o) => inOutline(o, x, y));

/**
 * Along an outline: feeds where it runs with an axis, plunges along the rest.
 * @param shift how much further into the metal it is cut along its straights than drawn, mm
 */
export function contourWays(
  sweep: Extract<Sweep, { kind: "contour" }>,
  diameter: Mm,
  shift: Mm,
): SpindleWay[] {
  const { outline, metal, cusp, ways } = sweep;
  const r = diameter / 2;
  const side = offSide(outline, metal);
  const pieces = piecesOf(outline);
  const all = waysWithAxis(outline);
  // Beside a wall that is cut by itself the first circle of an arc has nothing to cut.
  const cutBefore = (index: number) => {
    const beside = all[(index + all.length) % all.length];
    return ways !== null && beside?.along !== null && beside !== undefined && !ways.includes(beside.index);
  };
  return all.flatMap(({ from, to, along, index }): SpindleWay[] => {
    if (ways && !ways.includes(index)) return [];
    if (along) {
      const other = along === "x" ? "y" : "x";
      const ahead = Math.sign(to[along] - from[along]);
      const left = along === "x" ? ahead : -ahead;
      const at = from[other] + side * left * (r - shift);
      const ends: [Mm, Mm] = [Math.min(from[along], to[along]) - r, Math.max(from[along], to[along]) + r];
      const toward = conventionalAlong(along, side * left > 0 ? "low" : "high");
      return freeAlong(along, at, ends, pieces, Math.min(r, r - shift)).map((reach) =>
        straight(along, at, reach, toward, { low: false, high: false }, "conventional"),
      );
    }
    const circles = plungesAlong(from, to, side, r, cusp);
    return circles
      .slice(cutBefore(index - 1) ? 1 : 0, cutBefore(index + 1) ? -1 : circles.length)
      .filter((p) => isFree(p, pieces, r - 0.002))
      .map(plungeAt);
  });
}
