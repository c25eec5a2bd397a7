import { type CutTask, type OwnConditions } from "../cutting/index.ts";
import type { Together } from "../holding/index.ts";
import type { HoldingWay } from "./holding-way.ts";
import { type Axis, type Face, type Sizes } from "../frame/index.ts";
import { type Material } from "../handbook/index.ts";
import { type Limits, type Mm } from "../quantity/index.ts";
import { type Cutter, type Machine, type Shop, type Vise } from "../shop/index.ts";
import { type Piece, type Spare } from "../stock/index.ts";
import { type Limit } from "../working/index.ts";
import type { NextCut, OperationKey } from "../squaring/index.ts";

/** What the planner knows when it plans a setup. */
export interface RouteContext {
  target: Sizes;
  limits: Record<Axis, Limits>;
  spares: Record<Axis, Spare>;
  material: Material;
  machine: Machine;
  vise: Vise;
  /** What is in use; a setup once begun may name a cutter that is retired since. */
  shop: Shop;
  everyCutter: Cutter[];
  ends: Axis;
  /** Largest raw length across the ends, mm: both ends are held the same way by it. */
  rawLength: Mm;
  /** What the person set themselves, by operation. */
  own: Partial<Record<OperationKey, OwnConditions>>;
  /** How the person wants a setup held: the face at the fixed jaw, the parallels by id. */
  ownSeats: Partial<Record<OperationKey, OwnSeat>>;
  /** The school: what is cut next, and how it is held; null when all is cut. */
  next: (piece: Piece) => NextCut | null;
  /** Faces that are cast and uneven are set on three points first. */
  points: boolean;
  aim: CutTask["aim"];
  /** Ends as the person wants them cut; null to go by the rule. */
  endsWay: EndsWay | null;
  /** Finish wanted of a face, Ra in µm. */
  roughness: Partial<Record<Face, number>>;
  /** Limits from holding and bending; none in this release, their place is here. */
  outside: Limit[];
}

/** Ends stand upright, or hang out past the jaws. */
export type EndsWay = "upright" | "hung";

export interface OwnSeat {
  fixed: Face | null;
  parallels: string | null;
  /** Paper between part and jaws, or under a part on the table. */
  paper: boolean;
  /** A jack under an end that hangs out. */
  jack: boolean;
  /** A stop that the part is set against. */
  stop: boolean;
  /** How a second piece is held with it; null where it is alone. */
  together: Together | null;
  /** What holds it; null to let the plan choose. */
  on: HoldingWay | null;
}

export const noOwnSeat: OwnSeat = {
  fixed: null,
  parallels: null,
  paper: false,
  jack: false,
  stop: false,
  together: null,
  on: null,
};
