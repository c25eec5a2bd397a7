import type { Mm } from "../quantity/index.ts";
import type { Round } from "../shop/index.ts";
import type { Solid, SolidKit, Vec } from "./solid.ts";

/** Straight pieces that a round is made of; four of them lie along and across the way it goes, so that its walls are exact. */
export const sidesFor = (radius: Mm): number => (radius < 3 ? 16 : radius < 12 ? 32 : 48);

/** Points of a circle about a place, one of them exactly along a direction. */
export function circleAt(x: Mm, y: Mm, radius: Mm, toward: number): [number, number][] {
  const sides = sidesFor(radius);
  return Array.from({ length: sides }, (_, i) => {
    const angle = toward + (2 * Math.PI * i) / sides;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
}

/** The outline a round leaves in plan on a straight way: half a circle at either end. */
export function wayInPlan(
  from: readonly [number, number],
  to: readonly [number, number],
  radius: Mm,
): [number, number][] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if (Math.hypot(dx, dy) < 1e-9) return circleAt(from[0], from[1], radius, 0);
  const toward = Math.atan2(dy, dx);
  const sides = sidesFor(radius);
  const half = (x: number, y: number, start: number): [number, number][] =>
    Array.from({ length: sides / 2 + 1 }, (_, i) => {
      const angle = start + (2 * Math.PI * i) / sides;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  return [...half(to[0], to[1], toward - Math.PI / 2), ...half(from[0], from[1], toward + Math.PI / 2)];
}

/** The body that a round sweeps on a straight way, its end at a place. */
export function sweptBy(round: Round, from: Vec, to: Vec, kit: SolidKit): Solid {
  const toward = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const points: Vec[] = [];
  for (const [x, y, z] of [from, to])
    for (const [r, up] of [
      [round.radiusLow, round.low],
      [round.radiusHigh, round.high],
    ] as const)
      for (const [px, py] of circleAt(x, y, r, toward)) points.push([px, py, z + up]);
  return kit.hull(points);
}
