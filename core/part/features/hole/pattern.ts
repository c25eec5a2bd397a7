import { axisOf, facesOf } from "../../../frame/index.ts";
import { type Phrase, say, words } from "../../../working/index.ts";
import type { Hole } from "./schema.ts";

/** More holes than this in one pattern are a slip of the key. */
const mostInPattern = 400;

type Point = readonly [x: number, y: number];

/** Places along a row from its first, toward one face. */
const row = (from: number, pitch: number, many: number, toward: Hole["towardFirst"]): number[] => {
  const step = toward === facesOf(axisOf(toward))[0] ? -pitch : pitch;
  return Array.from({ length: many }, (_, i) => from + i * step);
};

/**
 * Middles of all holes of a pattern. A grid begins with the hole that is placed, a bolt circle lies about it.
 * @returns null while a size is missing or a count is none
 */
export function holeMiddles(
  { pattern, sizes, numbers, towardFirst, towardSecond }: Hole,
  [x, y]: Point,
): Point[] | null {
  if (pattern === "one") return [[x, y]];
  const whole = (n: number | null) => n !== null && Number.isInteger(n) && n >= 1;
  if (pattern === "circle") {
    const { count, start } = numbers;
    if (!sizes.circle || !whole(count) || count! > mostInPattern) return null;
    const r = sizes.circle.nominal / 2;
    return Array.from({ length: count! }, (_, i): Point => {
      const angle = (((start ?? 0) + (360 * i) / count!) * Math.PI) / 180;
      return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
    });
  }
  const { countFirst, countSecond } = numbers;
  if (!whole(countFirst) || !whole(countSecond) || countFirst! * countSecond! > mostInPattern) return null;
  if ((countFirst! > 1 && !sizes.pitchFirst) || (countSecond! > 1 && !sizes.pitchSecond)) return null;
  const xs = row(x, sizes.pitchFirst?.nominal ?? 0, countFirst!, towardFirst);
  const ys = row(y, sizes.pitchSecond?.nominal ?? 0, countSecond!, towardSecond);
  return ys.flatMap((py) => xs.map((px): Point => [px, py]));
}

/** Why a pattern can be none; null when something is only missing. */
export function patternProblem({ pattern, numbers }: Hole): Phrase | null {
  const counts =
    pattern === "grid"
      ? [numbers.countFirst, numbers.countSecond]
      : pattern === "circle"
        ? [numbers.count]
        : [];
  if (counts.some((n) => n !== null && (!Number.isInteger(n) || n < 1)))
    return words("A pattern has one hole or more: enter whole numbers.");
  return counts.reduce<number>((many, n) => many * (n ?? 1), 1) > mostInPattern
    ? say`A pattern of more than ${mostInPattern} holes is too many for one feature: split it.`
    : null;
}
