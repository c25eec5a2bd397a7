import { type Job, plan, type Plan } from "../../core/job/index.ts";
import { tellOperation, tellSetup } from "../../core/route/index.ts";
import { demoShop, type Shop } from "../../core/shop/index.ts";
import { isFaceStep, type Record, type RecordEvent, type Step } from "../../core/steps/index.ts";

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

/** Appends events as the store would. */
export function appended(records: Record[], ...events: RecordEvent[]): Record[] {
  const last = records.at(-1)?.seq ?? 0;
  return [
    ...records,
    ...events.map((event, i) => ({
      seq: last + 1 + i,
      at: "2026-11-25T08:00:00.000Z",
      by: "",
      piece: 1,
      ...event,
    })),
  ];
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

/** The events a person would make to finish a step. */
export function eventsFor(step: Step, records: Record[], behavior: Behavior, asked: number): RecordEvent[] {
  if (!isFaceStep(step)) return featureEvents(step, behavior);
  const { op } = step;
  if (step.pass)
    return [{ type: "cut", op, pass: step.pass.number, stop: step.pass.stop, last: step.pass.last }];
  if (step.touch)
    return [{ type: "touched", op, sizeAtZero: step.touch.sizeAtZero, medium: step.touch.medium }];
  if (step.kind === "cleanup") return [{ type: "cleanup", op, clean: behavior.clean?.(step, asked) ?? true }];
  if (step.measure) {
    const value =
      Math.round(
        (step.measure.after > 0 ? truth(records, op) + (behavior.light ?? 0) : step.measure.expected) * 100,
      ) / 100;
    return [
      {
        type: "reading",
        op,
        of: step.measure.of,
        value,
        written: { text: String(value), unit: "mm" },
        instrument: "caliper",
        questioned: [],
      },
      { type: "measured", op, after: step.measure.after, skipped: false },
    ];
  }
  return step.ticks
    .filter((t) => !t.done && t.id !== behavior.omit)
    .map((t) => ({ type: "tick", op, tick: t.id }));
}

/** The same for a step of a feature: every reading is what it should be then, and so much off. */
function featureEvents(step: Step, behavior: Behavior): RecordEvent[] {
  const { op, fit } = step;
  if (fit) {
    const value = Math.round((fit.expected + (behavior.off?.(step) ?? 0)) * 1000) / 1000;
    return [
      {
        type: "reading",
        op,
        of: fit.path,
        value,
        written: { text: String(value), unit: "mm" },
        instrument: "caliper",
        questioned: [],
      },
      { type: "measured", op, after: 0, skipped: false },
    ];
  }
  if (step.pickup || step.move) return [{ type: "tick", op, tick: step.id }];
  return step.ticks
    .filter((t) => !t.done && t.id !== behavior.omit)
    .map((t) => ({ type: "tick", op, tick: t.id }));
}

/** What begins the operation of a step, where it is not begun yet. */
function beginning(step: Step, made: Plan, records: Record[]): RecordEvent[] {
  if (records.some((r) => (r.type === "begun" || r.type === "featureBegun") && r.op === step.op)) return [];
  if (isFaceStep(step)) {
    const setup = made.setups.find((s) => s.key === step.op)!;
    return [{ type: "begun", op: step.op, told: tellSetup(setup) }];
  }
  const setup = made.features!.setups.find((s) => s.operations.some((o) => o.key === step.op))!;
  const operation = setup.operations.find((o) => o.key === step.op)!;
  const way = made.features!.routes.find((r) => r.feature === operation.feature)!.way;
  return [{ type: "featureBegun", op: operation.key, told: tellOperation(setup, operation, way) }];
}

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
    records = appended(records, ...beginning(step, made, records), ...events);
    done.push(step);
  }
  throw new Error("the walk does not end");
}
