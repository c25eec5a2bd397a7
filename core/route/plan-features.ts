import { axisOf } from "../frame/index.ts";
import { type Cutout, cutoutOf, featureNames, rulesOf, sectionAt, type ShaftSection } from "../part/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { capital, type Refusal, refused, rule, say, words } from "../working/index.ts";
import { chooseApproaches } from "./choose-approaches.ts";
import { inBatches } from "./feature-batches.ts";
import type { Candidate, Drawn } from "./feature-candidate.ts";
import { seatsFor } from "./feature-groups.ts";
import type { FeaturePlan, RefusedFeature } from "./feature-plan.ts";
import { setupsOf } from "./feature-setups.ts";
import { worked } from "./feature-ways.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import { recipePlace } from "./recipe-place.ts";
import { waysOfFeature } from "../recipes/index.ts";

const noWay: Refusal = refused(words("There is no way to cut it here."), words("Draw it another way."));

/** A section of a shaft under a cutout that is thicker than the one in its middle, from which its depth counts; null for none. */
function thickerPart(
  { box: { length }, face }: Cutout,
  shaft: readonly ShaftSection[],
): { here: Mm; there: Mm } | null {
  if (axisOf(face) === "length") return null;
  const here = sectionAt(shaft, (length[0] + length[1]) / 2)?.diameter ?? 0;
  const there = Math.max(
    ...shaft.flatMap((s) => (s.to > length[0] + within && s.from < length[1] - within ? [s.diameter] : [])),
  );
  return there > here + within ? { here, there } : null;
}

/** Sections that are touched by less than this are not cut into, mm. */
const within = 0.01;

/**
 * Plans every feature of a squared block or a turned shaft: its ways worked with the tools owned, the fewest and quickest
 * setups that show all of them, and the order in which no datum is cut away before it was used (M30). Every feature is in
 * exactly one setup, or refused with a reason and what would help.
 */
export function planFeatures(asked: FeaturesAsked): FeaturePlan {
  const { features, site } = asked;
  const byId = new Map(features.map((f) => [f.id, f]));
  const names = featureNames(features);
  const refusedOnes: RefusedFeature[] = [];
  const refuse = ({ feature, others }: Pick<Candidate, "feature" | "others">, why: Refusal) =>
    refusedOnes.push({
      feature: feature.id,
      others,
      ...why,
      reason: say`${capital(names.get(feature.id)!)}: ${why.reason}`,
    });
  const drawn: Drawn[] = [];
  const cutouts = new Map(features.map((f) => [f, cutoutOf(f, site)]));
  for (const feature of features) {
    const reason = asked.blocked[feature.id];
    if (reason) {
      const suggestion = words("Correct it on the drawing (1).");
      refusedOnes.push({ feature: feature.id, others: [], ...refused(reason, suggestion) });
      continue;
    }
    const cutout = cutouts.get(feature);
    const form = site.shaft ? "shaft" : "block";
    const { on } = rulesOf(feature.kind);
    if (!cutout || (on !== "both" && on !== form)) {
      refusedOnes.push({
        feature: feature.id,
        others: [],
        ...refused(
          say`${capital(names.get(feature.id)!)} is incomplete, or not possible as entered.`,
          words("The Drawing (1) says what is missing."),
        ),
      });
      continue;
    }
    const thicker = site.shaft && thickerPart(cutout, site.shaft);
    if (thicker) {
      refusedOnes.push({
        feature: feature.id,
        others: [],
        ...refused(
          rule(
            "shaft.shoulder",
          )`${capital(names.get(feature.id)!)} runs from the ${mm(thicker.here)} section into the ${mm(thicker.there)} one: the cutter would hit the shoulder.`,
          words("Keep it within one section of the shaft (1), or let it end at the thinner one."),
        ),
      });
      continue;
    }
    const others = [...cutouts].flatMap(([of, c]) => (of === feature || !c ? [] : c));
    drawn.push({ feature, cutout, ways: waysOfFeature(feature, recipePlace(asked, cutout, { others })) });
  }
  const seats = seatsFor(drawn, asked, byId);
  const candidates = drawn.flatMap((d): Candidate[] => {
    const { options, others } = worked(d, names.get(d.feature.id)!, seats, asked);
    if (options.length > 0) return [{ ...d, options, others }];
    refuse({ ...d, others }, others.find((o) => o.refusal)?.refusal ?? noWay);
    return [];
  });
  const chosen = chooseApproaches(candidates, asked);
  const { batches, late } = inBatches(chosen, asked, byId);
  for (const { candidate, edge, by } of late)
    refusedOnes.push({
      feature: candidate.feature.id,
      others: candidate.others,
      ...refused(
        rule(
          "M30.gone",
        )`${capital(names.get(candidate.feature.id)!)} is dimensioned from the ${edge} edge, which ${names.get(by)!} cuts away before it.`,
        say`Cut it before ${names.get(by)!}, or dimension it from another face.`,
      ),
    });
  const { setups, dropped } = setupsOf(batches, seats, asked, byId, names);
  for (const { candidate, ...why } of dropped) refuse(candidate, why);
  return {
    setups,
    routes: batches
      .flat()
      .filter(({ candidate }) => !dropped.some((d) => d.candidate === candidate))
      .map(({ candidate, option }) => ({
        feature: candidate.feature.id,
        way: option.way.name,
        why: option.way.why,
        others: candidate.others.filter((o) => o.name !== option.way.name || o.up !== option.way.up),
      })),
    refused: features.flatMap((f) => refusedOnes.filter((r) => r.feature === f.id)),
  };
}
