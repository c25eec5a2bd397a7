import { type MaterialGroup, roughBending, youngs } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Seat } from "./seat.ts";

/**
 * M42: side force that what stands above the jaws (or hangs out past them) bears before it bends as far as a roughing cut
 * may, N: F = 3 E I δ / h³ of a block held at its foot. Infinity where nothing stands out.
 */
export function restBears(seat: Seat, vise: { jawDepth: Mm }, group: MaterialGroup): number {
  const above = Math.max(0, (seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth);
  const e = youngs[group] * 1000;
  const bears = (reach: Mm, thick: Mm, wide: Mm) =>
    reach > 0 ? (3 * e * ((wide * thick ** 3) / 12) * roughBending.mm) / reach ** 3 : Infinity;
  return Math.min(
    bears(above, Math.min(seat.between, seat.along), Math.max(seat.between, seat.along)),
    // A jack under the end carries it.
    bears(seat.jack ? 0 : (seat.overhang ?? 0), seat.standing, seat.between),
  );
}
