import { alongJaws, type Axis, axisOf, facesOf, type Orientation } from "../frame/index.ts";
import { bothHeld, packingEvens, type Together } from "../holding/index.ts";
import { type Limits, type Mm, mm, tidy } from "../quantity/index.ts";
import { type Parallels, parallelsById, type Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";
import type { FaceSetup, FeatureSetup } from "./setup.ts";

/** Whether two pieces are held at once: as they are, with packing at the narrower, or not. */
export interface TwoHeld {
  may: "yes" | "packed" | "no";
  why: Phrase;
}

/** Left between two pieces end to end, mm: a chip must not push them apart. */
const between: Mm = 2;

/** Two pieces held at once, as one body: as long, as wide or as high as both. */
export function twoOf(piece: Piece, at: Orientation, how: Together): Piece {
  const axis = axisOfTwo(at, how);
  const gap = how === "end to end" ? between : 0;
  return { ...piece, sizes: { ...piece.sizes, [axis]: tidy(2 * piece.sizes[axis] + gap) } };
}

const axisOfTwo = (at: Orientation, how: Together): Axis =>
  how === "end to end" ? alongJaws(at) : axisOf(how === "stacked" ? at.up : at.fixed);

const no = (why: Phrase): TwoHeld => ({ may: "no", why });

/**
 * Whether two pieces are held at once for a face. End to end a jaw grips only the wider of two that differ (M46); between the jaws they
 * press one another, and the faces that meet have to be cut. What is not cut yet differs as blanks do; what is cut, within its limits.
 */
export function twoInVise(
  how: Together,
  setup: FaceSetup,
  { limits, vise, parallels }: { limits: Record<Axis, Limits>; vise: Vise; parallels: readonly Parallels[] },
): TwoHeld {
  if (setup.device !== "vise") return no(words("It is not held in the vise."));
  if (setup.seat.overhang !== null) return no(words("Its end hangs out past the jaws."));
  if (setup.entry !== "placed") return no(words("It stays clamped from the cut before, alone."));
  if (how === "stacked") return no(words("Of two faces on one another only the upper one is cut."));
  const { at, before } = setup;
  const cutFaces = facesOf(axisOf(at.fixed)).every((f) =>
    ["milled", "ground"].includes(before.faces[f].condition),
  );
  const needs = twoOf(before, at, how).sizes[axisOfTwo(at, how)];
  if (how === "between the jaws") {
    if (needs > vise.opening)
      return no(say`One behind the other they take ${mm(needs)}, and the vise opens to ${mm(vise.opening)}.`);
    const under = setup.seat.parallels;
    const pairs = parallels.filter((p) => p.height === under?.height).length;
    if (under && (under.lower !== null || pairs < 2))
      return no(
        say`Each piece needs a pair of parallels ${mm(under.height)} high of its own, and ${pairs === 0 ? "none" : "one"} is owned.`,
      );
    return cutFaces
      ? {
          may: "yes",
          why: words(
            "The faces that meet are cut: they press one another, whatever their widths. Both are tried after tightening.",
          ),
        }
      : no(words("The faces that would meet are not cut: they rock on one another."));
  }
  if (needs > vise.jawWidth)
    return no(say`End to end they take ${mm(needs)} of a jaw of ${mm(vise.jawWidth)}.`);
  const under = setup.seat.parallels && parallelsById(parallels, setup.seat.parallels.id);
  if (under && needs > under.length)
    return no(say`End to end they take ${mm(needs)}, and the parallels are ${mm(under.length)} long.`);
  if (!cutFaces)
    return {
      may: "packed",
      why: words(
        "The faces between the jaws are not cut: the wider one is held and the other is loose. Put a soft rod or folded paper at each, and try both by hand.",
      ),
    };
  const { upper, lower } = limits[axisOf(at.fixed)];
  const apart = tidy(upper - lower);
  return apart <= bothHeld
    ? {
        may: "yes",
        why: say`Their widths differ by at most ${precise(mm(apart), 3)}: both are held. Try both for tightness, and measure both with the micrometer after the first cut.`,
      }
    : {
        may: apart <= packingEvens ? "packed" : "no",
        why: say`Within their limits the widths differ by up to ${precise(mm(apart), 3)}: ${apart <= packingEvens ? "pack the narrower with paper or shim of the difference, or" : "that is more than packing evens:"} take them one by one.`,
      };
}

/** Whether two pieces may lie on one another for a setup of features: only what goes through both is cut in both. */
export function twoOnOneAnother({ operations, features, seat, entry, device }: FeatureSetup): TwoHeld {
  if (entry !== "placed" || device !== "vise")
    return no(words("Features are picked up on each piece by itself: one at a time against the stop."));
  const height = seat.together ? seat.standing / 2 : seat.standing;
  // What starts a hole is for the upper one only: the drill leads itself into the lower. A head or a seat would be missing there.
  const through = features.every((id) =>
    operations.every(
      (o) =>
        o.feature !== id ||
        o.key === `${id}/spot` ||
        o.by === "hand" ||
        (o.by === "hole" && o.floor >= height - 1e-6),
    ),
  );
  return through
    ? {
        may: "yes",
        why: words(
          "Only holes through it are made here: two clamped on one another are drilled through together, and match. Deburr between them after.",
        ),
      }
    : no(words("Features are picked up on each piece by itself: one at a time against the stop."));
}

/** More than one cut in a clamping is made on each piece alone. */
export const moreInClamping: TwoHeld = no(
  words("More is cut before the part is let go: it stays alone in the vise."),
);
