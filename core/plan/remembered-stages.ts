import type { Locating } from "../locate/index.ts";
import type { DrawingFinding } from "../part/index.ts";
import { keyOfSetup, remembered, type Setup } from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import {
  type InSpindle,
  isCut,
  type Progress,
  progressOf,
  spindleAfter,
  type Step,
  stepsOf,
  type WalkPlace,
} from "../steps/index.ts";
import type { Plan } from "./plan.ts";
import type { PlannedSetups } from "./planned-setups.ts";

/** Stages of a plan that a tick or a reading leaves as they were, each known by all that it hangs on (architecture.md). */

/** What is wrong with a drawing. @param about all decisions of the job, as text */
export const findingsOf = (shop: Shop, about: string, check: () => DrawingFinding[]): DrawingFinding[] =>
  findings(shop, about, check);
const findings = remembered<DrawingFinding[]>(4);

/**
 * The setups of a job: they change with what was begun, cut and read, never with a mere tick.
 * @param about all decisions of the job, as text
 */
export const setupsOf = (
  shop: Shop,
  about: string,
  progress: Progress,
  make: () => PlannedSetups,
): PlannedSetups => setups(shop, about + cutSoFar(progress), make);
const setups = remembered<PlannedSetups>(4);

/** What an operation came to, as text: Maps and Sets with what is in them. */
const asText = (value: unknown): string =>
  JSON.stringify(value, (_key, v: unknown) => (v instanceof Map || v instanceof Set ? [...v] : v));

const cutSoFar = ({ faces, features, reworks }: Progress): string =>
  asText([
    [...faces.values()].map((state) => ({ ...state, ticks: null })),
    [...features.values()].map((state) => [state.told, isCut(state)]),
    reworks,
  ]);

/** When the first tick of a setup was made, as a place in the sequence; after all others while it is not begun. */
const beganAt = ({ operations }: Setup, progress: Progress): number =>
  Math.min(
    ...operations.flatMap(({ key }) => [...(progressOf(progress, key)?.ticks.values() ?? [])]),
    Infinity,
  );

/**
 * The steps of all setups in their order: what stands in the spindle at the end of one stands there at the start of the next, unless
 * the part went to another machine in between.
 * @param placeOf what a setup is walked on and with
 * @param movedAt when the machine was changed last, as a place in the sequence; null where it never was
 */
export function stepsOfSetups(
  planned: Pick<Plan, "setups" | "zeros">,
  progress: Progress,
  placeOf: (setup: Setup) => WalkPlace,
  movedAt: number | null = null,
): Step[] {
  let spindle: InSpindle | null = null;
  let began = Infinity;
  return planned.setups.flatMap((setup) => {
    const place = placeOf(setup);
    if (setup.carried) spindle = null;
    const begins = beganAt(setup, progress);
    if (movedAt !== null && began < movedAt && begins > movedAt) spindle = null;
    began = begins;
    const before = spindle;
    const locating: Locating | null = planned.zeros[keyOfSetup(setup)] ?? null;
    const here = steps(setup, asText([stateIn(setup, progress), before, place.paper]), () =>
      stepsOf({ setup, locating, progress, place, spindle: before }),
    );
    spindle = spindleAfter(setup, here) ?? spindle;
    return here;
  });
}
/** By setup: one that is remembered is the same as long as nothing it hangs on changed. */
const steps = remembered<Step[]>(2);

const stateIn = ({ operations }: Setup, progress: Progress) =>
  operations.map(({ key }) => {
    const state = progressOf(progress, key);
    return state && { ...state, told: null };
  });
