import type { OwnHandbook } from "../handbook/index.ts";
import { isPlainOverride, type Job, keptOverrides, type Override } from "../job/index.ts";
import type { Minutes } from "../quantity/index.ts";
import { cutterOf, keyOfSetup, type Setup } from "../route/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import type { Phrase } from "../working/index.ts";
import { plan } from "./make-plan.ts";
import type { Plan } from "./plan.ts";

/** The job begun on one machine of the shop and gone on with on another. */
export interface MachineSplit {
  /** Ids of the machines, in order. */
  first: string;
  then: string;
  /** The first operation of the setup from which it is on the other. */
  from: ReturnType<typeof keyOfSetup>;
  /** That setup: its place in the order, and what is done in it. */
  number: number;
  title: Phrase;
  /** Minutes of the whole job, the carrying with its vise indicated anew among them. */
  minutes: Minutes;
  clampings: number;
  /** Features that neither machine cuts so. */
  refused: number;
  /** What has to be carried to the other: cutters by name. */
  cutters: string[];
}

/** What all comparisons of machines are planned from. */
export interface MachinesAsked {
  job: Job;
  shop: Shop;
  own: OwnHandbook;
  /** What was done already, and of which piece: only the rest is planned anew. */
  records: JobRecord[];
  piece: number;
}

/** A job without any machine chosen for single setups. */
export const onOneMachine = (job: Job, machine: string): Job => ({
  ...job,
  machine,
  overrides: keptOverrides(job.overrides, isPlainOverride),
});

/** A job that goes to another machine at a setup. */
export function splitAt(job: Job, at: MachineSplit["from"], then: string): Job {
  const override: Override = { id: splitId, at, what: "machine", value: then, reason: "", since: "" };
  const { byId, order } = job.overrides;
  return { ...job, overrides: { byId: { ...byId, [splitId]: override }, order: [...order, splitId] } };
}
const splitId = "split";

/** Setups before which the part may go to another machine: those that are placed anew and not begun, but the first. */
export const breaksIn = ({ setups, steps }: Pick<Plan, "setups" | "steps">): Setup[] =>
  setups.filter(
    (s, i) =>
      i > 0 &&
      s.entry === "placed" &&
      !steps.some((step) => step.setup === s.number && (step.done || step.ticks.some((t) => t.done))),
  );

const betterThan = (a: MachineSplit, b: Pick<MachineSplit, "refused" | "minutes">): boolean =>
  a.refused === b.refused ? a.minutes < b.minutes - 1 : a.refused < b.refused;

/**
 * The best place at which a job begun on one machine goes on with on another, for each two that beat every machine alone: fewer
 * features refused, or quicker by more than a minute. Yields before each plan.
 * @param wholes the job planned whole on each machine, by its id
 */
export function* splittingMachines(
  { job, shop, own, records, piece }: MachinesAsked,
  machines: readonly Machine[],
  wholes: ReadonlyMap<string, Plan>,
): Generator<void, MachineSplit[]> {
  const found: MachineSplit[] = [];
  const alone = [...wholes.values()].map(valueOf);
  const begun = [...wholes.values()].some((made) => made.cutBegun);
  for (const first of machines) {
    // What was begun is on its machine: only what comes after it can be carried on.
    if (begun && first.id !== job.machine) continue;
    const whole = wholes.get(first.id);
    if (!whole || whole.refusal) continue;
    for (const then of machines) {
      if (then === first) continue;
      let best: MachineSplit | null = null;
      for (const setup of breaksIn(whole)) {
        yield;
        const split = splitAt(onOneMachine(job, first.id), keyOfSetup(setup), then.id);
        const made = plan({ job: split, records, shop, piece, own });
        if (made.refusal || made.steps.length === 0) continue;
        const option = described(made, setup, { first: first.id, then: then.id, shop });
        if (!best || betterThan(option, best)) best = option;
      }
      if (best && alone.every((one) => betterThan(best, one))) found.push(best);
    }
  }
  return found.sort((a, b) => a.refused - b.refused || a.minutes - b.minutes);
}

/** What a plan on one machine is worth; one that is refused whole is worth nothing. */
const valueOf = (made: Plan): Pick<MachineSplit, "refused" | "minutes"> => ({
  refused: made.refusal || made.steps.length === 0 ? Infinity : (made.features?.refused.length ?? 0),
  minutes: made.minutes.total,
});

function described(
  made: Plan,
  setup: Setup,
  { first, then, shop }: { first: string; then: string; shop: Shop },
): MachineSplit {
  const on = made.setups.filter((s) => s.machine === then);
  const used = new Set(on.flatMap((s) => s.operations.flatMap((o) => cutterOf(o) ?? [])));
  return {
    first,
    then,
    from: keyOfSetup(setup),
    number: setup.number,
    title: setup.title,
    minutes: made.minutes.total,
    clampings: new Set(made.setups.map((s) => s.clamping)).size,
    refused: made.features?.refused.length ?? 0,
    cutters: shop.cutters.filter((c) => used.has(c.id)).map((c) => c.name),
  };
}
