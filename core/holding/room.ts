import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Machine, Vise } from "../shop/index.ts";
import { type Refusal, refused, rule, say } from "../working/index.ts";
import type { Seat } from "./seat.ts";

/** Kept free between cutter and part when it is put in, mm. */
const roomAbove = 5;
/** Run-out beyond the part at both ends, mm. */
export const runOut = 2;

/**
 * M43: whether daylight is left for vise, parallels, part, tool and holder.
 * @param reach from the spindle nose to the cutting end, mm
 * @returns refusal, or null when there is room
 */
export function noDaylightFor(
  machine: Machine,
  vise: Pick<Vise, "bedHeight">,
  seat: Seat,
  reach: Mm,
): Refusal | null {
  const under = seat.table ? seat.table.packing : vise.bedHeight + (seat.parallels?.height ?? 0);
  const needed = under + seat.standing + reach + roomAbove;
  return needed > machine.daylight
    ? refused(
        rule(
          "M43.daylight",
        )`${seat.table ? "Packing" : "Vise"}, part and tool take ${mm(needed)}; ${machine.name} leaves ${mm(machine.daylight)} between table and spindle.`,
        say`Use a shorter tool or holder, lay the part down, or clamp it to the table.`,
      )
    : null;
}

/**
 * M43: whether the table travels far enough.
 * @param travel length of the cut and the cutter clear of it at both ends, mm
 * @returns refusal, or null when it does
 */
export function noTravelFor(machine: Machine, travel: Mm, axis: "x" | "y"): Refusal | null {
  return travel > machine.travel[axis]
    ? refused(
        rule(
          "M43.travel",
        )`The cut needs ${mm(tidy(travel))} of travel; ${machine.name} has ${mm(machine.travel[axis])}.`,
        say`Turn the part, use a smaller cutter, or cut it in two setups.`,
      )
    : null;
}
