import { axesAcross, type Axis, axisOf, type Face, facesOf } from "../../../frame/index.ts";
import { type Dimension, dimensionOf, type LengthUnit, type Mm, tidy } from "../../../quantity/index.ts";
import { type Phrase, say, words } from "../../../working/index.ts";
import { onCircle, onGrid, type Point } from "../../patterns.ts";
import type { Site } from "../site.ts";
import type { Hole } from "./schema.ts";

/** More holes than this in one pattern are a slip of the key. */
const mostInPattern = 400;

/**
 * Middles of all holes of a pattern. A grid begins with the hole that is placed, a bolt circle lies about it; of four corners it is
 * one, and the others are as far in from theirs.
 * @returns null while a size is missing or a count is none
 */
export function holeMiddles(
  { face, pattern, sizes, numbers, towardFirst, towardSecond }: Hole,
  [x, y]: Point,
  { sizes: block }: Pick<Site, "sizes">,
): Point[] | null {
  if (pattern === "one") return [[x, y]];
  if (pattern === "corners") {
    const [a, b] = axesAcross(face);
    const [xs, ys] = [bothSides(x, block[a]), bothSides(y, block[b])];
    return ys.flatMap((at) => xs.map((along): Point => [along, at]));
  }
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

/** Four corners as rows of the same holes: in another part they are not its corners. Any other pattern is what it is. */
export function cornersAsRows(
  hole: Hole,
  at: Point,
  { sizes: block }: Pick<Site, "sizes">,
  unit: LengthUnit,
): Hole {
  if (hole.pattern !== "corners") return hole;
  const [a, b] = axesAcross(hole.face);
  const [x, y] = [bothSides(at[0], block[a]), bothSides(at[1], block[b])];
  const pitch = (places: readonly Mm[]) =>
    places.length > 1 ? dimensionOf(tidy(places[1]! - places[0]!), unit) : null;
  const toward = (axis: Axis, place: Mm) => facesOf(axis)[place <= block[axis] / 2 ? 1 : 0];
  return {
    ...hole,
    pattern: "grid",
    sizes: { ...hole.sizes, pitchFirst: pitch(x), pitchSecond: pitch(y) },
    numbers: { ...hole.numbers, countFirst: x.length, countSecond: y.length },
    towardFirst: toward(a, at[0]),
    towardSecond: toward(b, at[1]),
  };
}

/** A place and the one as far in from the other edge, the low one first; one where it lies in the middle. */
const bothSides = (at: Mm, size: Mm): Mm[] => {
  const other = tidy(size - at);
  return Math.abs(other - at) < 1e-6 ? [at] : [Math.min(at, other), Math.max(at, other)];
};

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
