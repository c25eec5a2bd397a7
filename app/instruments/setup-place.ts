import type { Setup } from "../../core/route/index.ts";

/** How many times the part is placed. */
export const clampingsOf = (setups: readonly Pick<Setup, "clamping">[]): number =>
  setups.at(-1)?.clamping ?? 0;

/** Where a cut stands in the route: "Setup 3 of 6", or with several cuts in a clamping "Setup 1 of 2, cut 3 of 10". */
export function setupPlace(
  setup: Pick<Setup, "clamping" | "number">,
  setups: readonly Pick<Setup, "clamping">[],
  word: "Setup" | "setup" = "setup",
): string {
  const clampings = clampingsOf(setups);
  const cut = clampings < setups.length ? `, cut ${setup.number} of ${setups.length}` : "";
  return `${word} ${setup.clamping} of ${clampings}${cut}`;
}
