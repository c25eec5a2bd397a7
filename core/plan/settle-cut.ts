import { type Cut, type CutTask, hardLimitBroken, nothingOwn, type OwnConditions } from "../cutting/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import { type Machine, pickSetting } from "../shop/index.ts";
import { counted, done, type Outcome, type Phrase, refused, rule, say, words } from "../working/index.ts";
import type { Override } from "../job/index.ts";

/** Overrides of how fast, how deep, with how much left at last, and which way something is cut: the same for a face and for a feature. */
export type ConditionOverride = Extract<
  Override,
  { what: "depth" | "finish" | "speed" | "feed" | "direction" }
>;
export const isOfConditions = (o: Override): o is ConditionOverride =>
  ["depth", "finish", "speed", "feed", "direction"].includes(o.what);

/** What a person's own condition is tried on. */
export interface CutAsked {
  machine: Machine;
  /** What is cut; null for a tool whose depth is given, such as a drill. */
  task: CutTask | null;
  /** Cutter, spindle speed and feed as they are without it. */
  now: { cutter: string; rpm: number; vf: number };
  /** The cut with what was settled before and this on top; null for a tool whose depth is given. */
  cutWith: (own: Partial<OwnConditions>) => Outcome<Cut> | null;
}

/** What is put into the plan, and what it changes. */
export interface Settled {
  own: Partial<OwnConditions>;
  why: Phrase;
}

/** Speeds this near to what is asked for are the same, as a ratio. */
const sameSpeed = 1.02;

/** Whether an own depth per pass can be taken at all: hard limits (power, cutter) are never exceeded (M21). */
export function ownDepthAllowed(cut: Cut, depth: Mm): Outcome<Mm> {
  const broken = hardLimitBroken(cut, depth);
  if (!broken) return done(depth);
  return refused(
    rule(
      "M21.hard",
    )`${mm(depth)} per pass is too much for the ${broken.name}: beyond ${mm(broken.hardAt!)} it cannot be done. ${mm(cut.allowed)} would do.`,
    say`To raise it: ${broken.lifts}.`,
  );
}

export function depthApplied(cut: Cut, value: Mm): Outcome<Settled> {
  const allowed = ownDepthAllowed(cut, value);
  return allowed.ok
    ? done({
        own: { cutter: cut.cutter, depth: value },
        why: say`${mm(value)} per pass instead of ${mm(cut.allowed)}.`,
      })
    : allowed;
}

/** What is left for the last pass is itself a pass: no deeper than one may be, and thick enough to cut. */
function finishApplied(cut: Cut, value: Mm): Outcome<Settled> {
  if (value > cut.depth + 1e-9)
    return refused(
      rule("M21.finish")`${mm(value)} is more than one pass may take here, ${mm(cut.depth)}.`,
      words("Leave less for the last pass."),
    );
  return done({
    own: { cutter: cut.cutter, finish: value },
    why: say`${mm(value)} is left for the last pass: ${counted(cut.passes.length, "pass", "passes")} in all.`,
  });
}

const noPasses = [
  words("This tool goes to depth in one go, backed out for chips: there are no passes."),
  words("Go back to the plan's."),
] as const;

/** Tries one own condition on top of those settled before it. The cutter it was set for stays with it. */
export function settleCondition(override: ConditionOverride, asked: CutAsked): Outcome<Settled> {
  const { machine, now, cutWith } = asked;
  switch (override.what) {
    case "depth": {
      // Held against the limits of the cut it makes, in whatever lanes that takes.
      const cut = cutWith({ depth: override.value });
      if (!cut) return refused(...noPasses);
      return cut.ok ? depthApplied(cut.value, override.value) : cut;
    }
    case "finish": {
      const cut = cutWith({ finish: override.value });
      return cut === null ? refused(...noPasses) : cut.ok ? finishApplied(cut.value, override.value) : cut;
    }
    case "speed": {
      const nearest = pickSetting(machine, override.value).rpm;
      const off = Math.max(nearest / override.value, override.value / nearest);
      if (off > sameSpeed)
        return refused(
          rule(
            "M21.noSpeed",
          )`${machine.name} has no ${quantity("spindleSpeed", override.value)}; the nearest is ${quantity("spindleSpeed", nearest)}.`,
          words("Choose one of its speeds."),
        );
      const cut = cutWith({ rpm: override.value });
      return cut && !cut.ok
        ? cut
        : done({
            own: { cutter: now.cutter, rpm: override.value },
            why: say`${quantity("spindleSpeed", nearest)} instead of ${quantity("spindleSpeed", now.rpm)}.`,
          });
    }
    case "feed": {
      const cut = cutWith({ vf: override.value });
      return cut && !cut.ok
        ? cut
        : done({
            own: { cutter: now.cutter, vf: override.value },
            why: say`${quantity("feed", override.value)} instead of ${quantity("feed", now.vf)}${cut ? say`; ${mm(cut.value.depth)} per pass then` : say``}.`,
          });
    }
    case "direction": {
      const cut = cutWith({ climb: true });
      if (!cut || !asked.task || asked.task.kind === "face" || asked.task.kind === "slot")
        return refused(
          words("Climb or conventional applies only to side cuts."),
          words("Go back to the plan's."),
        );
      if (!cut.ok) return cut;
      const { climb, warnings } = cut.value;
      const slack = warnings.find((w) => w.phrase.id === "M17.climb");
      if (climb === "none" && slack)
        return refused(slack.phrase, words("Cut conventional, or take the backlash out of the screw."));
      return done({
        own: { cutter: now.cutter, climb: true },
        why:
          climb === "last"
            ? words("The last pass climbs; with this backlash the passes before it may not.")
            : words("Climb cut."),
      });
    }
  }
}

/** Conditions of one cut with something more settled of them. */
export const withOwn = (before: OwnConditions | undefined, more: Partial<OwnConditions>): OwnConditions => ({
  ...(before ?? nothingOwn),
  ...more,
});
