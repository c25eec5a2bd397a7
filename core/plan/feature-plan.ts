import { nothingOwn, type OwnConditions, rememberedCut } from "../cutting/index.ts";
import { axisNames, type Face, faceNames, type Sizes } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import { locateSetup, type Locating } from "../locate/index.ts";
import { cutoutOf, type Feature, featuresOf, type Part, siteOfPart } from "../part/index.ts";
import {
  comesBefore,
  type FeatureKey,
  featureOfKey,
  type FeaturePlan,
  type FeaturesAsked,
  heldOn,
  isFaceKey,
  noOwnSeat,
  type OwnSeat,
  rememberedFeatures,
  tell,
} from "../route/index.ts";
import { edgeFinderOf, inUse, type Machine, type Shop, type Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { type FeatureProgress, isCut } from "../steps/index.ts";
import { type Outcome, type Phrase, refused, rule, say, words } from "../working/index.ts";
import { type Override, paperOf } from "../job/index.ts";
import {
  type ConditionOverride,
  isOfConditions,
  settleCondition,
  type Settled,
  withOwn,
} from "./settle-cut.ts";
import type { OverrideReport } from "./settle-overrides.ts";
import { timedSetup } from "./timed-setup.ts";

/** How the features of a part are made: their setups, with where zero lies in each. */
export interface PlannedFeatures extends FeaturePlan {
  /** One for each setup, in the same order. */
  locatings: Locating[];
  reports: OverrideReport[];
}

export interface FeatureInputs {
  part: Part;
  /** What the drawing check blocks. */
  blocked: FeaturesAsked["blocked"];
  /** The squared block; null for a shaft, which comes turned. */
  piece: Piece | null;
  hosts: FeaturesAsked["hosts"];
  faces: number;
  clampings: number;
  machine: Machine;
  vise: Vise;
  material: Material;
  shop: Shop;
  overrides: readonly Override[];
  states: ReadonlyMap<FeatureKey, FeatureProgress>;
}

/** A shaft as it comes from the lathe: clean all round. */
export function turnedPiece(sizes: Sizes): Piece {
  const state = {
    condition: "milled",
    bought: "milled",
    bow: null,
    order: null,
    cutFrom: null,
    rest: null,
    clean: true,
  } as const;
  return {
    faces: Object.fromEntries(faceNames.map((f) => [f, { ...state }])) as Piece["faces"],
    sizes: Object.fromEntries(axisNames.map((a) => [a, sizes[a]])) as Piece["sizes"],
    uneven: { length: 0, width: 0, height: 0 },
  };
}

/** Whether an override is about features. */
export const isOfFeature = (o: Override): boolean =>
  o.what === "first" || (o.at !== "route" && !isFaceKey(o.at));

/** The setups of all features; null for a part that has none, or is not whole. */
export function planFeaturesOf(inputs: FeatureInputs): PlannedFeatures | null {
  const { part, piece, hosts, faces, clampings, machine, vise, material, states } = inputs;
  const features = featuresOf(part);
  const site = siteOfPart(part);
  if (features.length === 0 || !site) return null;
  const shop = withTold(inputs.shop, states);
  const wanted = inputs.overrides.filter(isOfFeature);
  const begun = [...states.values()].map((s) => ({ ...s.told, cut: isCut(s) }));
  const told = ownOf(wanted, states);
  const base: FeaturesAsked = {
    part,
    site,
    features,
    blocked: inputs.blocked,
    piece: piece ?? turnedPiece(site.sizes),
    machine,
    vise,
    material,
    shop,
    own: told,
    ownWays: Object.fromEntries(
      wanted.flatMap((o) => (o.what === "way" && o.at !== "route" ? [[featureOfKey(o.at), o.value]] : [])),
    ),
    ownSeats: {},
    first: wanted.flatMap((o) => (o.what === "first" ? [o.value] : [])),
    begun,
    hosts,
    faces,
    clampings,
  };
  const plain = ownOf(wanted, new Map());
  const planned = (asked: FeaturesAsked) => goingAsPlanned(asked, plain) ?? rememberedFeatures(asked);
  const asPlanned = planned(base);
  const settled = settleConditions(wanted, asPlanned, base);
  const withConditions = settled.size > 0 ? { ...base, own: mergedOwn(told, settled) } : base;
  const firstPlan = settled.size > 0 ? planned(withConditions) : asPlanned;
  const ownSeats = seatsOf(wanted, firstPlan);
  const seated = Object.keys(ownSeats).length > 0 ? planned({ ...withConditions, ownSeats }) : firstPlan;
  // A seat in which something can no longer be cut is not taken: its override says why.
  const lost = seated.refused.find((r) => !firstPlan.refused.some((f) => f.feature === r.feature));
  const made = lost ? firstPlan : seated;
  const prismsOf = new Map(features.map((f) => [f.id, cutoutOf(f, site)?.prisms ?? []]));
  const locatings = made.setups.map((setup, i) =>
    locateSetup({
      setup,
      sizes: site.sizes,
      shaft: site.shaft,
      gone: made.setups.slice(0, i).flatMap((s) => s.features.flatMap((id) => prismsOf.get(id) ?? [])),
      vise,
      machine,
      shop,
      wanted: pickupOf(wanted, setup),
      paper: paperOf(inputs.overrides),
    }),
  );
  const setups = made.setups.map((setup, i) => timedSetup(setup, locatings[i]!));
  return {
    ...made,
    setups,
    locatings,
    reports: wanted.map((o) => {
      const outcome = isOfConditions(o) ? settled.get(o) : undefined;
      return outcome
        ? {
            override: o,
            state: outcome.ok ? "applied" : "impossible",
            why: outcome.ok ? outcome.value.why : outcome.reason,
          }
        : reportOn(o, made, lost?.reason ?? null, base, features);
    }),
  };
}

/**
 * The plan as it is with nothing begun, where all that was begun is its beginning, as it was told: then it need not be planned
 * anew each time the next operation begins. Null where anything differs.
 * @param plain what the person set, without what was told
 */
function goingAsPlanned(asked: FeaturesAsked, plain: FeaturesAsked["own"]): FeaturePlan | null {
  const { begun, hosts } = asked;
  if (begun.length === 0) return null;
  const own = { ...asked.own };
  for (const { key } of begun) {
    const { [key]: set } = plain;
    if (set) own[key] = set;
    else delete own[key];
  }
  const inHost = (h: (typeof hosts)[number]) => begun.some((b) => b.at.up === h.setup.at.up);
  const made = rememberedFeatures({
    ...asked,
    own,
    begun: [],
    hosts: hosts.map((h) => (h.open || !inHost(h) ? h : { ...h, open: true })),
  });
  const told = made.setups.flatMap((setup) => setup.operations.map((o) => ({ setup, told: tell(setup, o) })));
  const same = begun.every(
    (b, i) => JSON.stringify(told[i]?.told) === JSON.stringify({ ...b, cut: undefined }),
  );
  if (!same) return null;
  // Nothing new is cut in a clamping that is behind.
  const behind = new Set(hosts.flatMap((h) => (h.open ? [] : [h.setup.clamping])));
  const late = told
    .slice(begun.length)
    .some(({ setup }) => setup.entry === "stays" && behind.has(setup.clamping));
  return late ? null : made;
}

/** What is in use, with retired cutters that operations were begun with: they stand in the spindle. */
function withTold(everything: Shop, states: FeatureInputs["states"]): Shop {
  const shop = inUse(everything);
  const told = new Set([...states.values()].map((s) => s.told.cutter));
  const retired = everything.cutters.filter((c) => c.retired && told.has(c.id));
  return retired.length === 0 ? shop : { ...shop, cutters: [...shop.cutters, ...retired] };
}

/** What the person set of each operation, and what was told when it began: that stays. */
function ownOf(
  wanted: readonly Override[],
  states: ReadonlyMap<FeatureKey, FeatureProgress>,
): Partial<Record<FeatureKey, OwnConditions>> {
  const own: Partial<Record<FeatureKey, OwnConditions>> = {};
  for (const o of wanted) {
    if (o.at === "route") continue;
    const key = o.at;
    const now = own[key] ?? nothingOwn;
    if (o.what === "cutter") own[key] = { ...now, cutter: o.value };
  }
  for (const [key, { told }] of states)
    own[key] = {
      ...(own[key] ?? nothingOwn),
      cutter: told.cutter,
      rpm: told.rpm || null,
      vf: told.vf || null,
      depth: told.depth,
      finish: told.finish,
    };
  return own;
}

type SettledAll = ReadonlyMap<ConditionOverride, Outcome<Settled>>;

/** What becomes of own speeds, feeds, depths and directions, each on top of those before it at the same operation. */
function settleConditions(
  wanted: readonly Override[],
  { setups }: FeaturePlan,
  { shop, machine, material, begun, own: before }: FeaturesAsked,
): SettledAll {
  const settled = new Map<ConditionOverride, Outcome<Settled>>();
  const own: Partial<Record<FeatureKey, OwnConditions>> = { ...before };
  for (const override of wanted.filter(isOfConditions)) {
    const operation = setups.flatMap((s) => s.operations).find((o) => o.key === override.at);
    const cutter = shop.cutters.find((c) => c.id === operation?.cutter);
    if (!operation?.set || !cutter) continue;
    const { key, task, set } = operation;
    const outcome = begun.some((b) => b.key === key)
      ? refused(
          words("The operation has begun: cutter, speed and feed stay as they are until it is done."),
          words("Finish it first."),
        )
      : settleCondition(override, {
          machine,
          task,
          now: { cutter: cutter.id, rpm: set.rpm, vf: set.vf },
          cutWith: (more) =>
            task &&
            rememberedCut({ ...task, own: { ...withOwn(own[key], more), cutter: cutter.id } }, cutter, {
              machine,
              material,
              shop,
            }),
        });
    if (outcome.ok) own[key] = withOwn(own[key], outcome.value.own);
    settled.set(override, outcome);
  }
  return settled;
}

/** Conditions as told or chosen, with those that were settled. */
function mergedOwn(told: FeaturesAsked["own"], settled: SettledAll): FeaturesAsked["own"] {
  const own = { ...told };
  for (const [{ at }, outcome] of settled)
    if (outcome.ok && at !== "route" && !isFaceKey(at)) own[at] = withOwn(own[at], outcome.value.own);
  return own;
}

/** How the person wants zero picked up in a setup. */
const pickupOf = (wanted: readonly Override[], { operations }: FeaturePlan["setups"][number]) =>
  wanted.flatMap((o) =>
    o.what === "pickup" && operations.some((op) => op.key === o.at) ? [o.value] : [],
  )[0] ?? null;

/** How setups are wanted held, by the face that is up in the one an operation lies in. */
function seatsOf(wanted: readonly Override[], plan: FeaturePlan): Partial<Record<Face, OwnSeat>> {
  const seats: Partial<Record<Face, OwnSeat>> = {};
  for (const o of wanted) {
    const setup = plan.setups.find((s) => s.operations.some((op) => op.key === o.at));
    if (!setup) continue;
    const now = seats[setup.at.up] ?? noOwnSeat;
    if (o.what === "fixed") seats[setup.at.up] = { ...now, fixed: o.value };
    if (o.what === "parallels") seats[setup.at.up] = { ...now, parallels: o.value };
    if (o.what === "packing") seats[setup.at.up] = { ...now, paper: true };
    if (o.what === "stop") seats[setup.at.up] = { ...now, stop: true };
    if (o.what === "on") seats[setup.at.up] = { ...now, on: o.value };
  }
  return seats;
}

/** What became of an override about features. */
function reportOn(
  override: Override,
  made: FeaturePlan,
  /** Why the seats that are wanted were not taken; null when they were. */
  notSeated: Phrase | null,
  asked: FeaturesAsked,
  features: readonly Feature[],
): OverrideReport {
  const applied = (why: OverrideReport["why"]): OverrideReport => ({ override, state: "applied", why });
  const impossible = (why: OverrideReport["why"]): OverrideReport => ({ override, state: "impossible", why });
  const without: OverrideReport = {
    override,
    state: "withoutObject",
    why: words("This plan has no such operation now. Saved for when it does."),
  };
  if (override.what === "first") {
    const wanted = features.find((f) => f.id === override.value);
    if (!wanted) return without;
    if (made.setups.flatMap((s) => s.features)[0] === wanted.id) return applied(words("It is cut first."));
    const byId = new Map(features.map((f) => [f.id, f]));
    const cut = made.setups.flatMap((s) => s.features.map((id) => ({ id, up: s.at.up })));
    for (const { id, up } of cut) {
      const feature = byId.get(id);
      const cutouts = feature && cutoutsOf(feature, wanted, asked);
      const edge = cutouts && comesBefore({ ...cutouts.one, up }, cutouts.other, byId, asked.site.sizes);
      if (edge)
        return impossible(
          rule(
            "M30.order",
          )`It cuts away the ${edge} edge, which other features are dimensioned from: they come first. Dimension them from another face, or leave the order as it is.`,
        );
    }
    return impossible(words("Its setup cannot come first: what it needs is cut before it."));
  }
  const feature = override.at === "route" ? null : featureOfKey(override.at);
  if (override.what === "way") {
    const route = made.routes.find((r) => r.feature === feature);
    const other = [
      ...(route?.others ?? []),
      ...(made.refused.find((r) => r.feature === feature)?.others ?? []),
    ].find((o) => o.name === override.value);
    if (route?.way === override.value) return applied(words("Made this way."));
    return other?.refusal
      ? impossible(other.refusal.reason)
      : other
        ? impossible(words("Another setup would be needed for it."))
        : without;
  }
  const operation = made.setups.flatMap((s) => s.operations).find((o) => o.key === override.at);
  if (!operation) return without;
  if (override.what === "cutter")
    return operation.cutter === override.value
      ? applied(say`${operation.toolName}, as you chose.`)
      : impossible(words("That cutter cannot do this: too wide, too short, or not of its kind."));
  if (override.what === "pickup") {
    return override.value.startsWith("finder") && !edgeFinderOf(asked.shop)
      ? impossible(words("There is no edge finder in the shop: enter one with its tip as its range."))
      : applied(words("Picked up as you chose."));
  }
  const { at, seat } = made.setups.find((s) => s.operations.includes(operation))!;
  const held =
    (override.what === "fixed" && at.fixed === override.value) ||
    (override.what === "parallels" && seat.parallels?.id === override.value) ||
    (override.what === "packing" && seat.paper) ||
    (override.what === "stop" && seat.stop) ||
    (override.what === "on" && heldOn(seat) === override.value);
  if (held) return applied(words("Held as you chose."));
  const begun = asked.begun.some((b) =>
    made.setups.some((s) => s.at === at && s.operations.some((o) => o.key === b.key)),
  );
  const ofSeat = ["fixed", "parallels", "packing", "stop", "on", "together"].includes(override.what);
  return impossible(
    ofSeat
      ? (notSeated ??
          words(
            begun
              ? "The setup has begun: it stays as it was clamped."
              : "The part cannot be held that way for these cuts.",
          ))
      : words("It is done by hand: there is nothing to set."),
  );
}

function cutoutsOf(one: Feature, other: Feature, { site }: FeaturesAsked) {
  const [a, b] = [cutoutOf(one, site), cutoutOf(other, site)];
  return a && b ? { one: { feature: one, cutout: a }, other: { feature: other, cutout: b } } : null;
}
