import { handlingTimes } from "../handbook/index.ts";
import { isGlued, type Seat } from "../holding/index.ts";
import type { Minutes } from "../quantity/index.ts";
import type { Entry } from "./setup.ts";

/** What each piece takes of minutes that are spent on all that lie in the vise at once. */
export const eachOf = ({ together }: Pick<Seat, "together">, minutes: Minutes): Minutes =>
  together ? minutes / 2 : minutes;

/** Minutes of placing the part, gluing it down where it is glued, or of moving the straps. */
export const placingTime = (entry: Entry, seat: Pick<Seat, "table">): Minutes =>
  entry === "placed"
    ? handlingTimes.setup + (isGlued(seat) ? handlingTimes.glue : 0)
    : entry === "swapped"
      ? handlingTimes.indicate
      : 0;

const aloneInVise = { table: null, together: null };

/** Minutes around a cut, for each piece: placing or moving the straps, touching off, deburring, measuring. */
export const handlingOf = (
  entry: Entry,
  sized: boolean,
  seat: Pick<Seat, "table" | "together"> = aloneInVise,
): Minutes =>
  eachOf(seat, placingTime(entry, seat) + handlingTimes.touchOff) +
  handlingTimes.deburr +
  handlingTimes.measure * (sized ? 2 : 1);
