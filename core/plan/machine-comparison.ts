import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { equipment, isPlainOverride, type Job } from "../job/index.ts";
import type { Minutes } from "../quantity/index.ts";
import { featureNames, featuresOf, type Part } from "../part/index.ts";
import { cutterOf, faceOf, featureSetupsOf, isFaceSetup, minutesOfOperation } from "../route/index.ts";
import { inUse, type Machine, type Shop } from "../shop/index.ts";
import { capital, type Phrase, words } from "../working/index.ts";
import { plan } from "./make-plan.ts";
import { type MachinesAsked, type MachineSplit, onOneMachine, splittingMachines } from "./machine-split.ts";
import type { Plan } from "./plan.ts";

/** The job planned on one machine of the shop. */
export interface MachineOption {
  id: string;
  name: string;
  /** The one the job is planned for. */
  chosen: boolean;
  /** Null where not all of it can be done there. */
  minutes: Minutes | null;
  clampings: number;
  /** What cannot be done on it, with the first reasons. */
  cannot: Phrase[];
  /** Warnings that block a setup. */
  stops: Phrase[];
  /** How its axes are read. */
  reads: Phrase;
  /** What has to be carried there: cutters with their holders, by name. */
  cutters: string[];
  /** Minutes of every face and feature that is still to be cut, cutting alone; null where it cannot be done there. */
  of: { key: string; name: Phrase; minutes: Minutes | null }[];
}

const readsOf = ({ axes }: Machine): Phrase => {
  const by = (["x", "y", "z"] as const)
    .filter((axis) => axes[axis].readout !== null)
    .map((a) => a.toUpperCase());
  return words(by.length === 0 ? "dials only" : `readout on ${by.join(", ")}`);
};

/** Faces and features of a plan that are not done, with the minutes of their cuts. */
function partsOf(made: Plan, part: Part): MachineOption["of"] {
  const done = new Set(made.steps.filter((s) => s.done).map((s) => s.op));
  const open = (key: string) => made.steps.some((s) => s.op === key && !s.done) || !done.has(key as never);
  const names = featureNames(featuresOf(part));
  const faces = made.setups.flatMap((s) =>
    isFaceSetup(s) && open(faceOf(s).key)
      ? [{ key: faceOf(s).key, name: s.title, minutes: s.minutes.cutting }]
      : [],
  );
  const features = featuresOf(part).flatMap((f): MachineOption["of"] => {
    const cuts = featureSetupsOf(made.setups)
      .flatMap((s) => s.operations)
      .filter((o) => o.feature === f.id);
    const name = words(capital(names.get(f.id) ?? f.id));
    if (made.features?.refused.some((r) => r.feature === f.id)) return [{ key: f.id, name, minutes: null }];
    if (cuts.length === 0 || !cuts.some((o) => open(o.key))) return [];
    return [{ key: f.id, name, minutes: cuts.reduce((sum, o) => sum + minutesOfOperation(o), 0) }];
  });
  return [...faces, ...features];
}

/** The job on each machine alone, and on two of them where that is better. */
export interface MachineComparison {
  machines: MachineOption[];
  splits: MachineSplit[];
}

/** The job planned on each machine that is in use, and on two of them: where all of it can be done, in what time. Yields before each plan. */
export function* comparingMachines(
  job: Job,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
  { records, piece }: Pick<MachinesAsked, "records" | "piece"> = { records: [], piece: 1 },
): Generator<{ done: number; of: number }, MachineComparison> {
  const usable = inUse(shop);
  const planned = equipment(job, shop, own).machine;
  const alone = Object.values(job.overrides.byId).every((o) => o === undefined || isPlainOverride(o));
  const asked: MachinesAsked = { job, shop, own, records, piece };
  const wholes = new Map<string, Plan>();
  const of = usable.machines.length;
  const found: MachineOption[] = [];
  for (const machine of usable.machines) {
    yield { done: found.length, of };
    const made = plan({ ...asked, job: onOneMachine(job, machine.id) });
    wholes.set(machine.id, made);
    const refused = made.features?.refused ?? [];
    const cannot = [...(made.refusal ? [made.refusal.reason] : []), ...refused.map((r) => r.reason)];
    const stops = made.setups.flatMap((s) =>
      s.warnings.flatMap((w) => (w.severity === "stop" ? [w.phrase] : [])),
    );
    const used = new Set(made.setups.flatMap((s) => s.operations.flatMap((o) => cutterOf(o) ?? [])));
    const nothing = made.setups.length === 0;
    found.push({
      id: machine.id,
      name: machine.name,
      chosen: alone && machine.id === planned?.id,
      minutes: cannot.length > 0 || nothing ? null : made.minutes.total,
      clampings: new Set(made.setups.map((s) => s.clamping)).size,
      cannot,
      stops,
      reads: readsOf(machine),
      of: partsOf(made, job.part),
      cutters: usable.cutters.filter((c) => used.has(c.id)).map((c) => c.name),
    });
  }
  const splitting = splittingMachines(asked, usable.machines, wholes);
  for (let tried = 0; ; tried++) {
    const step = splitting.next();
    if (step.done)
      return {
        machines: found.sort((a, b) => (a.minutes ?? Infinity) - (b.minutes ?? Infinity)),
        splits: step.value,
      };
    yield { done: of + tried, of: of + tried + 1 };
  }
}
