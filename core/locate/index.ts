export * from "./combined-z.ts";
export * from "./compensate.ts";
export * from "./dial.ts";
export * from "./feature-moves.ts";
export * from "./locate-setup.ts";
export {
  movesToTouch,
  usualPaper,
  type Pickup,
  pickupErrors,
  touchError,
  touchWays,
  touchWords,
  type PickupWay,
  type TouchFrom,
  pickupWays,
  slackOf,
  type Toucher,
  zeroedToward,
} from "./pickup.ts";
export * from "./quill.ts";
export * from "./settle.ts";
export { crownPlace, setupMoves, type Shifts, swathsOf } from "./setup-moves.ts";
export { highestLeft } from "./highest-left.ts";
export { pickupNow } from "./touchable.ts";
export type { Swath } from "./standing.ts";
export * from "./setup-frame.ts";
export * from "./stop.ts";
export * from "./touch.ts";
export { topPickup, type TouchedOn } from "./touch-pickups.ts";
