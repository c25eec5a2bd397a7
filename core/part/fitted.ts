import { axisNames } from "../frame/index.ts";
import { type Limits, middle, tidy } from "../quantity/index.ts";
import { wantedGap } from "./mate.ts";
import type { Part } from "./part.ts";

/**
 * The limits of a size that is made to a mate as it was measured: that size with the gap wanted, mm.
 * @param path as a mate names the size
 * @returns null where nothing that was measured is to fit it
 */
export function fittedLimits(
  { mates }: Pick<Part, "mates">,
  path: string,
): { limits: Limits; other: string } | null {
  const mate = mates.order
    .map((id) => mates.byId[id])
    .find((m) => m?.kind === "fits" && m.measured && m.mate && m.size === path);
  if (!mate?.mate) return null;
  const { least, most } = wantedGap(mate);
  const sign = mate.outer ? 1 : -1;
  const ends = [mate.mate.nominal + sign * least, mate.mate.nominal + sign * most];
  return {
    limits: { lower: tidy(Math.min(...ends)), upper: tidy(Math.max(...ends)) },
    other: mate.other.trim() || "its mate",
  };
}

/** Whether some limits allow what others do not. */
export const widerThan = (made: Limits, drawn: Limits): boolean =>
  made.lower < drawn.lower - 1e-9 || made.upper > drawn.upper + 1e-9;

/** The part with its outside sizes as their measured mates want them. */
export function asFitted(part: Part): Part {
  const sizes = { ...part.sizes };
  for (const axis of axisNames) {
    const size = sizes[axis];
    const fitted = size && fittedLimits(part, `sizes/${axis}`);
    if (!size || !fitted) continue;
    const nominal = tidy(middle(fitted.limits));
    const half = tidy((fitted.limits.upper - fitted.limits.lower) / 2);
    sizes[axis] = { ...size, nominal, upper: half, lower: -half, fit: null };
  }
  return { ...part, sizes };
}
