import { handlingTimes } from "../handbook/index.ts";
import type { Entry } from "./setup.ts";

/** Minutes of placing the part, or of moving the straps. */
export const placingTime = (entry: Entry): number =>
  entry === "placed" ? handlingTimes.setup : entry === "swapped" ? handlingTimes.indicate : 0;

/** Minutes around a cut: placing or moving the straps, touching off, deburring, measuring. */
export const handlingOf = (entry: Entry, sized: boolean): number =>
  placingTime(entry) +
  handlingTimes.touchOff +
  handlingTimes.deburr +
  handlingTimes.measure * (sized ? 2 : 1);
