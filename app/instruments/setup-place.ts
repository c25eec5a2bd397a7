import type { Plan } from "../../core/job/index.ts";
import type { AnyKey } from "../../core/route/index.ts";

/** How many times the part is placed. */
export const clampingsOf = (plan: Pick<Plan, "setups" | "features">): number =>
  plan.features?.setups.at(-1)?.clamping ?? plan.setups.at(-1)?.clamping ?? 0;

/** The operations that stand for their setups, in order: every cut of a face, the first of every setup of features. */
export const setupKeys = (plan: Pick<Plan, "setups" | "features">): AnyKey[] => [
  ...plan.setups.map((s) => s.key),
  ...(plan.features?.setups.flatMap((s) => s.operations[0]?.key ?? []) ?? []),
];

/** The setup of features that an operation lies in, and its place among them; null for one of a face. */
export function featureSetupOf(plan: Pick<Plan, "features">, key: AnyKey | null) {
  const setups = plan.features?.setups ?? [];
  const index = setups.findIndex((s) => s.operations.some((o) => o.key === key));
  const setup = setups[index];
  return setup
    ? {
        setup,
        locating: plan.features!.locatings[index]!,
        operation: setup.operations.find((o) => o.key === key)!,
      }
    : null;
}

/** The operation that stands for the setup another lies in. */
export const setupKeyOf = (plan: Pick<Plan, "setups" | "features">, key: AnyKey | null): AnyKey | null =>
  featureSetupOf(plan, key)?.setup.operations[0]?.key ?? plan.setups.find((s) => s.key === key)?.key ?? null;

/** Where a cut stands in the route: "Setup 3 of 6", or with several cuts in a clamping "Setup 1 of 2, cut 3 of 10". */
export function setupPlace(
  setup: { clamping: number; number: number },
  plan: Pick<Plan, "setups" | "features">,
  word: "Setup" | "setup" = "setup",
): string {
  const clampings = clampingsOf(plan);
  const several = (plan.setups.at(-1)?.clamping ?? 0) < plan.setups.length;
  const cut =
    several && setup.number <= plan.setups.length ? `, cut ${setup.number} of ${plan.setups.length}` : "";
  return `${word} ${setup.clamping} of ${clampings}${cut}`;
}
