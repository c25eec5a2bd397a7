import type { Feature, FeatureKind } from "../part/index.ts";
import { arcRecipe } from "./arc/index.ts";
import { chamferRecipe } from "./chamfer/index.ts";
import { cornerRadiusRecipe } from "./corner-radius/index.ts";
import { dovetailRecipe } from "./dovetail/index.ts";
import { holeRecipe } from "./hole/index.ts";
import { keywayRecipe } from "./keyway/index.ts";
import { outlineRecipe } from "./outline/index.ts";
import { pocketRecipe } from "./pocket/index.ts";
import { rebateRecipe } from "./rebate/index.ts";
import type { OfKind, Recipe, RecipePlace, Way } from "./recipe.ts";
import { slopeRecipe } from "./slope/index.ts";
import { slotRecipe } from "./slot/index.ts";
import { stepRecipe } from "./step/index.ts";
import { tShapeRecipe } from "./t-shape/index.ts";
import { tSlotRecipe } from "./t-slot/index.ts";
import { vGrooveRecipe } from "./v-groove/index.ts";
import { woodruffRecipe } from "./woodruff/index.ts";

/** How each kind of feature is made. The compiler names what a new kind still lacks. */
const registry = {
  hole: holeRecipe,
  slot: slotRecipe,
  pocket: pocketRecipe,
  step: stepRecipe,
  rebate: rebateRecipe,
  chamfer: chamferRecipe,
  cornerRadius: cornerRadiusRecipe,
  slope: slopeRecipe,
  vGroove: vGrooveRecipe,
  tShape: tShapeRecipe,
  tSlot: tSlotRecipe,
  dovetail: dovetailRecipe,
  arc: arcRecipe,
  outline: outlineRecipe,
  keyway: keywayRecipe,
  woodruff: woodruffRecipe,
} satisfies { [K in FeatureKind]: Recipe<OfKind<K>> };

/** The ways of making a feature whose cutout is known, best liked first. */
export const waysOfFeature = (feature: Feature, place: RecipePlace): readonly Way[] =>
  (registry[feature.kind] as unknown as Recipe)(feature, place);

export { depthsFrom, type Measured, type RecipePlace, type Way, type Work } from "./recipe.ts";
export * from "./sweep.ts";
export * from "./sweep-size.ts";
export * from "./spindle-way.ts";
export * from "./face-sweep.ts";
export * from "./strokes.ts";
export * from "./stroke-minutes.ts";
export * from "./ways.ts";
export { distanceTo, piecesOf } from "./offset.ts";
export * from "./arc-steps.ts";
export * from "./pocket-moves.ts";
export * from "./slot-moves.ts";
