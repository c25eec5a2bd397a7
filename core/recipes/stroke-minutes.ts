import { handlingTimes } from "../handbook/index.ts";
import type { Minutes, Mm, MmPerMin } from "../quantity/index.ts";
import type { Stroke } from "./strokes.ts";

/** How far a cutter feeds into the air before metal, mm. */
const runIn = 2;

/**
 * The minutes of each stroke as it is told: what is fed at its feed, what is gone to by hand at the time a hand takes for it.
 * @param vf the operation's feed where a stroke has none of its own, mm/min
 * @param top where metal begins below zero, mm: down to there the spindle comes by hand
 */
export function minutesOfEach(strokes: readonly Stroke[], vf: MmPerMin, top: Mm): Minutes[] {
  const here: Record<"x" | "y" | "z", Mm | null> = { x: null, y: null, z: null };
  return strokes.map((stroke) => {
    const { to, kind, cuts } = stroke;
    const by = (axis: "x" | "y") =>
      to[axis] === undefined || here[axis] === null ? 0 : to[axis] - here[axis];
    const feed = stroke.vf ?? vf;
    const begins = here.z ?? -top + runIn;
    const [dx, dy] = [by("x"), by("y")];
    if (kind === "go") here.z = null;
    Object.assign(here, to);
    if (kind === "go") return handlingTimes.goTo;
    if (kind === "in") return Math.abs(to.y ?? 0) / feed;
    if (kind === "feed") return Math.hypot(dx, dy) / feed;
    return cuts === "air" ? handlingTimes.down : Math.abs((to.z ?? begins) - begins) / feed;
  });
}

/** The minutes of all of them. */
export const strokeMinutes = (strokes: readonly Stroke[], vf: MmPerMin, top: Mm): Minutes =>
  minutesOfEach(strokes, vf, top).reduce((sum, m) => sum + m, 0);
