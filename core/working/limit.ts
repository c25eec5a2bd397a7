import type { Quantity } from "../quantity/index.ts";
import type { Phrase } from "./phrase.ts";

/** One bound on a figure: what it allows and what would lift it. */
export interface Limit {
  id: string;
  name: Phrase;
  /** The largest value this limit allows; in the unit of the figure it bounds. */
  allows: Quantity;
  lifts: Phrase;
  /** Hard limits (power, reach, collision) are never exceeded, not even by an override. */
  hardAt: number | null;
  source: string;
}

/** The limit that allows least; the first of equals. Undefined for none. */
export function binding(limits: Limit[]): Limit | undefined {
  return limits.reduce<Limit | undefined>(
    (least, limit) => (!least || limit.allows.value < least.allows.value ? limit : least),
    undefined,
  );
}
