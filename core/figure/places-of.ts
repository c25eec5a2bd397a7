import { axesAcross, facesOf } from "../frame/index.ts";
import { type Feature, needsDimension, rulesOf, type Site } from "../part/index.ts";
import type { PlacedAlong } from "./place-dimensions.ts";

/** Where the places of a feature count from and lead to, for those that have a dimension. */
export function placesOf(feature: Feature, site: Site): PlacedAlong[] {
  const axes = axesAcross(feature.face);
  return rulesOf(feature.kind)
    .places(feature)
    .flatMap((which) => {
      const axis = axes[which === "first" ? 0 : 1];
      const place = feature[which];
      const to = site.middleOf(feature.id, axis);
      if (!needsDimension(place) || to === null) return [];
      const from =
        place.from === "center"
          ? site.sizes[axis] / 2
          : place.from === "feature"
            ? (site.middleOf(place.of ?? "", axis) ?? 0)
            : place.from === facesOf(axis)[0]
              ? 0
              : site.sizes[axis];
      return [{ axis, from, to }];
    });
}
