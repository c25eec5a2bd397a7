import type { Side } from "../frame/index.ts";
import type { FaceLane, FaceSweep } from "../recipes/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Machine } from "../shop/index.ts";
import { type Phrase, precise, rule, say, words } from "../working/index.ts";

/** A place judged by eye: to the nearest millimeter. */
const eye = (at: Mm) => precise(mm(Math.round(at)), 0);

/** Where the lanes of a face lie, in the order they are cut. Nothing for the side of a cutter: it goes along its wall. */
export function laneWords({ lanes, along, size, by }: FaceSweep): Phrase[] {
  if (by === "side") return [];
  const whole = lanes[0];
  if (!whole) return [];
  if (lanes.length === 1 && whole.over === null)
    return [words("One lane, the cutter over the center: it covers the whole face.")];
  const across = along === "x" ? size.y : size.x;
  const [low, high]: [Side, Side] = along === "x" ? ["front", "back"] : ["left", "right"];
  // The first lane lies on the edge its numbers are counted from.
  const fromLow = lanes.length === 1 ? whole.over === low : lanes[0]!.covers[0] < lanes[1]!.covers[0];
  const edge = fromLow ? low : high;
  const inward = (at: Mm): Mm => tidy(fromLow ? at : across - at);
  return lanes.map((lane: FaceLane, i) => {
    const far = inward(fromLow ? lane.covers[1] : lane.covers[0]);
    const middle = inward(lane.middle);
    const where =
      Math.round(middle) === 0
        ? say`on the ${edge} edge`
        : middle > 0
          ? say`${eye(middle)} in from the ${edge} edge`
          : say`${eye(-middle)} out past the ${edge} edge`;
    const takes =
      i > 0 && lane.over !== null
        ? say`the rest, out over the ${lane.over} edge`
        : i === 0
          ? say`the ${edge} ${eye(far)}`
          : say`on to ${eye(far)} from the ${edge} edge`;
    return say`Lane ${i + 1}: ${takes}; center of the cutter ${where}.`;
  });
}

/** How the cutter is brought back from one lane or pass to the next without dragging over what it cut. */
export const returnWords = ({ by, lanes, side }: FaceSweep, { depthBy }: Pick<Machine, "depthBy">): Phrase =>
  by === "side"
    ? rule("return.side")`At the end back off sideways, clear of the ${side ?? ""} side, then go back.`
    : rule(
        "return.clear",
      )`At the end ${depthBy === "knee" ? "drop the knee a turn" : "raise the head a turn"}, go back clear of the part, then ${depthBy === "knee" ? "up" : "down"} again${lanes.length > 1 ? " to the same stop for the next lane" : ""}. Never drag back over the cut.`;
