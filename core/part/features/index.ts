import { type Axis, axesAcross, axisOf, type Face, faceNames, opposite } from "../../frame/index.ts";
import type { Warning } from "../../working/index.ts";
import * as z from "../../zod.ts";
import { arcRules, arcSchema } from "./arc/index.ts";
import { chamferRules, chamferSchema } from "./chamfer/index.ts";
import { cornerRadiusRules, cornerRadiusSchema } from "./corner-radius/index.ts";
import type { Cutout } from "./cutout.ts";
import { dovetailRules, dovetailSchema } from "./dovetail/index.ts";
import { holeRules, holeSchema } from "./hole/index.ts";
import { keywayRules, keywaySchema } from "./keyway/index.ts";
import { type Locate, mirrored, onCenter } from "./locate.ts";
import { outlineRules, outlineSchema } from "./outline/index.ts";
import { pocketRules, pocketSchema } from "./pocket/index.ts";
import { rebateRules, rebateSchema } from "./rebate/index.ts";
import type { Bench, ChoiceField, FeatureRules } from "./rules.ts";
import type { Site } from "./site.ts";
import { slopeRules, slopeSchema } from "./slope/index.ts";
import { slotRules, slotSchema } from "./slot/index.ts";
import { stepRules, stepSchema } from "./step/index.ts";
import { tShapeRules, tShapeSchema } from "./t-shape/index.ts";
import { tSlotRules, tSlotSchema } from "./t-slot/index.ts";
import { vGrooveRules, vGrooveSchema } from "./v-groove/index.ts";
import { woodruffRules, woodruffSchema } from "./woodruff/index.ts";

/** Every kind of feature. A new kind is one folder here, its schema in this union and its rules in the registry. */
export const featureSchema = z.discriminatedUnion("kind", [
  holeSchema,
  slotSchema,
  pocketSchema,
  stepSchema,
  rebateSchema,
  chamferSchema,
  cornerRadiusSchema,
  slopeSchema,
  vGrooveSchema,
  tShapeSchema,
  tSlotSchema,
  dovetailSchema,
  arcSchema,
  outlineSchema,
  keywaySchema,
  woodruffSchema,
]);
export type Feature = z.infer<typeof featureSchema>;
export type FeatureKind = Feature["kind"];
type OfKind<K extends FeatureKind> = Extract<Feature, { kind: K }>;

/** The compiler names what a new kind still lacks. The order is that of the buttons. */
const registry = {
  hole: holeRules,
  slot: slotRules,
  pocket: pocketRules,
  step: stepRules,
  rebate: rebateRules,
  chamfer: chamferRules,
  cornerRadius: cornerRadiusRules,
  slope: slopeRules,
  vGroove: vGrooveRules,
  tShape: tShapeRules,
  tSlot: tSlotRules,
  dovetail: dovetailRules,
  arc: arcRules,
  outline: outlineRules,
  keyway: keywayRules,
  woodruff: woodruffRules,
} satisfies { [K in FeatureKind]: FeatureRules<OfKind<K>> };

export const featureKinds = Object.keys(registry) as FeatureKind[];

/** The rules of a feature's kind, for a feature of that kind only. */
export const rulesOf = (kind: FeatureKind): FeatureRules<Feature> =>
  registry[kind] as unknown as FeatureRules<Feature>;

/** Kinds that a part of this form can have. */
export const kindsFor = (form: "block" | "shaft"): FeatureKind[] =>
  featureKinds.filter((kind) => registry[kind].on === "both" || registry[kind].on === form);

export const cutoutOf = (feature: Feature, site: Site): Cutout | null =>
  rulesOf(feature.kind).cutout(feature, site);

export const checkOf = (feature: Feature, cutout: Cutout, bench: Bench): Warning[] =>
  rulesOf(feature.kind).check(feature, cutout, bench);

/** What is chosen of a feature at a key. */
export const chosen = (feature: Feature, key: string): string =>
  String((feature as unknown as Record<string, unknown>)[key]);

/** The feature with something else chosen; what that leaves impossible takes its first option. */
export function withChoice(feature: Feature, key: string, value: string): Feature {
  return settled({ ...feature, [key]: value });
}

/** Every choice of a feature brought to one it has, in the order they are asked. */
function settled(feature: Feature): Feature {
  const open = (f: Feature): ChoiceField | undefined =>
    rulesOf(f.kind)
      .choices(f)
      .find(({ key, options }) => !options.some(([value]) => value === chosen(f, key)));
  let now = feature;
  for (let field = open(now); field; field = open(now)) now = { ...now, [field.key]: field.options[0]![0] };
  return now;
}

/** The feature on another face: places and directions that its new face does not have begin on the center. */
export function movedTo(feature: Feature, face: Face): Feature {
  const axes = axesAcross(face);
  const kept = (place: Locate, axis: Axis): Locate => {
    const sides = [place.toward, place.from].filter((f): f is Face => faceNames.some((name) => name === f));
    return sides.every((f) => axisOf(f) === axis) ? place : { ...onCenter, at: place.at };
  };
  return settled({
    ...feature,
    face,
    first: kept(feature.first, axes[0]),
    second: kept(feature.second, axes[1]),
  });
}

/**
 * The feature seen in a mirror across a size of the part: twice gives the same cutout back.
 * @param whole the whole part is mirrored, other features with it
 */
export function mirrorFeature(feature: Feature, axis: Axis, site: Site, whole = false): Feature {
  const flip = (face: Face): Face => (axisOf(face) === axis ? opposite(face) : face);
  const rules = rulesOf(feature.kind);
  const face = flip(feature.face);
  const [first, second] = axesAcross(face);
  const turned = {
    ...feature,
    face,
    first: first === axis ? mirrored(feature.first, axis, site, whole) : feature.first,
    second: second === axis ? mirrored(feature.second, axis, site, whole) : feature.second,
    ...flippedChoices(feature, flip),
  } as Feature;
  return rules.mirror ? rules.mirror(turned, axis) : turned;
}

/** Sides among what is chosen, seen in the mirror. */
function flippedChoices(feature: Feature, flip: (face: Face) => Face): Partial<Feature> {
  const own = Object.entries(feature).filter(
    ([key, value]) => key !== "face" && key !== "id" && faceNames.some((face) => face === value),
  );
  return Object.fromEntries(own.map(([key, value]) => [key, flip(value as Face)]));
}

export {
  acrossAxis,
  boxOfPrism,
  type Cutout,
  depthOf,
  inPrism,
  type Prism,
  type Span,
  takesAll,
} from "./cutout.ts";
export { fromEdge, type Locate, needsDimension } from "./locate.ts";
export { type Fact, type FeatureRules } from "./rules.ts";
export { sectionAt, type ShaftSection, type Site } from "./site.ts";
