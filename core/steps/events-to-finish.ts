import type { Mm } from "../quantity/index.ts";
import { isFaceStep, type Step } from "./step.ts";
import type { ReadingOf, RecordEvent } from "./record.ts";

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

/** The records that complete a step, as a person makes them who does all of it; every open tick in its order. */
export function eventsToFinish(step: Step, found: Found = {}): RecordEvent[] {
  const instrument = found.instrument ?? "caliper";
  if (isFaceStep(step)) {
    const { op } = step;
    if (step.pass)
      return [{ type: "cut", op, pass: step.pass.number, stop: step.pass.stop, last: step.pass.last }];
    if (step.touch)
      return [{ type: "touched", op, sizeAtZero: step.touch.sizeAtZero, medium: step.touch.medium }];
    if (step.pickup) return [{ type: "tick", op, tick: step.id }];
    if (step.kind === "cleanup") return [{ type: "cleanup", op, clean: found.clean ?? true }];
    if (step.measure)
      return [
        readingEvent(op, step.measure.of, found.reading ?? step.measure.expected, instrument),
        { type: "measured", op, after: step.measure.after, skipped: false },
      ];
  } else {
    const { op, fit } = step;
    if (fit)
      return [
        readingEvent(op, fit.path, found.reading ?? fit.expected, instrument),
        { type: "measured", op, after: 0, skipped: false },
      ];
    if (step.pickup || step.move) return [{ type: "tick", op, tick: step.id }];
  }
  return step.ticks.filter((t) => !t.done).map((t) => ({ type: "tick", op: step.op, tick: t.id }));
}
