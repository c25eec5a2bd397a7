import type { Face, Orientation } from "../frame/index.ts";
import type { GripCapacity, Seat } from "../holding/index.ts";
import type { Material } from "../handbook/index.ts";
import type { Cutout, Prism, Site } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Machine, Shop, Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { OwnSeat } from "./route-context.ts";
import type { FeatureSetup } from "./setup.ts";

/** How a part is held while its features are cut. */
export interface FeatureSeat {
  at: Orientation;
  seat: Seat;
  device: FeatureSetup["device"];
  grip: GripCapacity;
  reasons: Phrase[];
  warnings: Warning[];
}

export interface HoldRequest {
  up: Face;
  /** The face that must look to the front; null for any. */
  front: Face | null;
  cuts: readonly CutHere[];
  /** What was cut out of the block before. */
  gone: readonly Prism[];
  /** Faces the features count from: they are best at the fixed jaw. */
  datums: readonly Face[];
  piece: Piece;
  site: Site;
  machine: Machine;
  vise: Vise;
  shop: Shop;
  material: Material;
  own: OwnSeat | null;
}

/** A feature that is cut in a seat, and how deep its tools go below the face that is up, mm: points and all. */
export interface CutHere {
  cutout: Cutout;
  floor: Mm;
}
