import { type Axis, axisNames, facesOf, opposite, type Sizes } from "../frame/index.ts";
import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import {
  asFitted,
  asMilled,
  blockedFeatures,
  checkDrawing,
  type DrawingFinding,
  type Part,
  partSizes,
  stopsPlan,
} from "../part/index.ts";
import { mm, quantity, tidy } from "../quantity/index.ts";
import {
  extentOf,
  type OperationKey,
  type PairError,
  planRoute,
  predictedErrors,
  referenceChain,
  type Route,
  type Setup,
} from "../route/index.ts";
import { inUse, type Shop } from "../shop/index.ts";
import type { Piece, Spare, SpareVerdict } from "../stock/index.ts";
import {
  begunOf,
  foldFeatures,
  foldProgress,
  cutsMetal,
  effective,
  type LivePass,
  livePasses,
  minutesOfPasses,
  type Progress,
  type Record as JobRecord,
  type Step,
  stepsOf,
  type InSpindle,
} from "../steps/index.ts";
import { type Phrase, precise, rule, say, stop, type Warning, words } from "../working/index.ts";
import { equipment } from "./equipment.ts";
import type { Job } from "./job.ts";
import { isOfFeature, type PlannedFeatures, planFeaturesOf } from "./feature-plan.ts";
import { featureRequirements, missingFeatures } from "./feature-requirement.ts";
import type { Override } from "./override.ts";
import { type Requirement, requirementsOf } from "./requirement.ts";
import { planStart } from "./plan-start.ts";
import { recheckWarnings } from "./recheck.ts";
import { type OverrideReport, settleAll } from "./settle-overrides.ts";
import { retargetFindings } from "./size-moves.ts";

export const stations = ["drawing", "stock", "setups", "cuts", "machine", "record"] as const;
export type Station = (typeof stations)[number];

export interface Plan {
  findings: DrawingFinding[];
  /** Target sizes with deviations applied; null while the drawing is not complete. */
  target: Sizes | null;
  spares: Record<Axis, Spare> | null;
  spareVerdict: SpareVerdict;
  raw: Piece | null;
  setups: Setup[];
  /** Why there is no (further) setup. */
  refusal: Route["refusal"];
  warnings: Warning[];
  /** What is to be checked again because what it was cut from was cut again (M39). */
  rechecks: Warning[];
  /** How what is drawn into the part is cut; null while the block is not planned square, or there is nothing. */
  features: PlannedFeatures | null;
  steps: Step[];
  /** Index of the step to do now; the number of steps when all are done. */
  current: number;
  ladders: Partial<Record<OperationKey, LivePass[]>>;
  /** Readings that moved passes, newest last, by operation. */
  corrections: Partial<Record<OperationKey, Progress["corrections"]>>;
  overrides: OverrideReport[];
  /** Squareness and parallelism to expect of the route, pair by pair. */
  errors: PairError[];
  requirements: Requirement[];
  /** Features that are drawn and not cut: still to come, or that cannot be, with the reason. */
  missing: { name: Phrase; why: Phrase | null }[];
  minutes: { cutting: number; handling: number; total: number };
  /** Any pass cut yet: from then on every change of a decision is logged. */
  cutBegun: boolean;
  status: Record<Station, Phrase>;
}

export interface PlanInputs {
  job: Job;
  records: JobRecord[];
  shop: Shop;
  piece: number;
  /** Handbook values the person changed. */
  own?: OwnHandbook;
}

/**
 * The part to be milled: the drawing with its recorded deviations, made to mates that were measured, a shaft as thick as it was
 * measured, what is left for a next process.
 */
export const effectivePart = (job: Job): Part =>
  asMilled(asTurned(asFitted(drawnPart(job)), job.stock.turned));

/** A shaft with its sections as thick as they were measured, within the limits they were drawn with: seats count from what is there. */
function asTurned(part: Part, turned: Job["stock"]["turned"]): Part {
  if (!part.shaft) return part;
  const sections = Object.entries(part.shaft.byId).map(([id, section]) => {
    const read = turned[id]?.value;
    const { diameter } = section;
    if (read === undefined || !diameter) return [id, section] as const;
    const off = tidy(read - diameter.nominal);
    const moved = (limit: number | null) => (limit === null ? null : tidy(limit - off));
    return [
      id,
      {
        ...section,
        diameter: {
          ...diameter,
          nominal: read,
          upper: moved(diameter.upper),
          lower: moved(diameter.lower),
        },
      },
    ] as const;
  });
  return { ...part, shaft: { ...part.shaft, byId: Object.fromEntries(sections) } };
}

/** The part as drawn, its sizes with their recorded deviations. */
export function drawnPart(job: Job): Part {
  const sizes = { ...job.part.sizes };
  for (const axis of axisNames) {
    const retarget = job.retargets[axis];
    if (retarget) sizes[axis] = retarget.size;
  }
  return { ...job.part, sizes };
}

const worst: SpareVerdict[] = ["short", "tight", "unmeasured", "enough"];

/**
 * The whole plan of a job, derived: the same decisions and records give the same plan. Never throws for what a person can
 * enter; what cannot be planned is a refusal with a reason and a suggestion.
 */
export function plan({ job, records, shop: everything, piece, own = noOwnValues }: PlanInputs): Plan {
  const shop = inUse(everything);
  const part = effectivePart(job);
  const target = partSizes(part);
  const progress = foldProgress(records, piece);
  const states = foldFeatures(records, piece);
  const { machine, vise, material } = equipment(job, everything, own);
  const findings = [...checkDrawing(drawnPart(job), shop, own, machine), ...retargetFindings(job)];
  const requirements = requirementsOf(job, part, records, everything, progress, piece);
  const empty: Plan = {
    findings,
    target,
    spares: null,
    spareVerdict: "unmeasured",
    raw: null,
    setups: [],
    refusal: null,
    warnings: [],
    rechecks: [],
    features: null,
    steps: [],
    current: 0,
    ladders: {},
    corrections: {},
    overrides: job.overrides.order.flatMap((id) => reportWithout(job.overrides.byId[id])),
    errors: [],
    requirements,
    missing: [],
    minutes: { cutting: 0, handling: 0, total: 0 },
    cutBegun: effective(records).some((r) => r.piece === piece && cutsMetal(r)),
    status: {} as Plan["status"],
  };
  const overridden = job.overrides.order.flatMap((id) => job.overrides.byId[id] ?? []);
  if (part.shaft) {
    const whole = target && machine && vise && material && !findings.some(stopsPlan);
    const features = whole
      ? planFeaturesOf({
          part,
          blocked: blockedFeatures(findings),
          piece: null,
          last: null,
          machine,
          vise,
          material,
          shop: everything,
          overrides: overridden,
          states,
        })
      : null;
    const made = withFeatures(empty, features, records, piece, part, everything);
    return { ...made, status: shaftStatus(job, made) };
  }
  if (!target || findings.some(stopsPlan) || !machine || !vise || !material) {
    return { ...empty, status: statusLines(job, empty) };
  }

  const { spares, raw, context } = planStart(job, part, target, { machine, vise, material }, everything);
  const spareVerdict = worst.find((v) => axisNames.some((axis) => spares[axis].verdict === v)) ?? "enough";
  const begun = [...progress.values()].map((state) => begunOf(state, moreAllowed(state, spares, target)));
  const overrides = settleAll(
    overridden.filter((o) => !isOfFeature(o)),
    raw,
    begun,
    context,
  );
  const route = planRoute(raw, begun, context);
  const features =
    route.refusal === null
      ? planFeaturesOf({
          part,
          blocked: blockedFeatures(findings),
          piece: route.setups.at(-1)?.after ?? raw,
          last: route.setups.at(-1) ?? null,
          machine,
          vise,
          material,
          shop: everything,
          overrides: overridden,
          states,
        })
      : null;
  // The last face's setup goes on with features cut in the same clamping.
  if (features?.setups[0]?.entry === "stays") route.setups.at(-1)!.stays = true;
  const errors = predictedErrors(referenceChain(route.setups, vise), { ...part, target, machine, vise });
  const ladders: Plan["ladders"] = {};
  for (const setup of route.setups) {
    const passes = livePasses(setup, progress.get(setup.key) ?? null, machine);
    ladders[setup.key] = passes;
    // A pass thinner than can be set is not made: the minutes are those of the passes that are told.
    setup.minutes = { ...setup.minutes, cutting: minutesOfPasses(setup, passes) };
  }
  let spindle: InSpindle | null = null;
  const steps = route.setups.flatMap((setup) => {
    const mine = stepsOf(setup, progress.get(setup.key) ?? null, { machine, shop, material }, spindle);
    if (ladders[setup.key]!.length > 0) spindle = { cutter: setup.cut.cutter, rpm: setup.cut.rpm };
    return mine;
  });
  const cutting = route.setups.reduce((sum, s) => sum + s.minutes.cutting, 0);
  const handling = route.setups.reduce((sum, s) => sum + s.minutes.handling, 0);
  const made: Plan = {
    ...empty,
    spares,
    spareVerdict,
    raw,
    setups: route.setups,
    refusal: route.refusal,
    warnings: axisNames.flatMap((axis) => spareWarning(spares[axis])),
    rechecks: recheckWarnings(route.setups, records, piece, part),
    steps,
    ladders,
    corrections: Object.fromEntries([...progress].map(([key, state]) => [key, state.corrections])),
    overrides: [...overrides, ...overridden.filter(isOfFeature).flatMap(reportWithout)],
    errors,
    minutes: { cutting, handling, total: cutting + handling },
  };
  const whole = withFeatures(made, features, records, piece, part, everything);
  return { ...whole, status: statusLines(job, whole) };
}

/** The plan with what its features add: steps after those of the faces, minutes, what is required of them. */
function withFeatures(
  made: Plan,
  features: PlannedFeatures | null,
  records: JobRecord[],
  piece: number,
  part: Part,
  shop: Shop,
): Plan {
  const steps = [...made.steps, ...(features?.steps ?? [])];
  const firstOpen = steps.findIndex((step) => !step.done);
  const cutting = made.minutes.cutting + (features?.minutes.cutting ?? 0);
  const handling = made.minutes.handling + (features?.minutes.handling ?? 0);
  return {
    ...made,
    features,
    steps,
    current: firstOpen === -1 ? steps.length : firstOpen,
    overrides: features
      ? [...made.overrides.filter((o) => !isOfFeature(o.override)), ...features.reports]
      : made.overrides,
    minutes: { cutting, handling, total: cutting + handling },
    requirements: features
      ? [...made.requirements, ...featureRequirements(features, part, records, shop, piece)]
      : made.requirements,
    missing: features ? missingFeatures(features, part) : [],
  };
}

/** How much more a first face may give when it does not clean up: down to the target and the skin of the face across. */
function moreAllowed(state: Progress, spares: Record<Axis, Spare>, target: Sizes): number {
  // What was left standing is matched to what is cut: no more comes off.
  if (extentOf(state.told.key) === "rest") return 0;
  const axis = axisNames.find((a) => facesOf(a).includes(state.told.face))!;
  const across = spares[axis].first[opposite(state.told.face)] ?? 0;
  return Math.max(0, tidy(Math.min(state.told.to - target[axis], across) - 0.1));
}

const reportWithout = (override: Override | undefined): OverrideReport[] =>
  override ? [{ override, state: "withoutObject", why: words("Nothing is planned yet.") }] : [];

/** M01: the stock cannot give the size. */
function spareWarning(spare: Spare): Warning[] {
  return spare.verdict === "short"
    ? [
        stop(
          rule(
            "M01.short",
          )`The ${spare.axis} is ${precise(mm(spare.shortfall), 2)} short: the stock is ${mm(spare.smallest)} at its smallest, cleanup takes ${mm(spare.skins)}, and ${mm(spare.limits.lower)} must be left.`,
        ),
      ]
    : [];
}

/** How many features the drawing has, and how many of them cannot be cut as drawn, for its status line. */
function featureCount(job: Job, findings: readonly DrawingFinding[]): string {
  const count = job.part.features.order.length;
  const blocked = Object.keys(blockedFeatures(findings)).length;
  const all = count === 0 ? "" : count === 1 ? ", 1 feature" : `, ${count} features`;
  return blocked === 0 ? all : `${all}, ${blocked} to correct`;
}

/** A shaft comes turned: what its stations say in a line. */
function shaftStatus(job: Job, made: Plan): Plan["status"] {
  const stops = made.findings.filter(stopsPlan).length;
  const sections = job.part.shaft?.order ?? [];
  const measured = sections.filter((id) => job.stock.turned[id]).length;
  const features = made.features;
  return {
    drawing:
      stops > 0
        ? say`${stops} still to fill in`
        : say`shaft, ${sections.length} ${sections.length === 1 ? "section" : "sections"}${featureCount(job, made.findings)}`,
    stock: say`turned, ${measured} of ${sections.length} measured`,
    ...featureStatus(made),
    setups: features
      ? features.setups.length > 0
        ? say`${features.setups.length} ${features.setups.length === 1 ? "setup" : "setups"}, ${quantity("time", made.minutes.total)}`
        : words("nothing can be cut")
      : words("a shaft is not squared"),
  };
}

/** What machine, cuts and record say in a line. */
function featureStatus(made: Plan): Pick<Plan["status"], "cuts" | "machine" | "record"> {
  const judged = made.requirements.filter((r) => r.verdict !== null);
  const bad = judged.filter((r) => r.verdict?.verdict !== "good").length;
  const done = made.steps.filter((s) => s.done).length;
  const passes = made.setups.reduce((sum, s) => sum + s.cut.passes.length, 0);
  const operations = made.features?.setups.reduce((sum, s) => sum + s.operations.length, 0) ?? 0;
  return {
    cuts:
      passes + operations > 0
        ? operations > 0
          ? say`${passes > 0 ? `${passes} passes, ` : ""}${operations} operations, ${quantity("time", made.minutes.cutting)}`
          : say`${passes} passes, ${quantity("time", made.minutes.cutting)} cutting`
        : words("no passes yet"),
    machine:
      made.steps.length === 0
        ? words("no steps yet")
        : made.current >= made.steps.length
          ? words("all steps done")
          : done === 0
            ? say`${made.steps.length} steps, not begun`
            : say`step ${made.current + 1} of ${made.steps.length}`,
    record:
      judged.length === 0
        ? say`0 of ${made.requirements.length} judged`
        : bad > 0
          ? say`${judged.length} of ${made.requirements.length} judged, ${bad} not good`
          : say`${judged.length} of ${made.requirements.length} good`,
  };
}

function statusLines(job: Job, made: Plan): Plan["status"] {
  const stops = made.findings.filter(stopsPlan).length;
  const own = axisNames.filter((axis) => typeof job.part.sizes[axis]?.upper === "number").length;
  const tightest = made.spares
    ? axisNames
        .map((a) => made.spares![a])
        .filter((s) => Number.isFinite(s.spare))
        .sort((a, b) => a.spare - a.skins - (b.spare - b.skins))[0]
    : undefined;
  return {
    drawing:
      stops > 0
        ? say`${stops} still to fill in`
        : say`3 sizes, ${own} with own limits${featureCount(job, made.findings)}`,
    stock:
      made.spares === null
        ? words("after the drawing")
        : made.spareVerdict === "unmeasured"
          ? words("not measured yet")
          : made.spareVerdict === "short"
            ? say`not enough ${tightest?.axis ?? "metal"}`
            : say`${mm(tightest?.spare ?? 0)} spare on the ${tightest?.axis ?? ""}${made.spareVerdict === "tight" ? ", tight" : ""}`,
    setups: made.refusal
      ? say`stops at cut ${made.refusal.number}`
      : made.setups.length > 0
        ? say`${made.features?.setups.at(-1)?.clamping ?? made.setups.at(-1)?.clamping ?? 0} setups, ${quantity("time", made.minutes.total)}`
        : words("after the drawing"),
    ...featureStatus(made),
  };
}
