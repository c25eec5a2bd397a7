import type { CutKind } from "../../../core/handbook/index.ts";

/** Cuts of which climb or conventional is said. */
export const goesRound = (kind: CutKind): boolean => kind === "side" || kind === "slab";
