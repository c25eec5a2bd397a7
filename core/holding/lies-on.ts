import { downOf, type Orientation } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Seat } from "./seat.ts";

/** How a part lies on its parallels: on both, where the face below is square to the one at the fixed jaw. */
export type Lies = "on both" | "raw" | "bought" | "jaw not clean";

/** How a part of such faces lies on the parallels of a seat (M50). */
export function liesOn({ faces }: Pick<Piece, "faces">, at: Orientation, { tap }: Pick<Seat, "tap">): Lies {
  if (!tap) return "raw";
  const [fixed, down] = [faces[at.fixed], faces[downOf(at)]];
  if (fixed.order !== null) return fixed.clean ? "on both" : "jaw not clean";
  // A bought face is square to what was cut from it, and to nothing else for sure.
  return down.cutFrom === at.fixed ? "on both" : "bought";
}
