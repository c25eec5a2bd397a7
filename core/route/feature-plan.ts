import type { Face } from "../frame/index.ts";
import type { Phrase, Refusal } from "../working/index.ts";
import type { FeatureSetup } from "./setup.ts";

/** A way that was not taken, with what it would take, or why it cannot be. */
export interface OtherWay {
  name: string;
  why: Phrase;
  up: Face;
  minutes: number | null;
  refusal: Refusal | null;
}

/** How a feature is made: the way taken, and those that were not. */
export interface FeatureRoute {
  feature: string;
  way: string;
  why: Phrase;
  others: OtherWay[];
}

export interface RefusedFeature extends Refusal {
  feature: string;
  others: OtherWay[];
}

/** The setups of all features of a part, and those that cannot be made, each with its reason. */
export interface FeaturePlan {
  setups: FeatureSetup[];
  routes: FeatureRoute[];
  refused: RefusedFeature[];
}
