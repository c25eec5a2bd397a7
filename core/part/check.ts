import { type Axis, axisNames } from "../frame/index.ts";
import { materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { mm } from "../quantity/index.ts";
import type { Shop } from "../shop/index.ts";
import { note, precise, rule, stop, warn, type Warning } from "../working/index.ts";
import { checkFeatures } from "./features/check-features.ts";
import { featuresOf, limitsOf, type Part, targetSizes } from "./part.ts";

export interface DrawingFinding extends Warning {
  /** The size it is about; null for the whole part. */
  axis: Axis | null;
  /** The feature it is about, by id. */
  feature?: string;
}

/**
 * Drawing check before any planning. Catches M35 as far as the instruments' uncertainty goes.
 * @returns what stops planning first, then warnings and notes; empty for a drawing that can be planned
 */
export function checkDrawing(part: Part, shop: Shop, own: OwnHandbook = noOwnValues): DrawingFinding[] {
  const found: DrawingFinding[] = [];
  if (part.material === null || !materialIn(own, part.material)) {
    found.push({
      axis: null,
      ...stop(rule("drawing.material")`Choose the material: speeds and feeds hang on it.`),
    });
  }
  for (const axis of axisNames) {
    const size = part.sizes[axis];
    if (!size) {
      found.push({ axis, ...stop(rule("drawing.missing")`The finished ${axis} is missing.`) });
      continue;
    }
    const limits = limitsOf(size, part);
    if (limits.lower <= 0) {
      found.push({
        axis,
        ...stop(
          rule(
            "drawing.zero",
          )`The ${axis} must be more than nothing: its lower limit is ${mm(limits.lower)}.`,
        ),
      });
      continue;
    }
    if (limits.upper < limits.lower) {
      found.push({
        axis,
        ...stop(rule("drawing.limits")`The upper limit of the ${axis} is below its lower limit.`),
      });
      continue;
    }
    const able = shop.instruments.filter((i) => i.from <= size.nominal && size.nominal <= i.to);
    const best = able.reduce((u, i) => Math.min(u, i.uncertainty), Infinity);
    const width = limits.upper - limits.lower;
    if (able.length === 0) {
      found.push({
        axis,
        ...warn(
          rule(
            "M35.range",
          )`No instrument in the shop reaches ${mm(size.nominal)}. Borrow one before the last cuts of the ${axis}.`,
        ),
      });
    } else if (best * 2 >= width) {
      found.push({
        axis,
        ...warn(
          rule(
            "M35.prove",
          )`The ${axis} has limits ${precise(mm(width), 3)} apart; your best instrument is uncertain by ${precise(mm(best), 3)} and cannot prove it.`,
        ),
      });
    } else if (best * 8 > width && best * 4 > width) {
      found.push({
        axis,
        ...note(
          rule(
            "M35.half",
          )`With U ${precise(mm(best), 3)} on limits ${precise(mm(width), 3)} apart, a good part of the zone reads "cannot tell".`,
        ),
      });
    }
  }
  const sizes = targetSizes(part);
  const features = featuresOf(part);
  if (sizes && features.length > 0) {
    found.push(...checkFeatures(features, sizes, shop).map((finding) => ({ axis: null, ...finding })), {
      axis: null,
      ...note(
        rule(
          "drawing.featuresBeside",
        )`The setups square the block. They do not cut its ${features.length === 1 ? "feature" : `${features.length} features`}: these are drawn and checked, and milled by you afterwards.`,
      ),
    });
  }
  return found;
}
