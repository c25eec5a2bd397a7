import type { OwnConditions } from "../cutting/index.ts";
import type { Face } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import type { Feature, Part, Site } from "../part/index.ts";
import type { Machine, Shop, Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import type { FeatureKey } from "./feature-key.ts";
import type { FeatureTold } from "./told.ts";
import type { OwnSeat } from "./route-context.ts";
import type { Phrase } from "../working/index.ts";
import type { FaceSetup } from "./setup.ts";

/** A setup of a face in whose clamping features can be cut too, once its face is cut. */
export interface FeatureHost {
  setup: FaceSetup;
  /** The faces that are still cut after it. */
  later: readonly FaceSetup[];
  /** None of those was begun: there is still a time for it. */
  open: boolean;
}

export interface FeaturesAsked {
  part: Part;
  site: Site;
  features: readonly Feature[];
  /** Why the drawing check lets a feature not be cut, by its id. */
  blocked: { readonly [feature: string]: Phrase };
  /** The squared block, or the turned shaft. */
  piece: Piece;
  machine: Machine;
  vise: Vise;
  material: Material;
  /** What is in use. */
  shop: Shop;
  own: Partial<Record<FeatureKey, OwnConditions>>;
  /** Ways the person chose, by feature. */
  ownWays: { [feature: string]: string | undefined };
  /** How the person wants a setup held, by its face up. */
  ownSeats: Partial<Record<Face, OwnSeat>>;
  /** Features wanted before all others, in this order. */
  first: readonly string[];
  /** Operations that were begun, in that order. */
  begun: readonly (FeatureTold & {
    /** Metal was cut: what it took away is gone. */
    cut: boolean;
  })[];
  /** Setups of faces in whose clamping features can be cut too, in order. */
  hosts: readonly FeatureHost[];
  /** How many setups of faces there are, in how many clampings. */
  faces: number;
  clampings: number;
}
