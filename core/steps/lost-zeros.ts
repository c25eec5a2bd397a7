import { type Stroke } from "../recipes/index.ts";
import type { FeatureKey, FeatureOperation, FeatureSetup } from "../route/index.ts";
import { type FeatureProgress, isCut } from "./feature-progress.ts";
import { byEyeTick, type StaleCause } from "./record.ts";
import { leftOver, mostRounds, type States } from "./wall-fit.ts";

export type ZeroAxis = "x" | "y" | "z";

/** Which zeros a cause makes stale (M44): a collar that slipped may be any of them. */
export const stales: Record<StaleCause, readonly ZeroAxis[]> = {
  moved: ["x", "y", "z"],
  restarted: ["x", "y", "z"],
  cutter: ["z"],
  knee: ["x", "y", "z"],
};

/** Zeros that were lost in a setup: since when, why, and at which operation they are taken again. */
export interface LostZero {
  cause: StaleCause;
  seq: number;
  op: FeatureKey;
}

/**
 * What made zeros of a setup stale, in order. They are taken again at the operation that was not finished then: the tool of one
 * that is done left the spindle long ago.
 */
export function lostZeros(
  { operations }: Pick<FeatureSetup, "operations">,
  states: States,
  movesOf: ReadonlyMap<FeatureKey, readonly Stroke[]>,
): LostZero[] {
  const finished = (op: FeatureOperation, by: number): boolean => {
    const state = states.get(op.key);
    const moves = movesOf.get(op.key) ?? [];
    if (op.by === "hand" || moves.length === 0) return true;
    if (!state || takenAgain(state, by) || isRecut(op, state)) return false;
    if (op.tilt !== null) return (state.ticks.get(byEyeTick) ?? Infinity) < by;
    return isCut(state) && moves.every((m) => (state.ticks.get(`move-${m.number}`) ?? Infinity) < by);
  };
  return operations
    .flatMap((o) => states.get(o.key)?.stales ?? [])
    .sort((a, b) => a.seq - b.seq)
    .flatMap(({ cause, seq }) => {
      const op = operations.find((o) => o.by !== "hand" && !finished(o, seq));
      return op ? [{ cause, seq, op: op.key }] : [];
    });
}

const axes: readonly ZeroAxis[] = ["x", "y", "z"];

/** Whether a zero was taken at an operation since: it was not done with by then. */
const takenAgain = ({ ticks }: FeatureProgress, by: number): boolean =>
  axes.some((axis) => (ticks.get(`zero-${axis}`) ?? -1) > by);

/** Whether it is being cut once more by what was measured. */
function isRecut(op: FeatureOperation, { measured, readings }: FeatureProgress): boolean {
  if (!op.measure || measured === 0 || measured >= mostRounds) return false;
  return leftOver(op, op.measure, readings.get(op.measure.size)?.[measured - 1] ?? []) > 0;
}
