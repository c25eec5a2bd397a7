import type { Cutout } from "../part/index.ts";
import type { RecipePlace } from "../recipes/index.ts";
import type { FeaturesAsked } from "./features-asked.ts";

/**
 * Where a feature is made: in what part, by what shop.
 * @param gone what was taken out before it
 * @param others what the other features take out, whenever that is
 */
export const recipePlace = (
  { part, site, shop, machine }: FeaturesAsked,
  cutout: Cutout,
  { gone = [], others = [] }: { gone?: readonly Cutout[]; others?: readonly Cutout[] },
): RecipePlace => ({ part, site, sizes: site.sizes, shop, machine, cutout, before: gone, others });
