import { alongJaws, axisOf, facesOf } from "../frame/index.ts";
import { effectivePart, type Job } from "../job/index.ts";
import { bothHeld, packingEvens } from "../holding/index.ts";
import { limitsOf } from "../part/index.ts";
import { mm, type Mm, tidy } from "../quantity/index.ts";
import { isFaceSetup, type Setup } from "../route/index.ts";
import type { Vise } from "../shop/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";

/** Whether two pieces go side by side into the jaws in a setup. */
export interface TwoAtOnce {
  clamping: number;
  /** They fit, and both are held: as they are, or with packing at the narrower. */
  may: "yes" | "packed" | "no";
  why: Phrase;
}

/** Left between two pieces, mm: a chip must not push them apart. */
const between: Mm = 2;

/**
 * For each clamping whether two pieces lie side by side in the vise, and whether both are held: a jaw grips only the wider of two that
 * differ (M46). What is not cut yet differs as blanks do; what is cut, within its limits.
 */
export function twoAtOnce(job: Job, setups: readonly Setup[], vise: Vise): TwoAtOnce[] {
  const part = effectivePart(job);
  const seen = new Set<number>();
  return setups.flatMap((setup): TwoAtOnce[] => {
    if (seen.has(setup.clamping)) return [];
    seen.add(setup.clamping);
    const { clamping, at } = setup;
    const no = (why: Phrase): TwoAtOnce[] => [{ clamping, may: "no", why }];
    if (!isFaceSetup(setup) || setup.device !== "vise")
      return no(
        isFaceSetup(setup)
          ? words("It is not held in the vise.")
          : words("Features are picked up on each piece by itself: one at a time against the stop."),
      );
    if (setup.seat.overhang !== null) return no(words("Its end hangs out past the jaws."));
    const along = setup.before.sizes[alongJaws(at)];
    const needs = tidy(2 * along + between);
    if (needs > vise.jawWidth)
      return no(say`Side by side they take ${mm(needs)} of a jaw of ${mm(vise.jawWidth)}.`);
    const gripped = axisOf(at.fixed);
    const machined = facesOf(gripped).every((face) =>
      ["milled", "ground"].includes(setup.before.faces[face].condition),
    );
    const size = part.sizes[gripped];
    const limits = size && machined ? limitsOf(size, part) : null;
    if (!limits)
      return [
        {
          clamping,
          may: "packed",
          why: words(
            "The faces between the jaws are not cut: the wider one is held and the other is loose. Put a soft rod or folded paper at each, and try both by hand.",
          ),
        },
      ];
    const apart = tidy(limits.upper - limits.lower);
    return [
      apart <= bothHeld
        ? {
            clamping,
            may: "yes",
            why: say`Their widths differ by at most ${precise(mm(apart), 3)}: both are held. Try both for tightness, and measure both with the micrometer after the first cut.`,
          }
        : {
            clamping,
            may: apart <= packingEvens ? "packed" : "no",
            why: say`Within their limits the widths differ by up to ${precise(mm(apart), 3)}: measure both. ${apart <= packingEvens ? "Pack the narrower with paper or shim of the difference" : "More than packing evens"}, or take them one by one.`,
          },
    ];
  });
}
