import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { checkDrawing, partSizes, stopsPlan } from "../part/index.ts";
import { faceSetupsOf, locatedIn, predictedErrors, referenceChain, type Setup } from "../route/index.ts";
import { inUse, type Shop, squareError } from "../shop/index.ts";
import {
  cutsMetal,
  effective,
  foldRecords,
  handSteps,
  type Record as JobRecord,
  recordsOf,
} from "../steps/index.ts";
import {
  drawnPart,
  effectivePart,
  equipment,
  type Job,
  machineOf,
  paperOf,
  retargetFindings,
} from "../job/index.ts";
import { nothingPlanned, withoutObject } from "./plan-setups.ts";
import { type OnMachinesAsked, setupsOnMachines } from "./on-machines.ts";
import { cutTwice, cutTwiceWarnings } from "./cut-twice.ts";
import { statusOf } from "./plan-status.ts";
import { judgedBy } from "./judged-reading.ts";
import type { Plan } from "./plan.ts";
import { recheckWarnings } from "./recheck.ts";
import { rawSpotWarnings } from "./raw-spots.ts";
import { findingsOf, setupsOf, stepsOfSetups } from "./remembered-stages.ts";
import { missingFeatures, requirementsOf } from "./requirement.ts";

export interface PlanInputs {
  job: Job;
  records: JobRecord[];
  shop: Shop;
  piece: number;
  /** Handbook values the person changed. */
  own?: OwnHandbook;
}

/**
 * The whole plan of a job, derived in stages: what is drawn, the setups, their steps, what the readings say. The same decisions
 * and records give the same plan. Never throws for what a person can enter; what cannot be planned is a refusal with a reason and
 * a suggestion.
 */
export function plan({ job, records, shop: everything, piece, own = noOwnValues }: PlanInputs): Plan {
  const shop = inUse(everything);
  const part = effectivePart(job);
  const target = partSizes(part);
  const progress = foldRecords(records, piece);
  const { machine, vise, material } = equipment(job, everything, own);
  const about = JSON.stringify([job, own]);
  const findings = findingsOf(everything, about, () => [
    ...checkDrawing(drawnPart(job), shop, own, machine),
    ...retargetFindings(job),
  ]);
  const overrides = job.overrides.order.flatMap((id) => job.overrides.byId[id] ?? []);
  const drawn = {
    findings,
    target,
    cutBegun: recordsOf(records, piece).some(cutsMetal),
  };
  const judge = (setups: readonly Setup[]) =>
    requirementsOf({
      ...judgedBy(job, everything, own),
      job,
      setups,
      records,
      faces: progress.faces,
      piece,
    });
  const told = (made: Omit<Plan, "status">): Plan => ({ ...made, status: statusOf(job, made) });
  if (!target || findings.some(stopsPlan) || !machine || !vise || !material)
    return told({
      ...drawn,
      ...nothingPlanned,
      ...nothingWalked,
      overrides: overrides.map(withoutObject),
      requirements: judge([]),
    });
  const asked: OnMachinesAsked = {
    job,
    part,
    target,
    findings,
    progress,
    equipped: { machine, vise, material },
    shop: everything,
    overrides,
    records,
    piece,
  };
  const made = setupsOf(everything, about, progress, () => setupsOnMachines(asked));
  const { setups, features } = made;
  const faces = faceSetupsOf(setups);
  const walked = stepsOfSetups(
    made,
    progress,
    (setup) => ({
      machine: machineOf(setup, everything) ?? machine,
      shop,
      material,
      paper: paperOf(overrides),
      squareness: part.squareness,
    }),
    machineChangedAt(records),
  );
  const byHand = job.handwork.order.flatMap((id) => job.handwork.byId[id] ?? []);
  const steps =
    byHand.length === 0
      ? walked
      : [
          ...handSteps(byHand, "before", setups, progress),
          ...walked,
          ...handSteps(byHand, "after", setups, progress),
        ];
  const twice = cutTwice(records, piece, steps);
  const firstOpen = steps.findIndex((step) => !step.done);
  const cutting = setups.reduce((sum, s) => sum + s.minutes.cutting, 0);
  const handling =
    setups.reduce((sum, s) => sum + s.minutes.handling, 0) +
    (setups.length > 0 ? byHand.reduce((sum, hand) => sum + hand.minutes, 0) : 0);
  return told({
    ...drawn,
    ...made,
    rechecks: [
      ...cutTwiceWarnings(twice),
      ...recheckWarnings(faces, records, piece, part),
      ...rawSpotWarnings(setups, progress.faces, part, vise, steps),
    ],
    twice,
    steps,
    current: firstOpen === -1 ? steps.length : firstOpen,
    corrections: Object.fromEntries([...progress.faces].map(([key, state]) => [key, state.corrections])),
    errors: predictedErrors(referenceChain(locatedIn(faces), vise), {
      ...part,
      target,
      machine,
      vise,
      square: squareError(shop),
    }),
    requirements: judge(setups),
    missing: features ? missingFeatures(features, steps, part) : [],
    minutes: { cutting, handling, total: cutting + handling },
  });
}

/** When the job went to another machine last, as a place in the sequence; null where it never did. */
const machineChangedAt = (records: readonly JobRecord[]): number | null =>
  effective([...records]).findLast(
    (r) => r.type === "changed" && r.changes.some((change) => change.path === "machine"),
  )?.seq ?? null;

/** What there is of a plan before its setups are planned. */
const nothingWalked = {
  rechecks: [],
  twice: [],
  steps: [],
  current: 0,
  corrections: {},
  errors: [],
  missing: [],
  minutes: { cutting: 0, handling: 0, total: 0 },
} satisfies Partial<Plan>;
