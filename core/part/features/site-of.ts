import { axesAcross, type Axis, type Sizes } from "../../frame/index.ts";
import { cutoutOf, type Feature, rulesOf } from "./index.ts";
import { placeAlong } from "./locate.ts";
import type { ShaftSection, Site } from "./site.ts";

/**
 * What the features of a part are placed in. Middles are worked once; features that count from one another in a ring have
 * none.
 */
export function siteOf(
  features: readonly Feature[],
  sizes: Sizes,
  shaft: readonly ShaftSection[] | null = null,
): Site {
  const byId = new Map(features.map((f) => [f.id, f]));
  const known = new Map<string, number | null>();
  const busy = new Set<string>();
  const site: Site = {
    sizes,
    shaft,
    middleOf(id, axis) {
      const key = `${id}/${axis}`;
      const before = known.get(key);
      if (before !== undefined) return before;
      const feature = byId.get(id);
      if (!feature || busy.has(key)) return null;
      busy.add(key);
      const middle = middleAlong(feature, axis, site);
      busy.delete(key);
      known.set(key, middle);
      return middle;
    },
  };
  return site;
}

/** The middle of a feature along a size: as it is placed, else of what it takes out. */
function middleAlong(feature: Feature, axis: Axis, site: Site): number | null {
  const at = axesAcross(feature.face).indexOf(axis);
  const which = at === 0 ? "first" : "second";
  if (at !== -1 && rulesOf(feature.kind).places(feature).includes(which))
    return placeAlong(feature[which], axis, site);
  const box = cutoutOf(feature, site)?.box[axis];
  return box ? (box[0] + box[1]) / 2 : null;
}
