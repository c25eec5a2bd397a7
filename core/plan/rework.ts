import { locateSetup } from "../locate/index.ts";
import { cutoutOf, featuresOf, type Part, type Prism, siteOfPart } from "../part/index.ts";
import {
  eachOf,
  faceOf,
  type FaceSetup,
  faceSetupsOf,
  type FeatureKey,
  type FeatureOperation,
  type FeatureSetup,
  featureSetupsOf,
  isFaceKey,
  reworkKey,
  type RouteContext,
  reworkSetup,
  type Setup,
} from "../route/index.ts";
import { faceOfKey, nextRework } from "../squaring/index.ts";
import type { Piece } from "../stock/index.ts";
import { begunOf, livePasses, minutesOfPasses, type ReadingOf, type Rework } from "../steps/index.ts";
import { paperOf } from "../job/index.ts";
import type { PlannedSetups, SetupsAsked } from "./planned-setups.ts";
import { timedSetup } from "./timed-setup.ts";

type Planned = Pick<PlannedSetups, "setups" | "zeros" | "ladders" | "refusal">;

/**
 * Setups that cut once more what was read and is not good, after all others, each on the part as it is by then. What cannot be held
 * any more is the refusal of the plan.
 */
export function withReworks<P extends Planned>(
  planned: P,
  asked: SetupsAsked,
  { piece, context }: { piece: Piece | null; context: RouteContext | null },
): P {
  const { progress, part, overrides, equipped } = asked;
  if (progress.reworks.length === 0 || planned.refusal) return planned;
  let now = piece;
  const made = { ...planned, setups: [...planned.setups], ladders: { ...planned.ladders } };
  const zeros: PlannedSetups["zeros"] = { ...planned.zeros };
  for (const rework of progress.reworks) {
    const { op } = rework;
    const gone = cutAway(part, made.setups);
    if (!isFaceKey(op)) {
      const again = featureAgain(rework, made.setups, equipped.machine.id);
      if (!again) continue;
      // Of its own cut something still stands.
      const locating = locatingOf(again, cutAway(part, made.setups, again.features[0]), asked);
      if (!locating) continue;
      made.setups.push(timedSetup(again, locating));
      zeros[op] = locating;
      continue;
    }
    if (!now || !context) continue;
    const state = progress.faces.get(op) ?? null;
    const face = faceOfKey(op);
    const setup = reworkSetup(
      {
        rework: { ...rework, key: op, face },
        told: state?.told ?? null,
        piece: now,
        done: made.setups,
        gone,
      },
      context,
    );
    if (!setup.ok) return { ...made, zeros, refusal: { ...setup, number: made.setups.length + 1 } };
    const faceOp = faceOf(setup.value);
    const passes = livePasses(faceOp, state, { machine: equipped.machine, paper: paperOf(overrides) });
    made.ladders[op] = passes;
    const cutting = eachOf(setup.value.seat, minutesOfPasses(faceOp, passes));
    const { value } = setup;
    made.setups.push({ ...value, minutes: { ...value.minutes, cutting } } satisfies FaceSetup);
    const measured = state && begunOf(state, 0).measured;
    now =
      typeof measured === "number"
        ? { ...value.after, sizes: { ...value.after.sizes, [faceOp.axis]: measured } }
        : value.after;
  }
  return { ...made, zeros };
}

/**
 * What features cut so far took out of the block.
 * @param but the one that is left out
 */
function cutAway(part: Part, setups: readonly Setup[], but?: string): Prism[] {
  const site = siteOfPart(part);
  const cut = new Set(featureSetupsOf(setups).flatMap((s) => s.features));
  return site
    ? featuresOf(part).flatMap((f) =>
        cut.has(f.id) && f.id !== but ? (cutoutOf(f, site)?.prisms ?? []) : [],
      )
    : [];
}

function locatingOf(setup: FeatureSetup, gone: readonly Prism[], asked: SetupsAsked) {
  const site = siteOfPart(asked.part);
  const { vise, machine } = asked.equipped;
  return (
    site &&
    locateSetup({
      setup,
      sizes: site.sizes,
      shaft: site.shaft,
      gone: [...gone],
      vise,
      machine,
      shop: asked.shop,
      wanted: null,
      paper: paperOf(asked.overrides),
    })
  );
}

/** The setup and operation that make a size of a feature: the last it is measured in. */
export function makerOf(of: ReadingOf, setups: readonly Setup[]) {
  for (const setup of featureSetupsOf(setups).toReversed()) {
    const operation = setup.operations.findLast(
      (o) => o.measure && !o.measure.before && `${o.feature}/${o.measure.size}` === of,
    );
    if (operation) return { setup, operation };
  }
  return null;
}

/**
 * The setup in which a size of a feature is cut once more, picked up anew and to where it is drawn: whether the zero or the cutter
 * left too much is not known. What the reading after it still leaves is cut from this zero. Null where the plan no longer has the
 * operation.
 */
function featureAgain(
  { of, op, left }: Rework,
  setups: readonly Setup[],
  machine: string,
): FeatureSetup | null {
  const maker = makerOf(of, setups);
  const last = setups.at(-1);
  if (!maker || !last) return null;
  const { setup, operation } = maker;
  const again: FeatureOperation = {
    ...operation,
    key: op,
    sameTool: false,
    ...(operation.cut && {
      levels: [operation.floor],
      cut: {
        ...operation.cut,
        passes: [{ kind: "finish" as const, depth: Math.abs(left), cumulative: Math.abs(left) }],
      },
    }),
  };
  return {
    ...setup,
    number: setups.length + 1,
    clamping: last.clamping + 1,
    entry: "placed",
    stays: false,
    machine,
    carried: false,
    operations: [again],
    features: [operation.feature],
    title: setup.title,
  };
}

/** The setup whose cut made a size of the block: the newest over its second face. */
export const sizedBy = (of: ReadingOf, setups: readonly Setup[]): FaceSetup | undefined =>
  faceSetupsOf(setups).findLast((s) => faceOf(s).axis === of && faceOf(s).sized);

/**
 * The operation that would cut a size once more; null where none can: it is not made by a cut of this plan, or was cut once more as
 * often as helps.
 */
export function reworkOf(of: ReadingOf, setups: readonly Setup[]): Rework["op"] | null {
  const keys = new Set<string>(setups.flatMap((s) => s.operations.map((o) => o.key)));
  const last = sizedBy(of, setups);
  if (last) return nextRework(faceOf(last).face, keys);
  const maker = makerOf(of, setups);
  if (maker?.operation.by !== "mill") return null;
  const base = maker.operation.key.replace(/~\d+$/, "");
  const next = [1, 2, 3, 4].map((n) => reworkKey(base as FeatureKey, n)).find((key) => !keys.has(key));
  return next ?? null;
}
