import { type Stroke, type Measured } from "../recipes/index.ts";
import type { Settled } from "../locate/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { FeatureKey } from "../route/index.ts";
import type { MeasuredHow } from "../shop/index.ts";

/** Where one axis stops. */
export interface MoveTarget {
  axis: "x" | "y" | "z";
  /** As it is told: with the slack counted in. */
  settled: Settled;
  from: Mm | null;
  /** Slack in the figure because it is come to against the side of the zero, mm with its sign; 0 where none is. */
  counted: Mm;
  /** Which way the last bit is moved where nothing is cut on the way: past the slack, on the side of the zero. */
  approach: 1 | -1 | null;
}

/** A move as it is walked: where to stop on each axis, and what the hand does. */
export interface StepMove {
  move: Stroke;
  /** As it can be set, by axis. */
  targets: MoveTarget[];
  of: number;
}

/** How a size of a feature is measured: a depth from its face, a gap inside, else outside. */
export const howMeasured = ({ size, grows }: Measured): MeasuredHow =>
  grows ? (/depth/i.test(size) ? "depth" : "inside") : "outside";

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
