import { faceOf, type FeatureSetup, isFaceSetup, type Setup } from "../route/index.ts";
import type { Cutter, Vise } from "../shop/index.ts";
import { featureSection } from "./feature-section.ts";
import type { Figure } from "./figure.ts";
import { jawSection } from "./jaw-section.ts";
import { tableSection } from "./table-section.ts";

/** How the part is held in a setup and what comes off; null where the cutter of a face is gone from the shop. */
export function setupSection(
  setup: Setup,
  vise: Vise,
  cutters: readonly Cutter[],
  { small }: { small: boolean },
): Figure | null {
  if (!isFaceSetup(setup)) return featuresHeld(setup, vise, small);
  const cutter = cutters.find((c) => c.id === faceOf(setup).cut.cutter);
  return cutter ? jawSection(setup, vise, cutter, { small }) : null;
}

/** How the part is held while features are cut: in jaws or V-blocks, or on the table. */
export const featuresHeld = (setup: FeatureSetup, vise: Vise, small: boolean): Figure =>
  setup.seat.table ? tableSection(setup, small) : featureSection(setup, vise, small);
