import { type Mm, tidy } from "../quantity/index.ts";

/** Arcs cut in steps, by the equation of the circle. Mm (or inch throughout); null for what cannot be. */

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Half the width of a round of a radius, so far below its top: √(2 R z − z²). */
export const halfWidthAt = (radius: Mm, depth: Mm): Mm | null =>
  radius > 0 && depth >= 0 && depth <= 2 * radius ? Math.sqrt(2 * radius * depth - depth ** 2) : null;

/**
 * An outside round between a top and a side, cut by a flat end mill at a depth below the top.
 * @returns how far in from the side the profile lies, and how far out from it the axis stands
 */
export function roundedEdgeStep(radius: Mm, cutterRadius: Mm, depth: Mm): { inward: Mm; outward: Mm } | null {
  const half = depth <= radius ? halfWidthAt(radius, depth) : null;
  if (half === null || !(cutterRadius > 0)) return null;
  const inward = radius - half;
  return { inward, outward: cutterRadius - inward };
}

/** A lying cylinder cut down from its top: the axis stands so far from the center line on either side. */
export function cylinderStep(radius: Mm, cutterRadius: Mm, depth: Mm): { half: Mm; axis: Mm } | null {
  const half = halfWidthAt(radius, depth);
  return half === null || !(cutterRadius > 0) ? null : { half, axis: half + cutterRadius };
}

/** A ball cutter on an outside round, at an angle from its top: center out from the side face, tip below the top. */
export const ballOnRound = (radius: Mm, ball: Mm, angle: number): { x: Mm; tip: Mm } | null =>
  radius > 0 && ball > 0
    ? {
        x: -radius + (radius + ball) * Math.sin(rad(angle)),
        tip: (radius + ball) * (Math.cos(rad(angle)) - 1),
      }
    : null;

/** A ball cutter in an inside round, at an angle from straight down: center from the round's center, tip below it. */
export const ballInRound = (radius: Mm, ball: Mm, angle: number): { x: Mm; tip: Mm } | null =>
  radius > ball && ball > 0
    ? { x: (radius - ball) * Math.sin(rad(angle)), tip: -(radius - ball) * Math.cos(rad(angle)) - ball }
    : null;

/** How far a drafted side has gone out at a depth. */
export const draftAt = (angle: number, depth: Mm): Mm | null =>
  angle >= 0 && angle < 90 && depth >= 0 ? depth * Math.tan(rad(angle)) : null;

export interface Stair {
  /** Below the crown of the hollow's opening, or below the top of the round. */
  depth: Mm;
  /** The profile there, from the center line. */
  half: Mm;
  /** Where the axis stands, from the center line. */
  axis: Mm;
}

/** More steps than anyone cuts by hand. */
const mostSteps = 200;

/**
 * The fewest steps down a lying cylinder's side that leave no corner standing out above a height, cut with the side of a
 * flat end mill. The corner between two depths stands out by √(half² + (R − depth above)²) − R: it is the same for all when
 * the squares of the half widths grow evenly.
 * @param depth how far down the arc is cut, at most its radius
 * @returns the steps from the top down; null for what cannot be, or more than two hundred steps
 */
export function cylinderStairs(radius: Mm, cutter: Mm, depth: Mm, cusp: Mm): Stair[] | null {
  if (!(radius > 0 && cutter > 0 && depth > 0 && depth <= radius && cusp > 0)) return null;
  const widest = 2 * radius * depth - depth ** 2;
  const most = (radius + cusp) ** 2 - radius ** 2;
  const count = Math.max(1, Math.ceil(tidy(widest / most)));
  if (count > mostSteps) return null;
  return Array.from({ length: count }, (_, i): Stair => {
    const square = (widest * (i + 1)) / count;
    const half = Math.sqrt(square);
    return {
      depth: i === count - 1 ? depth : tidy(radius - Math.sqrt(radius ** 2 - square)),
      half: tidy(half),
      axis: tidy(half + cutter / 2),
    };
  });
}
