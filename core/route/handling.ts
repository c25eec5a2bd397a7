import { handlingTimes } from "../handbook/index.ts";
import type { Entry } from "./setup.ts";

/** Minutes of placing the part, gluing it down where it is glued, or of moving the straps. */
export const placingTime = (entry: Entry, glued = false): number =>
  entry === "placed"
    ? handlingTimes.setup + (glued ? handlingTimes.glue : 0)
    : entry === "swapped"
      ? handlingTimes.indicate
      : 0;

/** Minutes around a cut: placing or moving the straps, touching off, deburring, measuring. */
export const handlingOf = (entry: Entry, sized: boolean, glued = false): number =>
  placingTime(entry, glued) +
  handlingTimes.touchOff +
  handlingTimes.deburr +
  handlingTimes.measure * (sized ? 2 : 1);
