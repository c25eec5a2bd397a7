import { type Mm, tidy } from "../quantity/index.ts";

/** How wide a V-block is along the shaft, mm (guess). */
const blockWidth = 36;
/** What comes out below keeps so far from a block, mm. */
const clearOfBlock = 1;

/**
 * Where V-blocks stand under a lying shaft so that what comes out below comes out beside them, the middle of the shaft over the
 * middle of the jaws: two as far apart as is usual, one under a short shaft.
 * @param comesOut stretches of the shaft from its left end, mm
 * @returns middles of the blocks from the left end, mm; null where they cannot stand clear
 */
export function blockPlaces(length: Mm, jawWidth: Mm, comesOut: readonly (readonly [Mm, Mm])[]): Mm[] | null {
  const [low, high] = [Math.max(0, (length - jawWidth) / 2), Math.min(length, (length + jawWidth) / 2)];
  const half = blockWidth / 2;
  const places = Array.from({ length: Math.max(1, Math.floor(high - low - 2 * half) + 1) }, (_, i) =>
    tidy(high - low < 2 * half ? (low + high) / 2 : low + half + i),
  ).filter((m) =>
    comesOut.every(([from, to]) => to < m - half - clearOfBlock || from > m + half + clearOfBlock),
  );
  const nearest = (wanted: Mm, among: readonly Mm[]) =>
    among.reduce<Mm | null>(
      (best, m) => (best === null || Math.abs(m - wanted) < Math.abs(best - wanted) ? m : best),
      null,
    );
  const span = high - low;
  if (span < 2 * blockWidth) {
    const one = nearest((low + high) / 2, places);
    return one === null ? null : [one];
  }
  const left = nearest(low + span / 4, places);
  if (left === null) return null;
  const right = nearest(
    low + (3 * span) / 4,
    places.filter((m) => m >= left + blockWidth),
  );
  if (right !== null) return [left, right];
  const before = nearest(
    low + span / 4,
    places.filter((m) => m <= left - blockWidth),
  );
  return before === null ? null : [before, left];
}
