import { type Mm, mm } from "../quantity/index.ts";
import type { Machine, Vise } from "../shop/index.ts";
import { type Refusal, refused, rule, say } from "../working/index.ts";
import type { Seat } from "./seat.ts";

/** Kept free between cutter and part when it is put in, mm. */
const roomAbove = 5;
/** Run-out beyond the part at both ends, mm. */
const runOut = 2;

/**
 * M43: whether spindle and table reach: daylight for vise, parallels, part, tool and holder; travel for part and cutter.
 * @param reach from the spindle nose to the cutting end, mm
 * @param along length of the cut, mm, and diameter of the cutter
 * @returns refusal, or null when there is room
 */
export function noRoomFor(
  machine: Machine,
  vise: Pick<Vise, "bedHeight">,
  seat: Seat,
  reach: Mm,
  along: Mm,
  diameter: Mm,
  axis: "x" | "y",
): Refusal | null {
  const under = seat.table ? seat.table.packing : vise.bedHeight + (seat.parallels?.height ?? 0);
  const needed = under + seat.standing + reach + roomAbove;
  if (needed > machine.daylight)
    return refused(
      rule(
        "M43.daylight",
      )`${seat.table ? "Packing" : "Vise"}, part and tool take ${mm(needed)}; ${machine.name} leaves ${mm(machine.daylight)} between table and spindle.`,
      say`Take a shorter tool or holder, lay the part down, or clamp it to the table.`,
    );
  const travel = along + diameter + 2 * runOut;
  if (travel > machine.travel[axis])
    return refused(
      rule(
        "M43.travel",
      )`The cut takes ${mm(travel)} of travel; ${machine.name} has ${mm(machine.travel[axis])}.`,
      say`Turn the part, take a smaller cutter, or cut it in two setups.`,
    );
  return null;
}
