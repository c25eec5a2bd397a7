import type { Job } from "../../core/job/index.ts";
import { type Rehearsal, rehearse } from "../../core/plan/index.ts";
import {
  type Chance,
  type Finding,
  type FindingSort,
  findingSorts,
  type SolidKit,
} from "../../core/rehearse/index.ts";
import type { Shop } from "../../core/shop/index.ts";
import type { StaleCause, Step } from "../../core/steps/index.ts";

/** What the literal machine found over many jobs: by sort, each with the job to see it in. */
export interface WalkedJobs {
  jobs: number;
  /** Jobs that had any step, and those that were walked to a whole part. */
  planned: number;
  finished: number;
  steps: number;
  sorts: Record<FindingSort, { count: number; jobs: number; worst: number; in: string }>;
  /** Truth of every size against what was said of it, by characteristic. */
  verdicts: Map<string, Verdicts>;
  /** Jobs that could not be walked at all: a defect. */
  broken: string[];
}

export interface Verdicts {
  goodIsGood: number;
  goodIsBad: number;
  badIsBad: number;
  badIsGood: number;
  cannotTell: number;
  /** Of those that cannot be told, how many truly lie so near to a limit that a caliper cannot tell. */
  rightlyCannotTell: number;
  notJudged: number;
}

export interface JobToWalk {
  name: string;
  seed: number;
  job: Job;
  shop: Shop;
}

/** Now and then a collar slips, a clamp is touched, a cutter is changed in the middle. */
export const nowAndThen = (step: Step, draws: Chance): StaleCause | null =>
  (step.pass || step.move) && draws.next() < 0.01
    ? (["cutter", "knee", "moved"] as const)[Math.floor(draws.next() * 3)]!
    : null;

const noVerdicts = (): Verdicts => ({
  goodIsGood: 0,
  goodIsBad: 0,
  badIsBad: 0,
  badIsGood: 0,
  cannotTell: 0,
  rightlyCannotTell: 0,
  notJudged: 0,
});

/** The uncertainty of the caliper that readings are taken with, mm. */
const caliper = 0.03;

function judge(all: Map<string, Verdicts>, { truths }: Rehearsal): void {
  for (const { of, verdict, good, is, limits } of truths) {
    const what = of.includes("/") ? `${of.split("/")[1]} of a feature` : of;
    const v = all.get(what) ?? noVerdicts();
    all.set(what, v);
    const near = Math.min(Math.abs(is - limits.lower), Math.abs(is - limits.upper)) <= caliper;
    if (verdict === null) v.notJudged++;
    else if (verdict === "good") v[good ? "goodIsGood" : "goodIsBad"]++;
    else if (verdict === "rework" || verdict === "under") v[good ? "badIsGood" : "badIsBad"]++;
    else {
      v.cannotTell++;
      if (near) v.rightlyCannotTell++;
    }
  }
}

/** Walks jobs one after the other. */
export function walkJobs(
  jobs: Iterable<JobToWalk>,
  kit: SolidKit,
  onJob: (name: string, findings: readonly Finding[]) => void = () => undefined,
): WalkedJobs {
  const sorts = Object.fromEntries(
    findingSorts.map((sort) => [sort, { count: 0, jobs: 0, worst: 0, in: "" }]),
  ) as WalkedJobs["sorts"];
  const walked: WalkedJobs = {
    jobs: 0,
    planned: 0,
    finished: 0,
    steps: 0,
    sorts,
    verdicts: new Map(),
    broken: [],
  };
  for (const { name, seed, job, shop } of jobs) {
    walked.jobs++;
    let made: Rehearsal;
    try {
      made = rehearse({ job, shop, kit, seed, upsets: nowAndThen });
    } catch (error) {
      walked.broken.push(`${name}: ${String(error)}`);
      continue;
    }
    if (made.done > 0) walked.planned++;
    if (made.finished) walked.finished++;
    walked.steps += made.done;
    const met = new Set<FindingSort>();
    for (const { sort, size } of made.findings) {
      const entry = sorts[sort];
      entry.count++;
      if (size >= entry.worst || entry.in === "") [entry.worst, entry.in] = [size, name];
      met.add(sort);
    }
    for (const sort of met) sorts[sort].jobs++;
    judge(walked.verdicts, made);
    onJob(name, made.findings);
  }
  return walked;
}

/** How often each sort was found. */
export const countsOf = ({ sorts }: WalkedJobs): Partial<Record<FindingSort, number>> =>
  Object.fromEntries(findingSorts.flatMap((s) => (sorts[s].count > 0 ? [[s, sorts[s].count]] : [])));
