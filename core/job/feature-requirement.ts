import { sizeVerdict } from "../measure/index.ts";
import { featureNames, featuresOf, limitsOf, type Part } from "../part/index.ts";
import type { Dimension } from "../quantity/index.ts";
import { type FeatureKey, featureOfKey } from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import { effective, howMeasured, type Record as JobRecord } from "../steps/index.ts";
import { type Phrase, say } from "../working/index.ts";
import type { PlannedFeatures } from "./feature-plan.ts";
import { fitDeviation, provedBy, type Requirement, uncertaintyOf } from "./requirement.ts";

/** What the drawing requires of features that are measured, with the readings that judge them. */
export function featureRequirements(
  features: PlannedFeatures,
  part: Part,
  records: JobRecord[],
  shop: Shop,
  piece: number,
): Requirement[] {
  const names = featureNames(featuresOf(part));
  const taken = effective(records).filter((r) => r.type === "reading" && r.piece === piece);
  return features.setups.flatMap(({ operations }) =>
    operations.flatMap((operation): Requirement[] => {
      const { measure, feature, key } = operation;
      if (!measure || measure.before) return [];
      const path: FeatureKey = `${feature}/${measure.size}`;
      const readings = taken.flatMap((r) =>
        r.type === "reading" && r.of === path && (r.op === key || r.op === null)
          ? [{ seq: r.seq, value: r.value, instrument: r.instrument, questioned: r.questioned }]
          : [],
      );
      const u = uncertaintyOf(readings, shop);
      const drawn = (
        part.features.byId[feature]?.sizes as { [size: string]: Dimension | null } | undefined
      )?.[measure.size];
      return [
        {
          of: path,
          name: say`${names.get(feature) ?? feature}, ${measure.name}`,
          drawn: drawn ?? null,
          limits: measure.limits,
          deviation: fitDeviation(part, path, drawn ? limitsOf(drawn, part) : null),
          how: howMeasured(measure),
          readings,
          u,
          verdict: provedBy(
            sizeVerdict(
              readings.map((r) => r.value),
              measure.limits,
              u,
              measure.grows ? "inside" : "outside",
            ),
            readings,
            howMeasured(measure),
            shop,
          ),
        },
      ];
    }),
  );
}

/** Features of a drawing that are not cut: those with a step that is open, and those that cannot be made, with the reason. */
export function missingFeatures(
  features: PlannedFeatures,
  part: Part,
): { name: Phrase; why: Phrase | null }[] {
  const names = featureNames(featuresOf(part));
  const nameOf = (id: string) => say`${names.get(id) ?? id}`;
  const open = new Set(
    features.steps.flatMap((s) => ((s.move || s.kind === "hand") && !s.done ? [featureOfKey(s.op)] : [])),
  );
  return [
    ...[...open].map((id) => ({ name: nameOf(id), why: null })),
    ...features.refused.map(({ feature, reason }) => ({ name: nameOf(feature), why: reason })),
  ];
}
