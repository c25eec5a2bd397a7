import type { FeatureMove, Settled } from "../locate/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { FeatureKey, Measured } from "../route/index.ts";

/** A move as it is walked: where to stop on each axis, and what the hand does. */
export interface StepMove {
  move: FeatureMove;
  /** As it can be set, by axis. */
  targets: { axis: "x" | "y" | "z"; settled: Settled; from: Mm | null }[];
  of: number;
}

/** A size of a feature that is measured, with what the readings so far leave. */
export interface StepFit {
  measured: Measured;
  path: FeatureKey;
  /** What it should be now: before the last wall more or less than the target. */
  expected: Mm;
  readings: Mm[];
  /** What is still to come off to the target by the last reading, mm; null without one. */
  left: Mm | null;
}
