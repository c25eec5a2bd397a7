import { axisNames } from "../frame/index.ts";
import type { Dimension } from "../quantity/index.ts";
import type { Warning } from "../working/index.ts";
import { featureNames } from "./features/check-features.ts";
import { rulesOf } from "./features/index.ts";
import { checkMate } from "./mate.ts";
import { featuresOf, limitsOf, type Part } from "./part.ts";
import { sectionsOf } from "./shaft.ts";

/** A size of the part that something else may have to fit. */
export interface PartSize {
  /** As a mate names it. */
  path: string;
  name: string;
  dimension: Dimension;
}

/** Every size entered on the drawing that another part can meet: outside sizes, sections, sizes of features. */
export function sizesOfPart(part: Part): PartSize[] {
  const features = featuresOf(part);
  const names = featureNames(features);
  const outside = part.shaft
    ? sectionsOf(part.shaft).map((s, i) => ({
        path: `shaft/${s.id}`,
        name: `diameter of section ${i + 1}`,
        dimension: s.diameter,
      }))
    : axisNames.map((axis) => ({ path: `sizes/${axis}`, name: axis, dimension: part.sizes[axis] }));
  const inside = features.flatMap((feature) => {
    const sizes = feature.sizes as Record<string, Dimension | null>;
    return rulesOf(feature.kind)
      .fields(feature)
      .map(({ key, label }) => ({
        path: `${feature.id}/${key}`,
        name: `${label.toLowerCase()} of ${names.get(feature.id)}`,
        dimension: sizes[key] ?? null,
      }));
  });
  return [...outside, ...inside].flatMap(({ path, name, dimension }) =>
    dimension ? [{ path, name, dimension }] : [],
  );
}

/** What speaks against the fits of a part. */
export function checkMates(part: Part): Warning[] {
  const sizes = sizesOfPart(part);
  return part.mates.order.flatMap((id) => {
    const mate = part.mates.byId[id];
    if (!mate) return [];
    const size = sizes.find((s) => s.path === mate.size);
    return checkMate(mate, size?.name ?? null, size ? limitsOf(size.dimension, part) : null, (d) =>
      limitsOf(d, part),
    );
  });
}
