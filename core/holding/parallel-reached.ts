import { type Mm, mm, tidy } from "../quantity/index.ts";
import { precise, rule, stop, type Warning, warn } from "../working/index.ts";
import type { Parallels, Vise } from "../shop/index.ts";

/** The side of a cutter is kept this clear of parallels, mm. */
export const clearOfParallels = 1;

/** How far parallels that lie in the middle stand out past the jaws, mm; below 0 when they are shorter. */
export const pastJaw = (parallels: Parallels, vise: Vise): Mm => (parallels.length - vise.jawWidth) / 2;

/**
 * M09: parallels that stand out past the jaws as far as the cutter comes along an overhanging end. They lie in the middle of
 * the jaws.
 * @param removal off the end, mm
 */
export function parallelReached(
  seat: { overhang: Mm | null },
  vise: Vise,
  parallels: Parallels | undefined,
  removal: Mm,
): Warning[] {
  if (seat.overhang === null || !parallels) return [];
  const out = pastJaw(parallels, vise);
  const leaves = tidy(seat.overhang - removal);
  return out > leaves - clearOfParallels
    ? [
        stop(
          rule(
            "M09.reached",
          )`The ${parallels.name} stick ${mm(out)} out past the jaws, the cutter comes to ${mm(leaves)}: it would cut into them. Push them flush with the far side of the jaws, or use shorter ones.`,
        ),
      ]
    : [];
}

/** Two of a pair that differ by more than this tilt what lies on them by more than a seat scatters, mm (guess). */
const alike = 0.01;

/** What two parallels of unlike height do to a part that lies on both, where the shop has measured them. */
export const unlikeParallels = ({ name, unlike }: Pick<Parallels, "name" | "unlike">): Warning[] =>
  unlike !== null && unlike > alike
    ? [
        warn(
          rule(
            "M50.unlike",
          )`One of the ${name} is ${precise(mm(unlike), 3)} higher, as you measured them: the part lies askew across them by that much. Use another pair, or shim the lower one.`,
        ),
      ]
    : [];
