import { isGlued, type Seat } from "../holding/index.ts";

/** What holds a block while features are cut: the jaws, straps on the table, glue on a plate. */
export const holdingWays = ["vise", "straps", "plate"] as const;
export type HoldingWay = (typeof holdingWays)[number];

export const holdingWayWords: Record<HoldingWay, string> = {
  vise: "the vise",
  straps: "straps on the table",
  plate: "glue on a plate",
};

/** What a seat holds by. */
export const heldOn = (seat: Pick<Seat, "table">): HoldingWay =>
  isGlued(seat) ? "plate" : seat.table ? "straps" : "vise";
