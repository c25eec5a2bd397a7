import { type Axis, axisNames, axisOf, faceNames } from "../frame/index.ts";
import { materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { type Dimension, mm } from "../quantity/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import { note, type Phrase, precise, rule, stop, type Warning, warn } from "../working/index.ts";
import { checkFeatures } from "./features/check-features.ts";
import { checkMates } from "./mates-of-part.ts";
import { checkForm } from "./form.ts";
import { featuresOf, formsOf, limitsOf, type Part } from "./part.ts";
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
      : [...checkSizes(part, shop), ...checkLeft(part)]),
    ...checkContents(part, shop, machine),
  ];
}

function checkMaterial(part: Part, own: OwnHandbook): DrawingFinding[] {
  if (part.material === null || !materialIn(own, part.material)) {
    return [
      { axis: null, ...stop(rule("drawing.material")`Choose the material: speeds and feeds depend on it.`) },
    ];
  }
  return [];
}

/** What is left for a next process must be there however it comes out. */
const checkLeft = ({ faces }: Part): DrawingFinding[] =>
  faceNames.flatMap((face) => {
    const { leave, leaveWithin } = faces[face];
    if (leave === null || leaveWithin === null || leaveWithin < leave) return [];
    return [
      {
        axis: axisOf(face),
        ...warn(
          rule(
            "drawing.leftNothing",
          )`${precise(mm(leave), 3)} is left on the ${face}, within ±${precise(mm(leaveWithin), 3)}: it may come out with nothing left for the next process. Leave more, or hold it closer.`,
        ),
      },
    ];
  });

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
          rule("drawing.zero")`The ${axis} must be above zero: its lower limit is ${mm(limits.lower)}.`,
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

/** What is wrong with the features and the mates. */
function checkContents(part: Part, shop: Shop, machine: Machine | null): DrawingFinding[] {
  const site = siteOfPart(part);
  const features = featuresOf(part);
  const found = (warnings: Warning[]): DrawingFinding[] =>
    warnings.map((finding) => ({ axis: null, ...finding }));
  const limits = (dimension: Dimension) => limitsOf(dimension, part);
  return [
    ...(site ? found(checkFeatures(features, { site, shop, machine, limitsOf: limits })) : []),
    ...found(formsOf(part).flatMap((form) => checkForm(form, formsOf(part), features))),
    ...found(checkMates(part)),
    ...(site && part.shaft && features.length === 0
      ? found([
          note(
            rule(
              "drawing.plainShaft",
            )`A shaft comes turned to its drawing. Add a feature: nothing is milled on it yet.`,
          ),
        ])
      : []),
  ];
}

/** Whether a finding stops the plan of the whole part; one about a feature leaves only that feature out. */
export const stopsPlan = (finding: DrawingFinding): boolean =>
  finding.severity === "stop" && finding.feature === undefined;

/** Why features are not planned, by their id: the first that the drawing check blocks of each. */
export function blockedFeatures(findings: readonly DrawingFinding[]): { [feature: string]: Phrase } {
  const blocked: { [feature: string]: Phrase } = {};
  for (const { feature, severity, phrase } of findings)
    if (feature !== undefined && severity === "stop") blocked[feature] ??= phrase;
  return blocked;
}
