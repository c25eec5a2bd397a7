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
  /** The last setup of a face: features on top of it can stay clamped. */
  last: FaceSetup | null;
}
