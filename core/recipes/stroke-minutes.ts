import { handlingTimes } from "../handbook/index.ts";
import type { Minutes, Mm, MmPerMin } from "../quantity/index.ts";
import type { Stroke } from "./strokes.ts";

/** How far a cutter feeds into the air before metal, mm. */
const runIn = 2;

/**
 * The minutes of moves as they are told: what is fed at its feed, what is gone to by hand at the time a hand takes for it.
 * @param vf the operation's feed where a move has none of its own, mm/min
 * @param top where metal begins below zero, mm: down to there the spindle comes by hand
 */
export function strokeMinutes(moves: readonly Stroke[], vf: MmPerMin, top: Mm): Minutes {
  const here = { x: null, y: null, z: null } as Record<"x" | "y" | "z", Mm | null>;
  let minutes = 0;
  for (const move of moves) {
    const by = (axis: "x" | "y" | "z") =>
      move.to[axis] === undefined || here[axis] === null ? 0 : move.to[axis] - here[axis];
    const feed = move.vf ?? vf;
    if (move.kind === "go") {
      minutes += handlingTimes.goTo;
      here.z = null;
    } else if (move.kind === "down" && move.cuts === "air") minutes += handlingTimes.down;
    else if (move.kind === "down" || move.kind === "in") {
      const from = move.kind === "in" ? 0 : (here.z ?? -top + runIn);
      const to = move.kind === "in" ? (move.to.y ?? 0) : (move.to.z ?? 0);
      minutes += Math.abs(to - from) / feed;
    } else minutes += Math.hypot(by("x"), by("y")) / feed;
    Object.assign(here, move.to);
  }
  return minutes;
}
