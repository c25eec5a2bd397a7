import type { FeaturePlan } from "./feature-plan.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import { planFeatures } from "./plan-features.ts";
import { remembered } from "./remembered.ts";

/** A person works at one job at a time, and looks at it with and without a change. */
const plans = remembered<FeaturePlan>(4);

/**
 * The plan of features, worked once for the same part, piece, equipment and decisions: a tick at the machine plans anew, but
 * begins no operation most of the time. What is given is shared: it is not to be changed.
 */
export function rememberedFeatures(asked: FeaturesAsked): FeaturePlan {
  const { shop, site, hosts, part, ...rest } = asked;
  const key = JSON.stringify([
    rest,
    { general: part.general, mates: part.mates, sizes: part.sizes },
    site.sizes,
    site.shaft,
    // Of the faces only how they are clamped counts, and in which order.
    hosts.map(({ setup: { number, clamping, at, seat, operations }, later, open }) => [
      [number, clamping, at, seat, operations[0].face, open],
      later.map((s) => [s.at, s.seat]),
    ]),
  ]);
  return plans(shop, key, () => planFeatures(asked));
}
