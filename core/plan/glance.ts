import { mm } from "../quantity/index.ts";
import { materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import type { Job } from "../job/index.ts";
import { axisNames } from "../frame/index.ts";
import type { Setup } from "../route/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import type { Plan } from "./plan.ts";

export type SetupState = "planned" | "being cut" | "done" | "blocked";

/** How far a setup is. */
export function setupState({ steps: all }: Pick<Plan, "steps">, setup: Setup): SetupState {
  const steps = all.filter((s) => setup.operations.some((o) => o.key === s.op));
  if (steps.every((s) => s.done)) return "done";
  if (setup.warnings.some((w) => w.severity === "stop")) return "blocked";
  return steps.some((s) => s.done || s.ticks.some((t) => t.done)) ? "being cut" : "planned";
}

/** What is told of a job to a person who looks over the bench. */
export interface Glance {
  state: "planned" | "in work" | "finished";
  /** Material and finished sizes; empty while they are not known. */
  part: Phrase;
  /** The next thing to do. */
  next: Phrase;
  /** What stands in the way of it. */
  blocked: boolean;
  /** Minutes still planned. */
  left: number;
  setups: SetupState[];
}

/** A plan at a glance. @param own handbook values the person changed, for the name of the material */
export function glanceOf(plan: Plan, job: Job, own: OwnHandbook = noOwnValues): Glance {
  const { steps, current, minutes } = plan;
  const all = steps.reduce((sum, s) => sum + s.minutes, 0);
  const open = steps.reduce((sum, s) => sum + (s.done ? 0 : s.minutes), 0);
  const finished = steps.length > 0 && current >= steps.length && plan.refusal === null;
  const step = steps[current];
  const setup = step && plan.setups.find((s) => s.number === step.setup);
  const stop =
    plan.findings.find((f) => f.severity === "stop") ?? plan.warnings.find((w) => w.severity === "stop");
  const refusal = plan.refusal?.reason;
  const next: Phrase = finished
    ? plan.status.record
    : plan.cutBegun && step && setup
      ? say`Setup ${setup.clamping}: ${step.title}`
      : (refusal ??
        stop?.phrase ??
        (steps.length === 0
          ? plan.status.drawing
          : plan.spareVerdict === "unmeasured" && !job.part.shaft
            ? words("Measure the stock.")
            : words("Ready to begin.")));
  return {
    state: finished ? "finished" : plan.cutBegun ? "in work" : "planned",
    part: partOf(job, own),
    next,
    blocked: !finished && (refusal !== undefined || (!plan.cutBegun && stop !== undefined)),
    left: all > 0 ? (minutes.total * open) / all : 0,
    setups: plan.setups.map((s) => setupState(plan, s)),
  };
}

/** "low-carbon steel, 96 × 60 × 38 mm": each size in the person's unit. */
function partOf({ part }: Job, own: OwnHandbook): Phrase {
  const material = part.material === null ? "" : (materialIn(own, part.material)?.name.split(" (")[0] ?? "");
  const sizes = axisNames.flatMap((axis) => part.sizes[axis]?.nominal ?? []);
  const [length, width, height] = sizes;
  if (part.shaft || length === undefined || width === undefined || height === undefined)
    return words(material);
  return say`${material}${material ? ", " : ""}${mm(length)} × ${mm(width)} × ${mm(height)}`;
}
