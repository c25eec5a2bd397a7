import type { Job } from "../../core/job/index.ts";
import { type Plan, plan } from "../../core/plan/index.ts";
import { demoShop, type Shop } from "../../core/shop/index.ts";
import {
  appended,
  beginningOf,
  eventsToFinish,
  type Found,
  type Record,
  type RecordEvent,
  type Step,
} from "../../core/steps/index.ts";

export { appended };

/** How the simulated machine and person behave. */
export interface Behavior {
  /** By how much the part stays thicker than where the cutter stood, mm: the tool bends away or the paper was thicker. */
  light?: number;
  /** Answer to "is it clean all over?"; the number of times it was asked of this face. */
  clean?: (step: Step, asked: number) => boolean;
  /** Stop before this step. */
  until?: (step: Step, made: Plan) => boolean;
  /** Leave this tick out: walking stops there. */
  omit?: string;
  /** By how much a reading of a feature is off what it should be then, mm. */
  off?: (step: Step) => number;
}

export interface Walk {
  plan: Plan;
  records: Record[];
  /** Every step done, in order. */
  done: Step[];
}

/** Size where the cutter stood last, by the zero as it was taken. */
function truth(records: Record[], op: string): number {
  let zero = 0;
  let stop = 0;
  for (const r of records) {
    if (r.type === "touched" && r.op === op) zero = r.sizeAtZero;
    if (r.type === "cut" && r.op === op) stop = r.stop;
  }
  return zero + stop;
}

/** The events a person would make to finish a step: every reading as the cutter stood, or as a feature should read. */
export function eventsFor(step: Step, records: Record[], behavior: Behavior, asked: number): RecordEvent[] {
  const found: Found = { clean: behavior.clean?.(step, asked) ?? true };
  if (step.measure)
    found.reading = hundredth(
      step.measure.after > 0 ? truth(records, step.op) + (behavior.light ?? 0) : step.measure.expected,
    );
  if (step.measure?.fit) found.reading = thousandth(step.measure.expected + (behavior.off?.(step) ?? 0));
  return eventsToFinish(step, found).filter((e) => e.type !== "tick" || e.tick !== behavior.omit);
}

const hundredth = (value: number) => Math.round(value * 100) / 100;
const thousandth = (value: number) => Math.round(value * 1000) / 1000;

/** Walks a job at the simulated machine until all steps are done, a step is left out, or the limit of steps is reached. */
export function walk(job: Job, behavior: Behavior = {}, shop: Shop = demoShop, start: Record[] = []): Walk {
  let records = start;
  const done: Step[] = [];
  const asked = new Map<string, number>();
  for (let i = 0; i < 1500; i++) {
    const made = plan({ job, records, shop, piece: 1 });
    const step = made.steps[made.current];
    if (!step || behavior.until?.(step, made)) return { plan: made, records, done };
    const count = (asked.get(step.op) ?? 0) + (step.kind === "cleanup" ? 1 : 0);
    asked.set(step.op, count);
    const events = eventsFor(step, records, behavior, count);
    if (events.length === 0) return { plan: made, records, done };
    records = appended(records, ...beginningOf(made.setups, step.op, records), ...events);
    done.push(step);
  }
  throw new Error("the walk does not end");
}
