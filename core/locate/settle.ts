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

/** A position of a move with what slack asks of it. */
export interface SettledMove {
  settled: Settled;
  counted: Mm;
  approach: 1 | -1 | null;
}

/**
 * Where to stop on an axis with slack that remembers from which side it was zeroed (M25, domain.md 9). With nothing to cut on the
 * way the stop is come to from that side; a feed that leads the other way cannot overshoot, so the slack is counted in its figure.
 * @param toward which way the axis moved when it was set
 * @param slack mm; 0 on a readout, or where a weight keeps it on one side
 */
export function settledAgainstSlack(
  { to, from, kind, toward }: { to: Mm; from: Mm | null; kind: string; toward: 1 | -1 },
  slack: Mm,
  screw: Pick<AxisScrew, "lead" | "division" | "readout">,
): SettledMove {
  if (slack === 0) return { settled: settleAt(to, screw), counted: 0, approach: null };
  if (kind === "go" || from === null) return { settled: settleAt(to, screw), counted: 0, approach: toward };
  const way = to > from ? 1 : -1;
  const counted = way === toward ? 0 : tidy(way * slack);
  return { settled: settleAt(tidy(to + counted), screw), counted, approach: null };
}

/** The position nearest to a wanted one that readout or dial can be set to. */
export function settleAt(wanted: Mm, screw: Pick<AxisScrew, "lead" | "division" | "readout">): Settled {
  const move = dialMove(Math.abs(wanted), screw.lead, screw.division);
  const step = screw.readout ?? screw.division;
  const stop = tidy(Math.round(tidy(wanted / step)) * step) || 0;
  return { stop, residue: tidy(wanted - stop) || 0, dial: move.ok ? move.value : null };
}
