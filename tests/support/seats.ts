import { type Face, faceNames, orientation, type Sizes } from "../../core/frame/index.ts";
import { conditionFacts, type FaceCondition } from "../../core/handbook/index.ts";
import type { SeatRequest } from "../../core/holding/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import type { FaceState, Piece } from "../../core/stock/index.ts";

/** A face of a piece, not cut unless said. */
export const faceIn = (condition: FaceCondition, more: Partial<FaceState> = {}): FaceState => ({
  condition,
  bought: condition,
  bow: null,
  order: null,
  cutFrom: null,
  rest: null,
  clean: conditionFacts[condition].machined,
  ...more,
});

/** A piece of one condition all round, some of its faces cut in the order given. */
export const pieceOf = (sizes: Sizes, condition: FaceCondition, machined: readonly Face[] = []): Piece => ({
  sizes,
  uneven: { length: 0, width: 0, height: 0 },
  faces: Object.fromEntries(
    faceNames.map((face) => [
      face,
      machined.includes(face)
        ? faceIn("milled", { bought: condition, order: machined.indexOf(face) + 1 })
        : faceIn(condition),
    ]),
  ) as Piece["faces"],
});

/** A request for a seat in the demo vise, one millimeter off the top. */
export const seatRequest = (
  piece: Piece,
  up: Face,
  fixed: Face,
  more: Partial<SeatRequest> = {},
): SeatRequest => ({
  piece,
  at: orientation(up, fixed)!,
  removal: 1,
  overhang: null,
  square: false,
  vise: demoShop.vises[0]!,
  parallels: demoShop.parallels,
  rods: demoShop.rods,
  offEnd: 0,
  ownParallels: null,
  paper: false,
  jack: false,
  stop: false,
  points: false,
  wantedGrip: null,
  ...more,
});
