import { type Axis, axesAcross, axisOf, type Face, opposite, type Sizes } from "../../frame/index.ts";
import type { Shop } from "../../shop/index.ts";
import type { Warning } from "../../working/index.ts";
import * as z from "../../zod.ts";
import type { Cutout } from "./cutout.ts";
import { holeRules, holeSchema } from "./hole/index.ts";
import { mirrored } from "./locate.ts";
import { pocketRules, pocketSchema } from "./pocket/index.ts";
import type { FeatureRules } from "./rules.ts";
import { slotRules, slotSchema } from "./slot/index.ts";
import { stepRules, stepSchema } from "./step/index.ts";

/** Every kind of feature. A new kind is one folder here, its schema in this union and its rules in the registry. */
export const featureSchema = z.discriminatedUnion("kind", [holeSchema, slotSchema, pocketSchema, stepSchema]);
export type Feature = z.infer<typeof featureSchema>;
export type FeatureKind = Feature["kind"];
type OfKind<K extends FeatureKind> = Extract<Feature, { kind: K }>;

/** The compiler names what a new kind still lacks. */
const registry = {
  hole: holeRules,
  slot: slotRules,
  pocket: pocketRules,
  step: stepRules,
} satisfies { [K in FeatureKind]: FeatureRules<OfKind<K>> };

export const featureKinds = Object.keys(registry) as FeatureKind[];

/** The rules of a feature's kind, for a feature of that kind only. */
export const rulesOf = (kind: FeatureKind): FeatureRules<Feature> =>
  registry[kind] as unknown as FeatureRules<Feature>;

export const cutoutOf = (feature: Feature, sizes: Sizes): Cutout | null =>
  rulesOf(feature.kind).cutout(feature, sizes);

export const checkOf = (feature: Feature, cutout: Cutout, shop: Shop): Warning[] =>
  rulesOf(feature.kind).check(feature, cutout, shop);

/** The feature seen in a mirror across a size of the part: twice gives it back. */
export function mirrorFeature(feature: Feature, axis: Axis): Feature {
  const flip = (face: Face): Face => (axisOf(face) === axis ? opposite(face) : face);
  const face = flip(feature.face);
  const [first, second] = axesAcross(face);
  const turned = {
    ...feature,
    face,
    first: first === axis ? mirrored(feature.first, axis) : feature.first,
    second: second === axis ? mirrored(feature.second, axis) : feature.second,
  };
  return turned.kind === "step" ? { ...turned, side: flip(turned.side) } : turned;
}

export { type Cutout } from "./cutout.ts";
export { type Locate } from "./locate.ts";
