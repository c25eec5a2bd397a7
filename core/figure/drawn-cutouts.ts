import { type Cutout, cutoutOf, featureNames, featuresOf, type Part, type Site } from "../part/index.ts";

/** What is cut into a part, with what it is called. */
export interface DrawnCutout {
  id: string;
  name: string;
  /** Its number on the sheet, from 1. */
  number: number;
  cutout: Cutout;
}

/** Every feature of a part that is whole enough to be drawn. */
export function drawnCutouts(part: Part, site: Site): DrawnCutout[] {
  const features = featuresOf(part);
  const names = featureNames(features);
  return features.flatMap((feature, i) => {
    const cutout = cutoutOf(feature, site);
    return cutout ? [{ id: feature.id, cutout, name: names.get(feature.id)!, number: i + 1 }] : [];
  });
}
