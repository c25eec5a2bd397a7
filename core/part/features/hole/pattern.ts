import { axisOf, type Face, facesOf } from "../../../frame/index.ts";
import type { Dimension } from "../../../quantity/index.ts";
import { type Phrase, say, words } from "../../../working/index.ts";
import { onCircle, onGrid, type Point } from "../../patterns.ts";
import type { Hole } from "./schema.ts";

/** More holes than this in one pattern are a slip of the key. */
const mostInPattern = 400;

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
    return onCircle(count!, sizes.circle.nominal / 2, start ?? 0, 360 / count!, [x, y]);
  }
  const { countFirst, countSecond } = numbers;
  if (!whole(countFirst) || !whole(countSecond) || countFirst! * countSecond! > mostInPattern) return null;
  if ((countFirst! > 1 && !sizes.pitchFirst) || (countSecond! > 1 && !sizes.pitchSecond)) return null;
  const toward = (pitch: Dimension | null, face: Face) =>
    (face === facesOf(axisOf(face))[0] ? -1 : 1) * (pitch?.nominal ?? 0);
  const pitch = { x: toward(sizes.pitchFirst, towardFirst), y: toward(sizes.pitchSecond, towardSecond) };
  return onGrid(countFirst!, countSecond!, pitch, [x, y]);
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
