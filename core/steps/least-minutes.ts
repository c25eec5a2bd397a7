import { handlingTimes } from "../handbook/index.ts";
import type { Minutes } from "../quantity/index.ts";
import type { Step } from "./step.ts";

/**
 * The least time that a step at the metal takes: its feeds at the told feed, without what the hands do between them.
 * @returns minutes; 0 for a step at which nothing is cut
 */
export function leastCutMinutes({ pass, move, strokes, minutes }: Step): Minutes {
  if (move) return move.move.kind === "go" || move.move.cuts === "air" ? 0 : minutes;
  if (!pass) return 0;
  const gone = strokes.filter((s) => s.kind === "go").length * handlingTimes.goTo;
  return Math.max(0, minutes - gone);
}
