import { axisOf } from "../frame/index.ts";
import type { Part } from "../part/index.ts";
import { eachOf, type FeatureSetup, twoOf, twoOnOneAnother } from "../route/index.ts";
import { done, type Outcome, refused, say, words } from "../working/index.ts";
import { type FeatureInputs, planFeaturesOf, type PlannedFeatures } from "./feature-plan.ts";
import type { OverrideReport } from "./settle-overrides.ts";

/**
 * Features with the setups that drill through two pieces lying on one another, where the person wants it so, or it was begun so: their
 * holes are as deep as both.
 */
export function withStacks(planned: PlannedFeatures, inputs: FeatureInputs): PlannedFeatures {
  const reports: OverrideReport[] = [];
  const locatings = [...planned.locatings];
  const setups = planned.setups.map((setup, i): FeatureSetup => {
    const wanted = inputs.overrides.find(
      (o) => o.what === "together" && o.value === "stacked" && setup.operations.some((op) => op.key === o.at),
    );
    const told = setup.operations.some((o) => inputs.states.get(o.key)?.told.seat.together === "stacked");
    if (!wanted && !told) return setup;
    const begunAlone = !told && setup.operations.some((o) => inputs.states.has(o.key));
    const stacked = begunAlone
      ? refused(words("The setup has begun with one piece."), words("Finish it so."))
      : stackedSetup(setup, inputs);
    if (wanted)
      reports.push({
        override: wanted,
        state: stacked.ok ? "applied" : "impossible",
        why: stacked.ok ? words("Two are drilled through together.") : stacked.reason,
      });
    if (!stacked.ok) return setup;
    locatings[i] = stacked.value.locating;
    return stacked.value.setup;
  });
  return {
    ...planned,
    setups,
    locatings,
    reports: planned.reports.map((r) => reports.find((s) => s.override === r.override) ?? r),
  };
}

/** The setup planned on one body as high as both pieces. */
function stackedSetup(
  setup: FeatureSetup,
  inputs: FeatureInputs,
): Outcome<{ setup: FeatureSetup; locating: PlannedFeatures["locatings"][number] }> {
  const held = twoOnOneAnother(setup);
  const { part, piece } = inputs;
  const size = part.sizes[axisOf(setup.at.up)];
  if (held.may === "no" || !size || part.shaft) return refused(held.why, words("Take them one by one."));
  const only = setup.features.flatMap((id) => part.features.byId[id] ?? []);
  const both: Part = {
    ...part,
    sizes: { ...part.sizes, [axisOf(setup.at.up)]: { ...size, nominal: 2 * size.nominal } },
    features: { byId: Object.fromEntries(only.map((f) => [f.id, f])), order: only.map((f) => f.id) },
  };
  const keys = new Set(setup.operations.map((o) => o.key));
  const made = planFeaturesOf({
    ...inputs,
    part: both,
    piece: piece && twoOf(piece, setup.at, "stacked"),
    hosts: [],
    overrides: inputs.overrides.filter((o) => o.what !== "together"),
    states: new Map([...inputs.states].filter(([key]) => keys.has(key))),
  });
  const [again, ...others] = made?.setups ?? [];
  const [locating] = made?.locatings ?? [];
  const [lost] = made?.refused ?? [];
  if (!again || !locating || lost || others.length > 0)
    return refused(
      lost?.reason ?? say`Two on one another are not held in one clamping.`,
      words("Take them one by one."),
    );
  const { number, clamping, stays, carried } = setup;
  const seat = { ...again.seat, together: "stacked" as const };
  return done({
    setup: {
      ...again,
      number,
      clamping,
      stays,
      carried,
      seat,
      minutes: {
        cutting: eachOf(seat, again.minutes.cutting),
        handling: eachOf(seat, again.minutes.handling),
      },
    },
    locating,
  });
}
