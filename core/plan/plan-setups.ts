import { type Axis, axisNames, axisOf, opposite, type Sizes } from "../frame/index.ts";
import { blockedFeatures } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { extentOf, makesFace } from "../squaring/index.ts";
import {
  eachOf,
  faceOf,
  type FaceSetup,
  type FaceTold,
  featureHosts,
  type FeatureSetup,
  keyOfSetup,
  planRoute,
  type Setup,
} from "../route/index.ts";
import type { Piece, Spare, SpareVerdict } from "../stock/index.ts";
import { begunOf, type FaceProgress, livePasses, minutesOfPasses, stillAllowed } from "../steps/index.ts";
import { precise, rule, say, stop, type Warning, words } from "../working/index.ts";
import { type FeatureInputs, isOfFeature, planFeaturesOf, type PlannedFeatures } from "./feature-plan.ts";
import { type Override, paperOf } from "../job/index.ts";
import type { Plan } from "./plan.ts";
import type { PlannedSetups, SetupsAsked } from "./planned-setups.ts";
import { withStacks } from "./on-one-another.ts";
import { withReworks } from "./rework.ts";
import { planStart } from "./plan-start.ts";
import { type OverrideReport, paperCounted, settleAll } from "./settle-overrides.ts";

export const nothingPlanned = {
  setups: [],
  zeros: {},
  refusal: null,
  warnings: [],
  features: null,
  ladders: {},
  spares: null,
  spareVerdict: "unmeasured",
  raw: null,
  school: "round",
} satisfies Partial<PlannedSetups>;

export const withoutObject = (override: Override): OverrideReport => ({
  override,
  state: "withoutObject",
  why: words("Nothing is planned yet."),
});

/** What paper is touched through holds for any part; the rest of what is set of a whole job is about squaring it. */
const ofWholeJob = (override: Override): OverrideReport =>
  override.what === "paper" ? { override, ...paperCounted } : withoutObject(override);

/** A shaft comes turned: only what is drawn into it is cut. */
export function shaftSetups(asked: SetupsAsked): PlannedSetups {
  const { overrides } = asked;
  const features = featuresOn(asked, null, []);
  const planned = { ...nothingPlanned, setups: features?.setups ?? [], zeros: zerosOf(features) };
  return {
    ...withReworks(planned, asked, { piece: null, context: null }),
    features: outcomeOf(features),
    overrides: features
      ? [...overrides.filter((o) => !isOfFeature(o)).map(ofWholeJob), ...features.reports]
      : overrides.map(withoutObject),
  };
}

/** A block: its faces by the school chosen, then what is drawn into it. */
export function blockSetups(asked: SetupsAsked): PlannedSetups {
  const { job, part, target, progress, equipped, shop, overrides } = asked;
  const { machine } = equipped;
  const { spares, raw, context, school } = planStart(job, part, target, equipped, shop);
  const begun = [...progress.faces.values()].flatMap((state) =>
    // What is cut once more comes after all else, whatever the route was.
    extentOf(state.told.key) === "again" ? [] : [begunOf(state, moreAllowed(state.told, spares, target))],
  );
  const settled = settleAll(
    overrides.filter((o) => !isOfFeature(o)),
    raw,
    begun,
    context,
  );
  const route = planRoute(raw, begun, context);
  const [first] = route.setups;
  if (first && school.why) first.reasons = [school.why, ...first.reasons];
  const features =
    route.refusal === null ? featuresOn(asked, route.setups.at(-1)?.after ?? raw, route.setups) : null;
  const ladders: Plan["ladders"] = {};
  const faces = route.setups.map((setup) => {
    const op = faceOf(setup);
    const passes = livePasses(op, progress.faces.get(op.key) ?? null, { machine, paper: paperOf(overrides) });
    ladders[op.key] = passes;
    // A pass thinner than can be set is not made: the minutes are those of the passes that are told.
    return {
      ...setup,
      minutes: { ...setup.minutes, cutting: eachOf(setup.seat, minutesOfPasses(op, passes)) },
    };
  });
  const planned = {
    setups: inOrder(faces, features?.setups ?? []),
    zeros: zerosOf(features),
    refusal:
      route.refusal && school.nor
        ? { ...route.refusal, reason: say`${route.refusal.reason} ${school.nor}` }
        : route.refusal,
    ladders,
    school: school.school,
  };
  return {
    ...withReworks(planned, asked, { piece: route.setups.at(-1)?.after ?? raw, context }),
    warnings: axisNames.flatMap((axis) => spareWarning(spares[axis])),
    features: outcomeOf(features),
    overrides: [
      ...settled,
      ...(features ? features.reports : overrides.filter(isOfFeature).map(withoutObject)),
    ],
    spares,
    spareVerdict: worst.find((v) => axisNames.some((axis) => spares[axis].verdict === v)) ?? "enough",
    raw,
  };
}

/**
 * What is drawn into the part, planned on the route of its faces.
 * @param piece as the faces leave it; null for a shaft
 */
export function featuresOn(
  { part, findings, progress, equipped, shop, overrides }: Omit<SetupsAsked, "job" | "target">,
  piece: Piece | null,
  faces: readonly FaceSetup[],
): PlannedFeatures | null {
  const reworked = new Set<string>(progress.reworks.map((r) => r.op));
  const inputs: FeatureInputs = {
    part,
    blocked: blockedFeatures(findings),
    piece,
    hosts: featureHosts(faces, (s) => progress.faces.has(faceOf(s).key)),
    faces: faces.length,
    clampings: faces.at(-1)?.clamping ?? 0,
    ...equipped,
    shop,
    overrides,
    states: new Map([...progress.features].filter(([key]) => !reworked.has(key))),
  };
  const planned = planFeaturesOf(inputs);
  return planned && withStacks(planned, inputs);
}

/** Faces and features in the order they are cut: features for which the part stays come after the last face of its clamping. */
function inOrder(faces: readonly FaceSetup[], features: readonly FeatureSetup[]): Setup[] {
  const hosted = (clamping: number) => features.filter((s) => s.entry === "stays" && s.clamping === clamping);
  const setups = faces.flatMap((face, i): Setup[] => {
    if (faces[i + 1]?.clamping === face.clamping) return [face];
    const here = hosted(face.clamping);
    return [{ ...face, stays: face.stays || here.length > 0 }, ...here];
  });
  return [...setups, ...features.filter((s) => s.entry === "placed")].map((s, i) =>
    s.number === i + 1 ? s : { ...s, number: i + 1 },
  );
}

/** How each feature is made, and what cannot be: its setups stand in the one list. */
const outcomeOf = (features: PlannedFeatures | null): Plan["features"] =>
  features && { routes: features.routes, refused: features.refused };

const zerosOf = (features: PlannedFeatures | null): Plan["zeros"] =>
  Object.fromEntries(features?.setups.map((s, i) => [keyOfSetup(s), features.locatings[i]!]) ?? []);

const worst: SpareVerdict[] = ["short", "tight", "unmeasured", "enough"];

/** A face across that is short of what cleans it up still gets this much, mm. */
const leastAcross = 0.1;

/**
 * How much more a first face may give when it does not clean up: all that the face across does not need to be cleaned up itself;
 * where there is not that much, a share of what it needs.
 */
function moreAllowed(
  { key, face, to }: Pick<FaceTold, "key" | "face" | "to">,
  spares: Record<Axis, Spare>,
  target: Sizes,
): Mm {
  // What was left standing is matched to what is cut: no more comes off.
  if (!makesFace(key)) return 0;
  const axis = axisOf(face);
  const across = spares[axis].first[opposite(face)] ?? 0;
  const left = to - target[axis];
  return Math.max(0, tidy(Math.max(left - across, Math.min(left, across) - leastAcross)));
}

/** What one more pass may still take off a face that is not clean, mm; nothing where it is cut to its size. */
export const stillGives = (state: FaceProgress, spares: Record<Axis, Spare>, target: Sizes): Mm =>
  stillAllowed(state, moreAllowed(state.told, spares, target));

/** M01: the stock cannot give the size. */
function spareWarning(spare: Spare): Warning[] {
  return spare.verdict === "short"
    ? [
        stop(
          rule(
            "M01.short",
          )`Stock is ${precise(mm(spare.shortfall), 2)} undersize in ${spare.axis}: smallest reading ${mm(spare.smallest)}, less ${mm(spare.skins)} cleanup, leaves under ${mm(spare.limits.lower)}.`,
        ),
      ]
    : [];
}
