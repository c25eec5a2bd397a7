import { type Axis, axisNames, type Face, facesOf, type Sizes } from "../frame/index.ts";
import {
  cutoutOf,
  type DrawingFinding,
  featureNames,
  featuresOf,
  type Part,
  partSizes,
  siteOf,
} from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { type Phrase, precise, rule, say, warn } from "../working/index.ts";
import type { Job } from "./job.ts";

/** What a change of one size does to a feature: how far its middle moves and how much it grows along that size, mm. */
export interface FeatureMove {
  feature: string;
  name: string;
  moves: Mm;
  toward: Face;
  grows: Mm;
}

/**
 * Everything that hangs on a size (M05): features counted from its far edge or its center move, those that run along it
 * grow, those counted from its low edge stay and are left out.
 * @param to the new size, mm
 */
export function movesWith(part: Part, axis: Axis, to: Mm): FeatureMove[] {
  const sizes = partSizes(part);
  if (!sizes || part.shaft) return [];
  const features = featuresOf(part);
  const names = featureNames(features);
  const boxes = (at: Sizes) => {
    const site = siteOf(features, at);
    return features.map((feature) => cutoutOf(feature, site)?.box[axis] ?? null);
  };
  const [before, after] = [boxes(sizes), boxes({ ...sizes, [axis]: to })];
  return features.flatMap(({ id }, i): FeatureMove[] => {
    const [was, is] = [before[i], after[i]];
    if (!was || !is) return [];
    const moves = tidy((is[0] + is[1] - was[0] - was[1]) / 2);
    const grows = tidy(is[1] - is[0] - (was[1] - was[0]));
    return moves === 0 && grows === 0
      ? []
      : [{ feature: id, name: names.get(id)!, moves, toward: facesOf(axis)[moves > 0 ? 1 : 0], grows }];
  });
}

/** A move in words: "hole 1 moves 0.25 mm". */
export const moveWords = ({ name, moves, toward, grows }: FeatureMove): Phrase =>
  grows === 0
    ? say`${name} moves ${precise(mm(Math.abs(moves)), 3)} toward the ${toward}`
    : say`${name} is ${precise(mm(Math.abs(grows)), 3)} ${grows > 0 ? "longer" : "shorter"}`;

/** M05: a size that deviates from its drawing takes features along; each is named with how far. */
export function retargetFindings(job: Job): DrawingFinding[] {
  return axisNames.flatMap((axis): DrawingFinding[] => {
    const retarget = job.retargets[axis];
    if (!retarget) return [];
    return movesWith(job.part, axis, retarget.size.nominal)
      .filter(({ grows }) => grows === 0)
      .map((move) => ({
        axis,
        feature: move.feature,
        ...warn(
          rule(
            "M05.moves",
          )`The ${axis} is no longer as drawn, so the ${moveWords(move)}. Mark it from where it counts now, or dimension it from the other edge.`,
        ),
      }));
  });
}
