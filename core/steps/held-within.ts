import { type Mm } from "../quantity/index.ts";
import { isFaceSetup, type Setup } from "../route/index.ts";

/** What an indicator may show at most at a hold point before the part counts as moved, mm (guess). */
const holdWithin = 0.02;
/** Of a close size or place only this share of its limits, and never less than an indicator tells; mm (guess). */
const holdShare = 1 / 4;
const leastHold = 0.005;

/** What an indicator may show at the hold points of a setup: less, the less the limits there leave. */
export function heldWithin(setup: Setup): Mm {
  const bands = isFaceSetup(setup)
    ? setup.operations.flatMap((o) => (o.sized ? [o.limits.upper - o.limits.lower] : []))
    : [2 * (setup.closest ?? Infinity)];
  return Math.max(leastHold, Math.min(holdWithin, holdShare * Math.min(Infinity, ...bands)));
}
