import type { Mm } from "../../../quantity/index.ts";
import type { Feature } from "../index.ts";
import { boreOf } from "./screw.ts";

/** Height of the point of an ordinary drill (118°) against its diameter. */
export const drillPoint = 0.3;

/** How far the point of its drill goes below the drawn floor of a blind hole, mm; 0 for what goes through or is no hole. */
export function pointBelow(feature: Feature): Mm {
  if (feature.kind !== "hole" || feature.sizes.depth === null) return 0;
  return drillPoint * (boreOf(feature) ?? 0);
}
