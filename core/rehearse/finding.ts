import type { Mm } from "../quantity/index.ts";

/** What the literal machine can find wrong. */
export const findingSorts = [
  /** A part of the tool meets jaw, bed, parallel, strap, rod, block or table. */
  "hits",
  /** The tool goes through metal where nothing is to be cut. */
  "ploughs",
  /** Shank or holder rubs on metal that still stands. */
  "shank",
  /** A back-off that goes into the part. */
  "backsIn",
  /** More comes off in one stroke than was told with it. */
  "tooMuch",
  /** More power or force than the machine has. */
  "tooHard",
  /** A stroke that removes nothing. */
  "nothing",
  /** Told to go on cutting where nothing comes off, without end. */
  "endless",
  /** A chip thinner than the edge can cut. */
  "rubs",
  "stopped",
  "wrongWay",
  "otherSpeed",
  "otherTool",
  /** A zero taken with another tool in the spindle than named. */
  "zeroTool",
  "finderFast",
  /** An axis used after its zero went stale. */
  "stale",
  /** A stop approached from the side that leaves the slack in. */
  "slack",
  /** A middle halved without the slack. */
  "halved",
  "onAir",
  "noGrip",
  "lessGrip",
  "tips",
  "leftIn",
  /** Told to one side, and it is the other. */
  "side",
  /** Further than the machine travels, or no room under the spindle. */
  "reach",
  /** A place that is not told by any figure. */
  "notTold",
  /** A cutter without teeth at its center goes down into metal. */
  "plunge",
  /** Metal left over the drawing at the end. */
  "left",
  /** Cut below the drawing at the end. */
  "below",
] as const;
export type FindingSort = (typeof findingSorts)[number];

/** One thing found wrong, with where: step, place, size. */
export interface Finding {
  sort: FindingSort;
  op: string;
  step: string;
  setup: number;
  /** In the machine's frame, mm: X from the middle of the jaws, Y from the fixed jaw, Z from the bed; null where it has no place. */
  at: readonly [number, number, number] | null;
  /** How much, mm: how deep in, how far off, how much more than told. Of power and force a share above 1. */
  size: Mm;
  /** Which axis, which cutter, which feature; two things that meet or differ stand apart by " | ". */
  what: string;
  /** What was told, where more came off than that; mm. */
  told?: Mm;
}
