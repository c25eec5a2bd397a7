import { handlingTimes } from "../handbook/index.ts";
import {
  isMachineOverride,
  isPlainOverride,
  type MachineOverride,
  type Override,
  paperOf,
} from "../job/index.ts";
import { isFaceSetup, keyOfSetup, type Setup } from "../route/index.ts";
import { inUse, type Machine } from "../shop/index.ts";
import {
  appended,
  eventsToFinish,
  foldRecords,
  type Progress,
  progressOf,
  type Record as JobRecord,
  withBeginnings,
} from "../steps/index.ts";
import { done, type Outcome, refused, say, words } from "../working/index.ts";
import type { Plan } from "./plan.ts";
import { blockSetups, shaftSetups } from "./plan-setups.ts";
import type { PlannedSetups, SetupsAsked } from "./planned-setups.ts";
import { stepsOfSetups } from "./remembered-stages.ts";
import type { OverrideReport } from "./settle-overrides.ts";

/** What setups are planned from, where some of them may be done on another machine. */
export interface OnMachinesAsked extends Omit<SetupsAsked, "overrides"> {
  overrides: readonly Override[];
  records: readonly JobRecord[];
  piece: number;
}

/**
 * The setups of a job whose machine changes on the way: planned on one up to where it is carried to the next, and from there on the
 * other, on the part as it will be by then. What was begun stays on the machine it was begun on.
 */
export function setupsOnMachines(asked: OnMachinesAsked): PlannedSetups {
  const made = onItsMachine(asked);
  return { ...made, setups: withCarries(made.setups) };
}

function onItsMachine(asked: OnMachinesAsked): PlannedSetups {
  const { part, overrides, equipped } = asked;
  const plain: SetupsAsked = { ...asked, overrides: overrides.filter(isPlainOverride) };
  const made = part.shaft ? shaftSetups(plain) : blockSetups(plain);
  const wanted = overrides.filter(isMachineOverride);
  const move = made.setups
    .flatMap((setup, index) => {
      const override = wanted.find((o) => setup.operations.some(({ key }) => key === o.at));
      const found = override ? moveTo(override, setup, asked) : null;
      return override && found?.ok && found.value ? [{ override, machine: found.value, index }] : [];
    })
    .at(0);
  if (!move)
    return { ...made, overrides: [...made.overrides, ...wanted.map((o) => reported(o, made.setups, asked))] };
  const before = made.setups.slice(0, move.index);
  const there = operationsIn(made.setups.slice(0, move.index + 1));
  // What is wanted of the setups before is settled on this machine: on the other they are done.
  const settled = wanted.filter((o) => o !== move.override && there.has(o.at));
  const rest = onItsMachine({
    ...asked,
    equipped: { ...equipped, machine: move.machine },
    overrides: overrides.filter((o) => o !== move.override && !settled.some((s) => s === o)),
    progress: walkedPast(before, made, asked),
  });
  const report: OverrideReport = {
    override: move.override,
    state: "applied",
    why: say`From here on it is done on the ${move.machine.name}.`,
  };
  return {
    ...joined(made, before, rest),
    overrides: [
      ...overridesOf(made, before, rest),
      ...settled.map((o) => reported(o, made.setups, asked)),
      report,
    ],
  };
}

/** The machine an override asks for at a setup; null where it is on that one already. */
function moveTo(
  { value }: MachineOverride,
  setup: Setup,
  { equipped, shop, progress }: OnMachinesAsked,
): Outcome<Machine | null> {
  const wanted = inUse(shop).machines.find((m) => m.id === value);
  if (!wanted)
    return refused(
      words("That machine is not in the shop, or was retired."),
      words("Choose another, or bring it back in the shop."),
    );
  if (setup.entry !== "placed")
    return refused(
      words("The part stays clamped from the cut before: it goes to another machine between clampings only."),
      words("Move it one setup earlier or later."),
    );
  const begun = setup.operations.some(({ key }) => progressOf(progress, key));
  if (begun && setup.machine !== wanted.id)
    return refused(
      words("The setup was begun on another machine."),
      words("Finish it there, and move what comes after it."),
    );
  return done(wanted.id === equipped.machine.id ? null : wanted);
}

function reported(
  override: MachineOverride,
  setups: readonly Setup[],
  asked: OnMachinesAsked,
): OverrideReport {
  const setup = setups.find((s) => s.operations.some(({ key }) => key === override.at));
  if (!setup)
    return {
      override,
      state: "withoutObject",
      why: words("This plan has no such cut now. Saved for when it does."),
    };
  const found = moveTo(override, setup, asked);
  return found.ok
    ? { override, state: "applied", why: words("It is on that machine already.") }
    : { override, state: "impossible", why: found.reason };
}

/** How far the work is once these setups are done with nothing out of the way. */
function walkedPast(
  before: readonly Setup[],
  { zeros }: Pick<Plan, "zeros">,
  { records, piece, progress, equipped, shop, part, overrides }: OnMachinesAsked,
): Progress {
  const place = {
    machine: equipped.machine,
    material: equipped.material,
    shop,
    paper: paperOf(overrides),
    squareness: part.squareness,
  };
  const events = stepsOfSetups({ setups: [...before], zeros }, progress, () => place)
    .filter((step) => !step.done)
    .flatMap((step) => eventsToFinish(step));
  const now = [...records];
  const then = appended(now, ...withBeginnings(events, before, now, piece));
  return foldRecords([...now, ...then.slice(now.length).map((r) => ({ ...r, piece }))], piece);
}

const operationsIn = (setups: readonly Setup[]) =>
  new Set<string>(setups.flatMap((s) => s.operations.map(({ key }) => key)));

const only = <T>(of: Readonly<Record<string, T>>, wanted: (key: string) => boolean): Record<string, T> =>
  Object.fromEntries(Object.entries(of).filter(([key]) => wanted(key)));

/** What is cut before the move as the first machine has it, what comes after as the other does. */
function joined(made: PlannedSetups, before: readonly Setup[], rest: PlannedSetups): PlannedSetups {
  const cut = operationsIn(before);
  const after = rest.setups.flatMap((setup): Setup[] => {
    if (isFaceSetup(setup)) return cut.has(keyOfSetup(setup)) ? [] : [setup];
    const [first, ...others] = setup.operations.filter(({ key }) => !cut.has(key));
    return first ? [{ ...setup, operations: [first, ...others] }] : [];
  });
  return {
    ...made,
    setups: [...before, ...after].map((s, i) => (s.number === i + 1 ? s : { ...s, number: i + 1 })),
    zeros: {
      ...only(rest.zeros, (key) => !cut.has(key)),
      ...only(made.zeros, (key) => cut.has(key)),
    },
    refusal: rest.refusal,
    features: rest.features,
    ladders: {
      ...only(rest.ladders, (key) => !cut.has(key)),
      ...only(made.ladders, (key) => cut.has(key)),
    },
  };
}

/** What became of each override on the machine that it concerns. */
function overridesOf(made: PlannedSetups, before: readonly Setup[], rest: PlannedSetups): OverrideReport[] {
  const cut = operationsIn(before);
  const first = made.overrides.filter(({ override: { at } }) => at === "route" || cut.has(at));
  const known = new Set(first.map(({ override }) => override.id));
  return [...first, ...rest.overrides.filter(({ override }) => !known.has(override.id))];
}

/** Marks where the part is carried to another machine: its vise has to be indicated there first. */
const withCarries = (setups: readonly Setup[]): Setup[] =>
  setups.map((setup, i) => {
    const carried = i > 0 && setup.machine !== setups[i - 1]!.machine;
    return carried
      ? {
          ...setup,
          carried,
          minutes: { ...setup.minutes, handling: setup.minutes.handling + handlingTimes.indicate },
        }
      : setup;
  });
