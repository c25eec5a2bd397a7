import { axesAcross, type Axis } from "../../frame/index.ts";
import type { Dimension } from "../../quantity/index.ts";
import { type Feature, rulesOf } from "./index.ts";
import { needsDimension } from "./locate.ts";

/** The dimensions that place a feature along a size, one after the other back to an edge or the center. */
export function chainAlong(feature: Feature, axis: Axis, features: readonly Feature[]): Dimension[] {
  const chain: Dimension[] = [];
  const seen = new Set<string>();
  for (let now: Feature | undefined = feature; now && !seen.has(now.id);) {
    seen.add(now.id);
    const at = axesAcross(now.face).indexOf(axis);
    const which = at === 0 ? "first" : "second";
    if (at === -1 || !rulesOf(now.kind).places(now).includes(which)) break;
    const place: Feature["first"] = now[which];
    if (needsDimension(place) && place.at) chain.push(place.at);
    const next: string | null = place.from === "feature" ? place.of : null;
    now = features.find((f) => f.id === next);
  }
  return chain;
}

/** Features that count from another along any size, directly or over others. */
export function hangingOn(id: string, features: readonly Feature[]): Feature[] {
  const found = new Set<string>();
  const look = (of: string) => {
    for (const feature of features) {
      const counts = rulesOf(feature.kind)
        .places(feature)
        .some((which) => feature[which].from === "feature" && feature[which].of === of);
      if (!counts || found.has(feature.id) || feature.id === id) continue;
      found.add(feature.id);
      look(feature.id);
    }
  };
  look(id);
  return features.filter((f) => found.has(f.id));
}
