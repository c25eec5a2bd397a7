import { type Axis, axisNames } from "../frame/index.ts";
import { materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { type Dimension, mm } from "../quantity/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import { note, rule, stop, type Warning } from "../working/index.ts";
import { checkFeatures } from "./features/check-features.ts";
import { checkMates } from "./mates-of-part.ts";
import { featuresOf, limitsOf, type Part } from "./part.ts";
import { provable } from "./provable.ts";
import { checkShaft } from "./shaft.ts";
import { siteOfPart } from "./site-of-part.ts";

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
export function checkDrawing(
  part: Part,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
  machine: Machine | null = null,
): DrawingFinding[] {
  return [
    ...checkMaterial(part, own),
    ...(part.shaft
      ? checkShaft(part.shaft).map((finding) => ({ axis: null, ...finding }))
      : checkSizes(part, shop)),
    ...checkContents(part, shop, machine),
  ];
}

function checkMaterial(part: Part, own: OwnHandbook): DrawingFinding[] {
  if (part.material === null || !materialIn(own, part.material)) {
    return [
      { axis: null, ...stop(rule("drawing.material")`Choose the material: speeds and feeds hang on it.`) },
    ];
  }
  return [];
}

/** The three sizes of a block. */
function checkSizes(part: Part, shop: Shop): DrawingFinding[] {
  const found: DrawingFinding[] = [];
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
    found.push(...provable(`the ${axis}`, size.nominal, limits, shop).map((w) => ({ axis, ...w })));
  }
  return found;
}

/** What speaks against the features and the mates, and that they are not cut yet. */
function checkContents(part: Part, shop: Shop, machine: Machine | null): DrawingFinding[] {
  const site = siteOfPart(part);
  const features = featuresOf(part);
  const told = (found: Warning[]): DrawingFinding[] => found.map((finding) => ({ axis: null, ...finding }));
  const limits = (dimension: Dimension) => limitsOf(dimension, part);
  return [
    ...(site ? told(checkFeatures(features, { site, shop, machine, limitsOf: limits })) : []),
    ...told(checkMates(part)),
    ...(site && (features.length > 0 || part.shaft)
      ? told([
          note(
            rule(
              "drawing.featuresBeside",
            )`${part.shaft ? "A shaft comes turned to its drawing" : "The setups square the block"}. ${features.length === 0 ? "Nothing is cut into it yet." : `${features.length === 1 ? "Its feature is" : `Its ${features.length} features are`} drawn and checked here, and milled by you: the plan does not cut them.`}`,
          ),
        ])
      : []),
  ];
}
