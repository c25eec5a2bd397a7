import { type Cut, type CutTask } from "../cutting/index.ts";
import type { turnBetween } from "../frame/index.ts";
import { type Axis, type Face, type Orientation } from "../frame/index.ts";
import { type Seat } from "../holding/index.ts";
import { type Limits, type Mm } from "../quantity/index.ts";
import { type Piece } from "../stock/index.ts";
import { type Phrase, type Warning } from "../working/index.ts";
import { type OperationKey } from "./operation.ts";

export interface Setup {
  number: number;
  key: OperationKey;
  face: Face;
  axis: Axis;
  at: Orientation;
  seat: Seat;
  cut: Cut;
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
  after: Piece;
  title: Phrase;
  reasons: Phrase[];
  warnings: Warning[];
  /** How the part turns from the setup before. */
  turn: ReturnType<typeof turnBetween>;
  minutes: { cutting: number; handling: number };
}
