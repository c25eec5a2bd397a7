import { arcOf, chordsOf, type Outline, outlineArea, smooth, turnAt, waysOf } from "../../../frame/index.ts";
import type { Mm } from "../../../quantity/index.ts";
import { type Phrase, words } from "../../../working/index.ts";

type Point = readonly [number, number];

const side = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether two ways cross within both of them. */
const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) < -1e-12 && side(c, d, a) * side(c, d, b) < -1e-12;

/** Chords this fine show every crossing a drawing has, mm. */
const cusp = 0.05;

/** Why an outline encloses nothing that can be milled; null for one that does. */
export function outlineProblem(corners: Outline): Phrase | null {
  if (corners.length < 2 || Math.abs(outlineArea(corners)) < 0.01)
    return words("An outline needs at least three points, or two and an arc, that enclose something.");
  const points = chordsOf(corners, cusp);
  if (points.length > 600) return null;
  for (let i = 0; i < points.length; i++)
    for (let j = i + 2; j < points.length; j++) {
      if (i === 0 && j === points.length - 1) continue;
      const [a, b] = [points[i]!, points[i + 1]!];
      const [c, d] = [points[j]!, points[(j + 1) % points.length]!];
      if (cross(a, b, c, d)) return words("The outline crosses itself. Check the order of its points.");
    }
  return null;
}

/**
 * The smallest inside corner a cutter has to leave, mm: 0 where two ways meet sharply, null where it has none.
 * @param takes whether the cutter runs within the outline or around it
 */
export function sharpestInside(corners: Outline, takes: "inside" | "outside"): Mm | null {
  const around = outlineArea(corners) > 0 ? 1 : -1;
  // Within an outline the cutter meets its convex corners, around it the hollow ones.
  const meets = takes === "inside" ? around : -around;
  const ways = waysOf(corners);
  const found: Mm[] = [];
  ways.forEach(([from, to], i) => {
    const arc = arcOf(from, to);
    if (arc && Math.sign(arc.turn) === meets) found.push(arc.r);
    const turn = turnAt(corners, (i + 1) % corners.length);
    if (Math.abs(turn) > smooth && Math.sign(turn) === meets) found.push(0);
  });
  return found.length === 0 ? null : Math.min(...found);
}
