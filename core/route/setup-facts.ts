import { type Cut, type CutTask } from "../cutting/index.ts";
import type { turnBetween } from "../frame/index.ts";
import { type Axis, type Face, type Orientation, type Side } from "../frame/index.ts";
import { type Seat } from "../holding/index.ts";
import type { FaceSweep } from "../recipes/index.ts";
import { type Limits, type Mm } from "../quantity/index.ts";
import { type Piece } from "../stock/index.ts";
import { type Phrase, type Warning } from "../working/index.ts";
import { type OperationKey } from "./operation.ts";

/** How a cut comes to its seat: newly placed, with the straps moved and the part left, or left as it was clamped. */
export type Entry = "placed" | "swapped" | "stays";

/** One operation with the seat it is cut in. Several in a row may share a clamping. */
export interface Setup {
  /** Place in the order of operations. */
  number: number;
  /** Which clamping, from 1: the part stays in it while straps are moved. */
  clamping: number;
  entry: Entry;
  /** The part stays where it is for the operation after it. */
  stays: boolean;
  key: OperationKey;
  face: Face;
  axis: Axis;
  at: Orientation;
  seat: Seat;
  /** Which way the face looks that is cut with the side of the cutter, seen from the front; null where it is up. */
  looks: Side | null;
  cut: Cut;
  /** What its cutter sweeps, as the part lies. */
  sweep: FaceSweep;
  /** What the cut was to do: enough to compare cutters and draw its limits when they are asked for. */
  task: CutTask;
  /** Why this cutter. */
  why: Phrase;
  /** Largest size before and size after, mm. */
  from: Mm;
  to: Mm;
  /** A required size (its other face is cut already), or a first face that only has to clean up. */
  sized: boolean;
  limits: Limits;
  before: Piece;
  /** The piece as it was when it was placed: what it stands on and against since. */
  placed: Piece;
  after: Piece;
  title: Phrase;
  reasons: Phrase[];
  warnings: Warning[];
  /** How the part turns from the setup before. */
  turn: ReturnType<typeof turnBetween>;
  minutes: { cutting: number; handling: number };
}
