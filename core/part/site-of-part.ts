import { axisNames, type Sizes } from "../frame/index.ts";
import { siteOf } from "./features/site-of.ts";
import type { Site } from "./features/index.ts";
import { featuresOf, type Part, targetSizes } from "./part.ts";
import { sectionsOf, shaftSections, shaftSizes } from "./shaft.ts";

/** The box a part lies in: a block's target sizes, or around a shaft's sections; null while something is missing. */
export function partSizes(part: Part): Sizes | null {
  if (!part.shaft) return targetSizes(part);
  const sections = shaftSections(part.shaft);
  return sections && shaftSizes(sections);
}

/** What the features of a part are placed in; null while its sizes are not all known. */
export function siteOfPart(part: Part): Site | null {
  const sizes = partSizes(part);
  return sizes && siteOf(featuresOf(part), sizes, part.shaft ? shaftSections(part.shaft) : null);
}

/** A part drawn before all its sizes are known: what is missing stands in a usual proportion. */
export function drawnSite(part: Part): Site {
  const features = featuresOf(part);
  if (part.shaft) {
    const known = sectionsOf(part.shaft).flatMap((s) => s.diameter?.nominal ?? []);
    const usual = known.length > 0 ? Math.max(...known) : 30;
    let from = 0;
    const sections = sectionsOf(part.shaft).map(({ diameter, length }) => {
      const to = from + (length?.nominal ?? 2 * usual);
      const section = { diameter: diameter?.nominal ?? usual, from, to };
      from = to;
      return section;
    });
    const whole = sections.length > 0 ? sections : [{ diameter: usual, from: 0, to: 3 * usual }];
    return siteOf(features, shaftSizes(whole), whole);
  }
  const known = axisNames.flatMap((axis) => part.sizes[axis]?.nominal ?? []);
  const usual = known.length > 0 ? Math.max(...known) * 0.6 : 60;
  const sizes = Object.fromEntries(
    axisNames.map((axis) => [axis, part.sizes[axis]?.nominal ?? usual]),
  ) as Sizes;
  return siteOf(features, sizes);
}
