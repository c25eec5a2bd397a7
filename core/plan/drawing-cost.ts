import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { type Feature, featureNames, featuresOf } from "../part/index.ts";
import { type Dimension, type Minutes, mm, quantity, tidy } from "../quantity/index.ts";
import { featureSetupsOf, minutesOfOperation } from "../route/index.ts";
import { cuttingDiameter, inUse, type Shop } from "../shop/index.ts";
import { line, type Phrase, precise, say, words, type WorkingBody } from "../working/index.ts";
import { applyChanges, changeOf, type Job } from "../job/index.ts";
import { plan } from "./make-plan.ts";
import type { Plan } from "./plan.ts";

/** What one feature takes; null where it cannot be made here. */
export interface FeatureCost {
  id: string;
  name: string;
  minutes: Minutes | null;
  /** What takes most of it. */
  cutter: string | null;
  working: WorkingBody;
}

/** A change of the drawing and the minutes it would save: what the whole plan takes as it is, and with the change. */
export interface Saving {
  phrase: Phrase;
  saves: Minutes;
  now: Minutes;
  then: Minutes;
}

export interface DrawingCost {
  features: FeatureCost[];
  /** Most first. */
  savings: Saving[];
}

/** Less than this is not worth a word, minutes. */
const leastSaving = 0.3;
/** Larger radii tried of a pocket, one after the other. */
const mostRadii = 4;

/** A change of the drawing that may save: its path, what it would be, and how it is said. */
interface Change {
  path: string;
  to: unknown;
  phrase: Phrase;
}

/**
 * What the drawing costs: minutes by feature as they are planned, and which change of a radius or a tolerance would save most:
 * the plan once more with it. Yields before each of those plans, so that whoever asks can do something else first, or end it.
 * @returns null while drawing or shop are not complete
 */
export function* costing(
  job: Job,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
): Generator<void, DrawingCost | null> {
  const planned = (asked: Job) => plan({ job: asked, records: [], shop, piece: 1, own });
  const made = planned(job);
  if (made.setups.length === 0 && !made.features) return null;
  const features = featuresOf(job.part);
  const names = featureNames(features);
  const savings: Saving[] = [];
  const groups = [
    ...features.map((f) => radiusChanges(f, names.get(f.id)!, inUse(shop))),
    ...features.flatMap((f) => sizeChanges(f, names.get(f.id)!).map((change) => [change])),
    ...(job.part.shaft ? [] : toleranceChanges(job).map((change) => [change])),
  ];
  const now = made.refusal ? null : made.minutes.total;
  for (const group of now === null ? [] : groups)
    // Of several that are alike the first that saves is enough.
    for (const { path, to, phrase } of group) {
      yield;
      const applied = applyChanges(job, [changeOf(job, path, to)]);
      const then = applied.ok ? planned(applied.job) : null;
      // What can no longer be made saves nothing.
      if (!then || then.refusal || refusedIn(then) > refusedIn(made)) continue;
      const saves = now! - then.minutes.total;
      if (saves < leastSaving) continue;
      savings.push({ phrase, saves, now: now!, then: then.minutes.total });
      break;
    }
  return {
    features: features.flatMap((f) => featureCost(made, f, names.get(f.id)!) ?? []),
    savings: savings.sort((a, b) => b.saves - a.saves),
  };
}

const refusedIn = ({ features }: Plan): number => features?.refused.length ?? 0;

/** What the drawing costs, in one go. */
export function drawingCost(job: Job, shop: Shop, own: OwnHandbook = noOwnValues): DrawingCost | null {
  const work = costing(job, shop, own);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** What one feature takes in a plan; null where features are not planned. */
export function featureCost(
  { setups, features }: Pick<Plan, "setups" | "features">,
  { id }: Feature,
  name: string,
): FeatureCost | null {
  if (!features) return null;
  const planned = featureSetupsOf(setups);
  const operations = planned.flatMap((s) => s.operations).filter((o) => o.feature === id);
  const refused = features.refused.find((r) => r.feature === id);
  if (refused)
    return {
      id,
      name,
      minutes: null,
      cutter: null,
      working: { lines: [], notes: [refused.reason, refused.suggestion] },
    };
  const minutes = tidy(operations.reduce((sum, o) => sum + minutesOfOperation(o), 0));
  const longest = [...operations].sort((a, b) => minutesOfOperation(b) - minutesOfOperation(a))[0];
  const setup = planned.find((s) => s.features.includes(id));
  return {
    id,
    name,
    minutes,
    cutter: longest?.toolName ?? null,
    working: {
      lines: [
        ...operations.map((o) =>
          line(say`${o.title}, ${o.toolName}`, quantity("time", minutesOfOperation(o))),
        ),
        line("together", quantity("time", minutes), { sum: true }),
      ],
      notes: [
        setup && setup.features.length > 1
          ? say`Its setup is shared with ${String(setup.features.length - 1)} more: placing the part and picking up zero are not counted here.`
          : words("Placing the part and picking up zero are not counted here."),
      ],
    },
  };
}

/** Larger inside corners, as owned cutters would leave them. */
function radiusChanges(feature: Feature, name: string, shop: Shop): Change[] {
  if (feature.kind !== "pocket" || !feature.sizes.radius) return [];
  const { first, second, radius } = feature.sizes;
  const most = Math.min(first?.nominal ?? 0, second?.nominal ?? 0) / 2;
  return [...new Set(shop.cutters.filter((c) => c.kind === "endMill").map((c) => cuttingDiameter(c) / 2))]
    .filter((r) => r > radius.nominal + 1e-6 && r <= most)
    .sort((a, b) => a - b)
    .slice(0, mostRadii)
    .map((r) => ({
      path: `part/features/byId/${feature.id}/sizes/radius`,
      to: { ...radius, nominal: r },
      phrase: say`R${precise(mm(r), 1)} instead of R${precise(mm(radius.nominal), 1)} in ${name}.`,
    }));
}

/** The limits of a feature's own. */
const sizeChanges = (feature: Feature, name: string): Change[] =>
  Object.entries(feature.sizes as Record<string, Dimension | null>).flatMap(([key, size]) =>
    size && size.upper !== null
      ? [
          {
            path: `part/features/byId/${feature.id}/sizes/${key}`,
            to: loosened(size),
            phrase: say`The general tolerance on the ${key} of ${name} instead of its own.`,
          },
        ]
      : [],
  );

const loosened = (size: Dimension): Dimension => ({ ...size, upper: null, lower: null, fit: null });

/** The tolerances of the block: the general one instead, or none. */
const toleranceChanges = ({ part: { sizes, squareness, parallelism } }: Job): Change[] => [
  ...(["length", "width", "height"] as const).flatMap((axis): Change[] => {
    const size = sizes[axis];
    return size && size.upper !== null
      ? [
          {
            path: `part/sizes/${axis}`,
            to: loosened(size),
            phrase: say`The general tolerance on the ${axis} instead of its own.`,
          },
        ]
      : [];
  }),
  ...(squareness === null
    ? []
    : [{ path: "part/squareness", to: null, phrase: words("No squareness of its own.") }]),
  ...(parallelism === null
    ? []
    : [{ path: "part/parallelism", to: null, phrase: words("No parallelism of its own.") }]),
];
