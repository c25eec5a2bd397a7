import type { Mm } from "../quantity/index.ts";
import { isFaceStep, type Step } from "./step.ts";
import { type Setup, setupWith, tell } from "../route/index.ts";
import { foldRecords, progressOf } from "./progress.ts";
import type { ReadingOf, Record, RecordEvent } from "./record.ts";
import { partnerFor, togetherWith } from "./together.ts";
import { outOfLine } from "./tick.ts";

/** What a person found where a step asks for it. */
export interface Found {
  /** The size that was read, mm. */
  reading?: Mm;
  clean?: boolean;
  instrument?: string;
}

const readingEvent = (op: Step["op"], of: ReadingOf, value: Mm, instrument: string): RecordEvent => ({
  type: "reading",
  op,
  of,
  value,
  written: { text: String(value), unit: "mm" },
  instrument,
  questioned: [],
});

/**
 * What begins an operation, where it is not begun yet: it is told as the plan has it now.
 * @param pieces all of the job, for the one that goes into the vise with this one
 */
export function beginningOf(
  setups: readonly Setup[],
  op: Step["op"],
  records: Record[],
  piece = 1,
  pieces: readonly number[] = [],
): RecordEvent[] {
  const setup = setupWith(setups, op);
  const operation = setup?.operations.find((o) => o.key === op);
  const begun = progressOf(foldRecords(records, piece), op) !== undefined;
  if (!setup || !operation || begun) return [];
  const partner = setup.seat.together ? partnerIn(setup, piece, { pieces, setups, records }) : null;
  return [
    { type: "begun", op, told: tell(setup, operation), ...(partner === null ? {} : { with: partner }) },
  ];
}

/** Who lies in the vise with a piece: whoever did since the setup began, else the next that is ready. */
export function partnerIn(
  setup: Setup,
  piece: number,
  among: Parameters<typeof partnerFor>[2],
): number | null {
  const { records } = among;
  const known = setup.operations.flatMap(({ key }) => togetherWith(records, key, piece) ?? [])[0];
  const goneOn = setup.operations.some(({ key }) => progressOf(foldRecords(records, piece), key));
  return known ?? (goneOn ? null : partnerFor(setup, piece, among));
}

/** Events with the begin of every operation among them that is not begun yet, each before its first. */
export function withBeginnings(
  events: readonly RecordEvent[],
  setups: readonly Setup[],
  records: Record[],
  piece: number,
  pieces: readonly number[] = [],
): RecordEvent[] {
  const seen = new Set<Step["op"]>();
  return events.flatMap((event) => {
    const op = "op" in event ? event.op : null;
    if (op === null || seen.has(op)) return [event];
    seen.add(op);
    return [...beginningOf(setups, op, records, piece, pieces), event];
  });
}

const measuredEvent = ({ op, measure }: Step, skipped: boolean): RecordEvent => ({
  type: "measured",
  op,
  after: measure?.after ?? 0,
  skipped,
});

/**
 * What one press at the machine keeps of a step: its next tick, then the cut, the zero, that measuring is finished. Nothing where
 * it waits for a reading or for an answer.
 */
export function eventsOfPress(step: Step): RecordEvent[] {
  const open = step.ticks.find((t) => !t.done);
  // What the last run says is out is not ticked as in line: it waits for another run.
  if (open && outOfLine(open) !== null) return [];
  return open ? [{ type: "tick", op: step.op, tick: open.id }] : eventsPastTicks(step);
}

/** What is kept of a step once nothing on it is left to tick. */
function eventsPastTicks(step: Step): RecordEvent[] {
  const { op } = step;
  if (isFaceStep(step) && step.pass)
    return [{ type: "cut", op: step.op, pass: step.pass.number, stop: step.pass.stop, last: step.pass.last }];
  if (isFaceStep(step) && step.touch)
    return [{ type: "touched", op: step.op, sizeAtZero: step.touch.sizeAtZero, medium: step.touch.medium }];
  if (step.pickup || step.move) return [{ type: "tick", op, tick: step.id }];
  return step.measure && step.measure.readings.length > 0 ? [measuredEvent(step, false)] : [];
}

/** The dye was marked by a pass that was not to be the last: nothing more is cut. Nothing where no pass is cut. */
export const eventsAtDye = (step: Step): RecordEvent[] =>
  isFaceStep(step) && step.pass
    ? [{ type: "cut", op: step.op, pass: step.pass.number, stop: step.pass.stop, last: true }]
    : [];

/** Measuring left out: the step is done without a reading. */
export const eventsToLeaveOut = (step: Step): RecordEvent[] => [measuredEvent(step, true)];

/** The records that complete a step, as a person makes them who does all of it; every open tick in its order. */
export function eventsToFinish(step: Step, found: Found = {}): RecordEvent[] {
  const { op, ticks, kind, measure } = step;
  if (isFaceStep(step) && kind === "cleanup")
    return [{ type: "cleanup", op: step.op, clean: found.clean ?? true }];
  if (measure)
    return [
      readingEvent(op, measure.of, found.reading ?? measure.expected, found.instrument ?? "caliper"),
      measuredEvent(step, false),
    ];
  const open = ticks.filter((t) => !t.done);
  return [...open.map((t): RecordEvent => ({ type: "tick", op, tick: t.id })), ...eventsPastTicks(step)];
}
