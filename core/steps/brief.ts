import { eventsOfPress, eventsToFinish } from "./events-to-finish.ts";
import type { Minutes } from "../quantity/index.ts";
import { leastCutMinutes } from "./least-minutes.ts";
import type { RecordEvent } from "./record.ts";
import type { Step } from "./step.ts";
import { outOfLine, type Tick } from "./tick.ts";

/** What a practiced person does in one go: the steps folded into a press, and the one it ends at. */
export interface BriefCard {
  /** Completed by the press, in their order; none of them cuts, measures, or asks what can turn out otherwise. */
  folded: Step[];
  /** What the press ends at: a zero, a cut, a size, or a question with two honest answers. */
  last: Step;
  /** The question the press ends at, where it does; what stands after it in its step comes with the next press. */
  hold: Tick | null;
  /** Ticks of the last step that the press gives with it, before the question. */
  before: Tick[];
}

const open = ({ ticks }: Step): Tick[] => ticks.filter((t) => !t.done);

/** A question that can be answered two ways is never folded: it is asked by itself. */
const asks = (step: Step): boolean => open(step).some(isQuestion);
const isQuestion = (t: Tick): boolean => t.other !== undefined || outOfLine(t) !== null;

const tickedOnly = new Set<Step["kind"]>(["look", "place", "clamp", "check", "deburr"]);

/** Whether a step is passed on the way to the next without a press of its own. */
function folds(step: Step, next: Step): boolean {
  if (next.setup !== step.setup || asks(step) || step.notes.some((n) => n.severity === "stop")) return false;
  if (tickedOnly.has(step.kind)) return step.ticks.length > 0;
  // Both sides of a corner are picked up with the same tool, one after the other.
  if (step.pickup)
    return next.pickup !== null && next.op === step.op && !step.pickup.stale && !next.pickup.stale;
  if (!step.move || !next.move || next.op !== step.op) return false;
  const { kind } = step.move.move;
  // Down and along at one depth is one cut; a way through the air is part of the cut it leads to.
  return kind === "go" || (kind === "down" && next.move.move.kind === "feed");
}

/**
 * The card of the step to do now, told briefly: places, clamps, tools and ways in the air are folded into the zero, cut, size or
 * question they lead to. Every one of those keeps a press of its own, and every warning is on the card.
 * @param current index of the step to do now
 * @returns null when nothing is left to do
 */
export function briefCard(steps: readonly Step[], current: number): BriefCard | null {
  const left = steps.slice(current).filter((s) => !s.done);
  const ends = left.findIndex((step, i) => {
    const next = left[i + 1];
    return next === undefined || !folds(step, next);
  });
  const last = left[ends];
  if (!last) return null;
  const waiting = open(last);
  const at = waiting.findIndex(isQuestion);
  return {
    folded: left.slice(0, ends),
    last,
    hold: waiting[at] ?? null,
    before: at < 0 ? waiting : waiting.slice(0, at),
  };
}

/** The least time a press takes at the metal, minutes: 0 where it ends at a question. */
export const leastOfBrief = ({ folded, last, hold }: BriefCard): Minutes =>
  hold ? 0 : [...folded, last].reduce((sum, step) => sum + leastCutMinutes(step), 0);

/** What is read out of a card: where it goes and what is found on the way, and what it ends at. */
export const heardOf = ({ folded, last }: BriefCard): Step[] => [
  ...folded.filter((s) => s.move !== null || s.pickup !== null),
  last,
];

/** What a press gives before its last answer: every step folded, and what the last asks before its question. */
export const eventsFolded = ({ folded, last, before }: BriefCard): RecordEvent[] => [
  ...folded.flatMap((step) => eventsToFinish(step)),
  ...before.map((t): RecordEvent => ({ type: "tick", op: last.op, tick: t.id })),
];

/** All that one press gives in brief: what is folded, then the answer, the zero or the cut. Nothing where a reading is waited for. */
export function eventsOfBriefPress(card: BriefCard): RecordEvent[] {
  const ticked = new Set(card.before.map((t) => t.id));
  const { last } = card;
  const asked: Step = {
    ...last,
    ticks: last.ticks.map((t) => (ticked.has(t.id) ? { ...t, done: true } : t)),
  };
  const ends = eventsOfPress(asked);
  return ends.length > 0 || (card.before.length > 0 && last.measure === null && last.kind !== "cleanup")
    ? [...eventsFolded(card), ...ends]
    : [];
}
