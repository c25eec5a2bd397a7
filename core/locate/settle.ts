import { type Mm, tidy } from "../quantity/index.ts";
import type { AxisScrew } from "../shop/index.ts";
import { dialMove, type DialMove } from "./dial.ts";

/** A position as it can be set: on the readout, or in turns and divisions from the one zero. */
export interface Settled {
  /** mm from zero. */
  stop: Mm;
  /** Wanted − what can be set: counted anew from zero each time, so that it never adds up (M25). */
  residue: Mm;
  /** From zero, without its sign; null where the screw and its dial do not go together. */
  dial: DialMove | null;
}

/** The position nearest to a wanted one that readout or dial can be set to. */
export function settleAt(wanted: Mm, screw: Pick<AxisScrew, "lead" | "division" | "readout">): Settled {
  const move = dialMove(Math.abs(wanted), screw.lead, screw.division);
  const step = screw.readout ?? screw.division;
  const stop = tidy(Math.round(tidy(wanted / step)) * step) || 0;
  return { stop, residue: tidy(wanted - stop) || 0, dial: move.ok ? move.value : null };
}
