import { type Axis, axesAcross, axisNames, axisOf, facesOf, type Sizes } from "../../frame/index.ts";
import { type Mm, mm } from "../../quantity/index.ts";
import type { Shop } from "../../shop/index.ts";
import { rule, type Warning, warn } from "../../working/index.ts";
import type { Cutout } from "./cutout.ts";
import { checkOf, cutoutOf, type Feature, rulesOf } from "./index.ts";

/** A wall thinner than this, or than a share of its depth, bends or breaks away (domain.md 2). */
const thinnest = { mm: 2, ofDepth: 1 / 5 } as const;

export interface FeatureFinding extends Warning {
  feature: string;
}

/** What a feature is called: its kind and its number among those of its kind. */
export function featureNames(features: readonly Feature[]): Map<string, string> {
  const counts = new Map<string, number>();
  return new Map(
    features.map(({ id, kind }) => {
      const number = (counts.get(kind) ?? 0) + 1;
      counts.set(kind, number);
      return [id, `${rulesOf(kind).word} ${number}`];
    }),
  );
}

const leastWall = (depth: Mm): Mm => Math.max(thinnest.mm, depth * thinnest.ofDepth);
const depthOf = ({ face, box }: Cutout): Mm => box[axisOf(face)][1] - box[axisOf(face)][0];

/** What speaks against the features of a part of these sizes, each with what to do. */
export function checkFeatures(features: readonly Feature[], sizes: Sizes, shop: Shop): FeatureFinding[] {
  const names = featureNames(features);
  const cut = features.map((feature) => ({ feature, cutout: cutoutOf(feature, sizes) }));
  return cut.flatMap(({ feature, cutout }, i): FeatureFinding[] => {
    const name = names.get(feature.id)!;
    const told = (found: Warning[]) => found.map((f) => ({ ...f, feature: feature.id }));
    if (!cutout)
      return told([warn(rule("drawing.unfinished")`The ${name} is not whole yet: fill in what is empty.`)]);
    const outside = axisNames.filter(
      (axis) => cutout.box[axis][0] < -1e-6 || cutout.box[axis][1] > sizes[axis] + 1e-6,
    );
    if (outside.length > 0)
      return told(
        outside.map((axis) =>
          warn(
            rule(
              "drawing.outside",
            )`The ${name} goes out of the block along its ${axis}: it reaches from ${mm(cutout.box[axis][0])} to ${mm(cutout.box[axis][1])} of ${mm(sizes[axis])}.`,
          ),
        ),
      );
    return told([
      ...thinWalls(name, cutout, sizes),
      ...cut
        .slice(0, i)
        .flatMap((other) =>
          other.cutout ? between(name, cutout, names.get(other.feature.id)!, other.cutout) : [],
        ),
      ...checkOf(feature, cutout, shop),
    ]);
  });
}

/** Walls left between a cutout and the sides of the block, and its floor. */
function thinWalls(name: string, cutout: Cutout, sizes: Sizes): Warning[] {
  const least = leastWall(depthOf(cutout));
  const beside = axesAcross(cutout.face).flatMap((axis) => facesOf(axis));
  const below = facesOf(axisOf(cutout.face)).filter((f) => f !== cutout.face);
  return [...beside, ...below].flatMap((face) => {
    if (cutout.opens.includes(face)) return [];
    const axis = axisOf(face);
    const wall = face === facesOf(axis)[0] ? cutout.box[axis][0] : sizes[axis] - cutout.box[axis][1];
    return wall < least - 1e-9
      ? [
          warn(
            rule(
              "drawing.wall",
            )`Only ${mm(wall)} is left between the ${name} and the ${face} face; ${mm(least)} stands the cut. Move it, or make it smaller.`,
          ),
        ]
      : [];
  });
}

/** Gap of two spans; below zero where they overlap. */
const gap = (a: readonly [Mm, Mm], b: readonly [Mm, Mm]): Mm => Math.max(a[0], b[0]) - Math.min(a[1], b[1]);

/** A wall too thin between two cutouts that stand beside one another. What crosses is left to the drawing. */
function between(name: string, one: Cutout, otherName: string, other: Cutout): Warning[] {
  const gaps = axisNames.map((axis: Axis) => gap(one.box[axis], other.box[axis]));
  const apart = gaps.filter((g) => g > 1e-9);
  const least = leastWall(Math.min(depthOf(one), depthOf(other)));
  return apart.length === 1 && apart[0]! < least - 1e-9
    ? [
        warn(
          rule(
            "drawing.between",
          )`Only ${mm(apart[0]!)} is left between the ${name} and the ${otherName}; ${mm(least)} stands the cut.`,
        ),
      ]
    : [];
}
