import type { HeadOpened } from "./boring.ts";
import { type Stroke, type Measured } from "../recipes/index.ts";
import type { Settled } from "../locate/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { MeasuredHow } from "../shop/index.ts";
import type { ReadingOf } from "./record.ts";

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
  /** Down by the quill, knee or head locked. */
  quill: boolean;
  /** A boring head is opened before it. */
  head: HeadOpened | null;
}

/** How a size of a feature is measured: a depth from its face, a gap inside, else outside. */
export const howMeasured = ({ size, grows }: Measured): MeasuredHow =>
  grows ? (/depth/i.test(size) ? "depth" : "inside") : "outside";

/** A size that is measured. */
export interface StepMeasure {
  of: ReadingOf;
  how: MeasuredHow;
  /** What it should be now, mm. */
  expected: Mm;
  /** After how many passes of a face; 0 for a feature. */
  after: number;
  /** The last of its operation. */
  final: boolean;
  /** It is not to be left out. */
  required: boolean;
  readings: readonly Mm[];
  /** How far down from the top it is cut, where the jaws hold what is not; mm. */
  above: Mm | null;
  /** Of a face cut in two clampings: where it is cut, or what was left standing until it is cut too. */
  on?: "cut" | "left";
  /** Of a feature: what is measured, and what is still to come off by the last reading, mm; null without one. */
  fit: { measured: Measured; left: Mm | null } | null;
}
