/** Thread and hole arithmetic. One unit throughout: mm or inch; null for what cannot be. */

/** Height of a full 60° thread, both sides, over its pitch: 0.75 H × 2 = 1.299 P. */
const fullHeight = 0.75 * Math.sqrt(3);
/** The basic height of an internal thread, both sides: 5/8 H × 2 = 1.0825 P. */
const basicHeight = 0.625 * Math.sqrt(3);

const positive = (...values: number[]) => values.every((v) => Number.isFinite(v) && v > 0);

/** Tapping size by the rule D − P: 77 % of a full thread. */
export const tappingSize = (diameter: number, pitch: number): number | null =>
  positive(diameter, pitch) && pitch < diameter ? diameter - pitch : null;

/** Least diameter of an internal thread as the standard draws it: D − 1.0825 P. */
export const basicMinor = (diameter: number, pitch: number): number | null =>
  tappingSize(diameter, pitch) === null ? null : diameter - basicHeight * pitch;

/** How much of a thread a drill leaves, in percent: of a full height, and of the basic internal one. */
export function threadPercent(
  diameter: number,
  pitch: number,
  drill: number,
): { full: number; basic: number } | null {
  if (!positive(diameter, pitch, drill) || drill >= diameter || pitch >= diameter) return null;
  const depth = diameter - drill;
  return { full: (100 * depth) / (fullHeight * pitch), basic: (100 * depth) / (basicHeight * pitch) };
}

/** The drill that leaves so many percent of a full thread. */
export function drillForPercent(diameter: number, pitch: number, percent: number): number | null {
  if (!positive(diameter, pitch, percent) || percent > 120) return null;
  const drill = diameter - (percent / 100) * fullHeight * pitch;
  return drill > 0 ? drill : null;
}

/** Height of a drill's point below its full diameter. */
export const pointLength = (drill: number, angle: number): number | null =>
  positive(drill, angle) && angle < 180 ? drill / 2 / Math.tan((angle * Math.PI) / 360) : null;
