import type { Pickup, TouchFrom } from "../locate/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Stroke } from "../recipes/index.ts";
import { type AnyKey, isFaceKey } from "../route/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { StepMeasure, StepMove } from "./step-parts.ts";
import type { LivePass } from "./live-passes.ts";
import type { Turns } from "./spindle-ticks.ts";
import type { Tick } from "./tick.ts";

export type StepKind =
  | "place"
  | "clamp"
  /** A tool put in, or turned at another speed. */
  | "check"
  /** Looked at before going on: nothing is set by it. */
  | "look"
  | "touch"
  | "cut"
  | "measure"
  | "cleanup"
  | "deburr"
  | "takeOut"
  /** Of features: a datum picked up, a move, work with a file. */
  | "pickup"
  | "move"
  | "hand"
  /** Work at the bench, saw or grinder, before or after all setups. */
  | "handwork";

/** One thing to do at the machine. */
export interface Step {
  /** Stays the same through a replan: `cut-2` is the second pass cut, whatever the plan says of the rest. */
  id: string;
  op: AnyKey;
  setup: number;
  kind: StepKind;
  title: Phrase;
  /** To be done in this order; a later one waits for those before it. */
  ticks: Tick[];
  pass: LivePass | null;
  measure: StepMeasure | null;
  touch: {
    axis: "x" | "y" | "z";
    setting: Mm;
    sizeAtZero: Mm;
    medium: Mm;
    /** Where the cutter stands, seen from the face it touches. */
    from: TouchFrom;
    /** Where the end of the cutter stands in Z at a touch from the side, a little above its depth; null from above. */
    end: Mm | null;
    /** Where it is cut by now, beside what was left standing higher. */
    on?: "cut";
    stale: string | null;
    /** Which way the touch is left: the knee goes down, the head goes up. */
    backOff: "down" | "up" | "sideways";
  } | null;
  /** A datum picked up in a setup of features; what made it stale. */
  pickup: (Pickup & { stale: string | null }) | null;
  /** Every stroke of a pass over a face, from the corner of the part; where it is not cut, none. */
  strokes: readonly Stroke[];
  move: StepMove | null;
  /** What goes into the spindle for a touch: a cutter by its id, or null for a finder, an indicator, a pin; how fast it turns. */
  tool: { id: string | null; rpm: number | null } | null;
  /** Which way the spindle must turn, where a tool goes in or turns otherwise. */
  turns: Turns | null;
  notes: Warning[];
  done: boolean;
  minutes: number;
}

/** A step with nothing in it but what is given; done when all its ticks are, where nothing else is said. */
export function newStep<K extends AnyKey>(
  op: K,
  setup: number,
  kind: StepKind,
  id: string,
  title: Phrase,
  more: Partial<Step> = {},
): Step & { op: K } {
  const ticks = more.ticks ?? [];
  return {
    pass: null,
    strokes: [],
    measure: null,
    touch: null,
    pickup: null,
    move: null,
    tool: null,
    turns: null,
    notes: [],
    minutes: 0,
    done: ticks.length > 0 && ticks.every((t) => t.done),
    ...more,
    id,
    setup,
    kind,
    title,
    ticks,
    op,
  };
}

/** A step of a face's setup. */
export type FaceStep = Step & { op: OperationKey };
export const isFaceStep = (step: Step): step is FaceStep => isFaceKey(step.op);

export const staleWords: { [cause: string]: string } = {
  moved: "a clamp was touched or the part moved",
  cutter: "the cutter was changed",
  knee: "the knee or a collar was moved",
  restarted: "the machine or readout was restarted",
};
