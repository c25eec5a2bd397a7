import type { Mm } from "../quantity/index.ts";
import { straight, type SpindleWay } from "./spindle-way.ts";

/** A stretch of a row that is free for the cutter's center. */
export interface Stretch {
  y: Mm;
  ends: readonly [low: Mm, high: Mm];
}

/** What may stand between the ends of two rows at a wall that runs aslant, mm: the pass along the wall takes it. */
const leftAtEnds: Mm = 0.4;
/** A stroke that brings no more than this is left out, mm. */
const least: Mm = 0.3;

export const worthwhile = ({ ends: [low, high] }: Stretch): boolean => high - low > least;

/** A stroke that finds no more than this to cut is left out, mm: beside the outer corner of what stands nothing is left. */
const unseen: Mm = 0.05;

/** Whether the end of a row reaches metal that the rows on both sides of it leave, of which one may run on past it. */
function leavesMetal({ y, ends }: Stretch, end: 0 | 1, beside: readonly Stretch[], r: Mm): boolean {
  const outward = end === 0 ? -1 : 1;
  const left = ({ y: row, ends: [low, high] }: Stretch, px: Mm, py: Mm) =>
    Math.hypot(Math.max(low - px, 0, px - high), py - row) - r;
  return Array.from({ length: 17 }, (_, i) => ((i - 8) * Math.PI) / 18).some((angle) => {
    const [px, py] = [ends[end] + outward * r * Math.cos(angle), y + r * Math.sin(angle)];
    return beside.every((row) => left(row, px, py) > unseen);
  });
}

/**
 * Short strokes at the ends of two neighboring rows, where a wall runs aslant or round between them: without them a wedge would
 * stand there at full depth. Each starts in what the rows have cleared.
 * @param freeAt the stretches free for the cutter's center along a line
 * @param r radius of the cutter, mm
 */
export function endStrokes(
  one: Stretch,
  other: Stretch,
  freeAt: (y: Mm) => readonly Stretch[],
  r: Mm,
): SpindleWay[] {
  // Circles at this distance along a wall leave a cusp of that height.
  const apart = 2 * Math.sqrt(2 * r * leftAtEnds);
  return ([0, 1] as const).flatMap((end) => {
    const outward = end === 0 ? -1 : 1;
    // So far in both rows have cleared all of a cutter that comes down between them.
    const inner = end === 0 ? Math.max(one.ends[0], other.ends[0]) : Math.min(one.ends[1], other.ends[1]);
    const between = (a: Stretch, b: Stretch): SpindleWay[] => {
      const dy = b.y - a.y;
      if (Math.abs(dy) < least || Math.hypot(b.ends[end] - a.ends[end], dy) <= apart) return [];
      const y = (a.y + b.y) / 2;
      const found = freeAt(y).find(({ ends: [low, high] }) => low <= inner + 1e-6 && inner <= high + 1e-6);
      if (!found) return [];
      const reached = end === 0 ? Math.max(a.ends[0], b.ends[0]) : Math.min(a.ends[1], b.ends[1]);
      const start = Math.max(found.ends[0], Math.min(found.ends[1], inner - outward * r));
      const ends = end === 0 ? ([found.ends[0], start] as const) : ([start, found.ends[1]] as const);
      const stroke =
        (found.ends[end] - reached) * outward > least && leavesMetal(found, end, [a, b], r)
          ? [straight("x", y, ends, outward, { low: false, high: false }, "full")]
          : [];
      return [...stroke, ...between(a, found), ...between(found, b)];
    };
    return between(one, other);
  });
}
