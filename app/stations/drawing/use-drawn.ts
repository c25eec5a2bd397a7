import { useMemo } from "react";
import { type DrawnCutout, drawnCutouts } from "../../../core/figure/index.ts";
import { drawnSite, type Feature, featuresOf, type Part, type Site } from "../../../core/part/index.ts";

/** The part as it is drawn: where its features lie, and what each cuts away. */
export function useDrawn(part: Part): { site: Site; features: readonly Feature[]; cutouts: DrawnCutout[] } {
  return useMemo(() => {
    const site = drawnSite(part);
    return { site, features: featuresOf(part), cutouts: drawnCutouts(part, site) };
  }, [part]);
}
