import type { Plan } from "../../core/plan/index.ts";
import {
  type AnyKey,
  faceSetupsOf,
  isFaceSetup,
  keyOfSetup,
  type Setup,
  setupWith,
} from "../../core/route/index.ts";

/** How many times the part is placed. */
export const clampingsOf = ({ setups }: Pick<Plan, "setups">): number => setups.at(-1)?.clamping ?? 0;

/** The operation that stands for the setup another lies in. */
export function setupKeyOf({ setups }: Pick<Plan, "setups">, key: AnyKey | null): AnyKey | null {
  const setup = setupWith(setups, key);
  return setup ? keyOfSetup(setup) : null;
}

/** What a setup is called: "5"; what follows in the same clamping "5b", "5c". */
export function setupLabel({ number, clamping }: Setup, { setups }: Pick<Plan, "setups">): string {
  const after = setups.filter((s) => s.clamping === clamping && s.number < number).length;
  return after === 0 ? String(clamping) : `${clamping}${String.fromCharCode(97 + after)}`;
}

/** The same for a setup known by its place in the route, as steps and findings carry it. */
export function setupNumbered(number: number, plan: Pick<Plan, "setups">): string {
  const setup = plan.setups.find((s) => s.number === number);
  return setup ? setupLabel(setup, plan) : String(number);
}

/** Where a setup stands in the route: "Setup 3 of 6", or with several cuts in a clamping "Setup 1 of 2, cut 3 of 10". */
export function setupPlace(
  setup: Setup,
  plan: Pick<Plan, "setups">,
  word: "Setup" | "setup" = "setup",
): string {
  const faces = faceSetupsOf(plan.setups);
  const several = (faces.at(-1)?.clamping ?? 0) < faces.length;
  return several && isFaceSetup(setup)
    ? `${word} ${setup.clamping} of ${clampingsOf(plan)}, cut ${faces.indexOf(setup) + 1} of ${faces.length}`
    : `${word} ${setupLabel(setup, plan)} of ${clampingsOf(plan)}`;
}
