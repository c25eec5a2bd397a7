import { alongJaws, axisOf, facesOf } from "../frame/index.ts";
import { effectivePart, type Job } from "../job/index.ts";
import { bothHeld, packingEvens } from "../holding/index.ts";
import { limitsOf } from "../part/index.ts";
import { mm, type Mm, tidy } from "../quantity/index.ts";
import { type FaceSetup, type FeatureSetup, isFaceSetup, type Setup } from "../route/index.ts";
import type { Vise } from "../shop/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";

/** How two pieces lie in one vise: end to end along the jaws, one behind the other between them, one on the other. */
export type Together = "end to end" | "between the jaws" | "stacked";

/** Whether two pieces go into the vise at once in a setup. */
export interface TwoAtOnce {
  clamping: number;
  how: Together;
  /** They fit, and both are held: as they are, or with packing at the narrower. */
  may: "yes" | "packed" | "no";
  why: Phrase;
}

/** Left between two pieces, mm: a chip must not push them apart. */
const between: Mm = 2;

type Answer = Pick<TwoAtOnce, "may" | "why">;
const no = (why: Phrase): Answer => ({ may: "no", why });

/**
 * For each clamping whether two pieces go into the vise at once, and whether both are held. End to end a jaw grips only the wider of
 * two that differ (M46); between the jaws they press one another, and the faces that meet have to be cut; stacked, only what goes
 * through both is cut in both. What is not cut yet differs as blanks do; what is cut, within its limits.
 */
export function twoAtOnce(job: Job, setups: readonly Setup[], vise: Vise): TwoAtOnce[] {
  const seen = new Set<number>();
  return setups.flatMap((setup): TwoAtOnce[] => {
    if (seen.has(setup.clamping)) return [];
    seen.add(setup.clamping);
    const together = setups.filter((s) => s.clamping === setup.clamping);
    const { clamping } = setup;
    const told = (how: Together, answer: Answer): TwoAtOnce => ({ clamping, how, ...answer });
    if (!together.every(isFaceSetup)) {
      const features = together.filter((s) => !isFaceSetup(s)) as FeatureSetup[];
      const through =
        features.length === together.length &&
        features.every(({ operations, features: ids, seat }) =>
          ids.every((id) =>
            operations.some((o) => o.feature === id && o.by === "hole" && o.floor >= seat.standing - 1e-6),
          ),
        );
      return [
        through
          ? told("stacked", {
              may: "yes",
              why: words(
                "Only holes through it are made here: two clamped on one another are drilled through together, and match. Deburr between them after, and mind that the drill reaches.",
              ),
            })
          : told(
              "end to end",
              no(words("Features are picked up on each piece by itself: one at a time against the stop.")),
            ),
      ];
    }
    const face = setup as FaceSetup;
    if (face.device !== "vise") return [told("end to end", no(words("It is not held in the vise.")))];
    if (face.seat.overhang !== null)
      return [told("end to end", no(words("Its end hangs out past the jaws.")))];
    const cutFaces = facesOf(axisOf(face.at.fixed)).every((f) =>
      ["milled", "ground"].includes(face.before.faces[f].condition),
    );
    return [
      told("end to end", endToEnd(job, face, vise, cutFaces)),
      told("between the jaws", betweenJaws(face, vise, cutFaces)),
    ];
  });
}

function endToEnd(job: Job, { at, before }: FaceSetup, vise: Vise, cutFaces: boolean): Answer {
  const part = effectivePart(job);
  const needs = tidy(2 * before.sizes[alongJaws(at)] + between);
  if (needs > vise.jawWidth)
    return no(say`End to end they take ${mm(needs)} of a jaw of ${mm(vise.jawWidth)}.`);
  const size = part.sizes[axisOf(at.fixed)];
  const limits = size && cutFaces ? limitsOf(size, part) : null;
  if (!limits)
    return {
      may: "packed",
      why: words(
        "The faces between the jaws are not cut: the wider one is held and the other is loose. Put a soft rod or folded paper at each, and try both by hand.",
      ),
    };
  const apart = tidy(limits.upper - limits.lower);
  return apart <= bothHeld
    ? {
        may: "yes",
        why: say`Their widths differ by at most ${precise(mm(apart), 3)}: both are held. Try both for tightness, and measure both with the micrometer after the first cut.`,
      }
    : {
        may: apart <= packingEvens ? "packed" : "no",
        why: say`Within their limits the widths differ by up to ${precise(mm(apart), 3)}: measure both. ${apart <= packingEvens ? "Pack the narrower with paper or shim of the difference" : "More than packing evens"}, or take them one by one.`,
      };
}

function betweenJaws({ at, before }: FaceSetup, vise: Vise, cutFaces: boolean): Answer {
  const needs = tidy(2 * before.sizes[axisOf(at.fixed)]);
  if (needs > vise.opening)
    return no(say`One behind the other they take ${mm(needs)}, and the vise opens to ${mm(vise.opening)}.`);
  return cutFaces
    ? {
        may: "yes",
        why: words(
          "The faces that meet are cut: they press one another, whatever their widths. Each needs a pair of parallels of its own, and both are tried after tightening.",
        ),
      }
    : no(words("The faces that would meet are not cut: they rock on one another."));
}
