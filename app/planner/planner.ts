import wasm from "manifold-3d/manifold.wasm?url";
import {
  type Ahead,
  type Batch,
  batchOf,
  compareCut,
  compareHoldings,
  comparingMachines,
  comparingRoutes,
  type ComparisonProgress,
  costing,
  type CutComparison,
  type DayPlan,
  type DrawingCost,
  type Glance,
  glanceOf,
  type HoldingComparison,
  jobAhead,
  type Lump,
  lumpOf,
  type MachineComparison,
  type OwnTimes,
  ownTimesOf,
  paceOf,
  piecesOf,
  type PiecesSaid,
  piecesSaid,
  type PieceStanding,
  type Plan,
  plan,
  type PlanInputs,
  planningDays,
  type Rehearsal,
  type RehearsalProgress,
  rehearsing,
  type RouteComparison,
  type SawingList,
  sawingList,
  standingOf,
  type Suspicion,
  suspicions,
  workingOf,
  type WorkingTimes,
} from "../../core/plan/index.ts";
import type { OwnHandbook } from "../../core/handbook/index.ts";
import { equipment, type Job } from "../../core/job/index.ts";
import type { Bar, Shop } from "../../core/shop/index.ts";
import { lastRecordOf, type Record as JobRecord } from "../../core/steps/index.ts";
import { openSolids, type SeenPart, seenPart, type SolidKit } from "../../core/rehearse/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import { answersNews } from "./only-news.ts";
import type { Working } from "../../core/working/index.ts";

/** Where pieces stand, by the last record of each, as long as decisions and shop are the same. */
let standings: { of: string; known: Map<number, { upTo: string | null; standing: PieceStanding }> } = {
  of: "",
  known: new Map(),
};

/** The newest comparison asked for. */
let comparison = 0;

let last: { inputs: PlanInputs; shopText: string; made: Plan } | undefined;

/** The newest comparison of machines asked for. */
let machines = 0;

/** The newest day plan asked for. */
let days = 0;

/** The work ahead as it is planned, with what is left of each job and the pace it is reckoned with. */
export interface DaysFound {
  ahead: Ahead[];
  pace: number;
  /** What finished pieces took, and were planned to take: where the pace comes from; null while none was finished. */
  timed: OwnTimes | null;
  plan: DayPlan;
}

/** The newest walk asked for, and those that were walked to their end, by what they were walked of. */
let walk = 0;
const walked = new Map<string, Rehearsal>();
const mostWalked = 8;
let solids: Promise<SolidKit> | undefined;

const pause = (ms = 0) => new Promise((resolve) => setTimeout(resolve, ms));
/** Work goes on this long before others are let in, ms. */
const piece = 40;
/** Nothing long begins while somebody types, ms. */
const quiet = 400;

/** The walk that is under way, and who is told how far it is. */
let ongoing: {
  key: string;
  tell: (progress: RehearsalProgress) => void;
  end: Promise<Rehearsal | null>;
} | null = null;

/** What a walk hangs on: decisions, shop and handbook, never the records; null before the first plan. */
const walkKey = (): string | null =>
  last ? JSON.stringify([last.inputs.job, last.shopText, last.inputs.own ?? null]) : null;

/** Follows the told steps in pieces, others let in between; null when a newer walk or other decisions ended it. */
async function walkOf(
  mine: number,
  key: string,
  { job, shop, own }: PlanInputs,
  onProgress: (progress: RehearsalProgress) => void,
): Promise<Rehearsal | null> {
  await pause(quiet);
  const kit = await (solids ??= openSolids(wasm));
  const work = rehearsing({ job, shop, kit, seed: 1, ...(own ? { own } : {}) });
  let told = performance.now();
  for (;;) {
    if (mine !== walk || walkKey() !== key) {
      work.return(undefined as never);
      return null;
    }
    const step = work.next();
    if (step.done) {
      const oldest = walked.size >= mostWalked ? walked.keys().next().value : undefined;
      if (oldest !== undefined) walked.delete(oldest);
      walked.set(key, step.value);
      return step.value;
    }
    const now = performance.now();
    if (now - told < piece) continue;
    told = now;
    onProgress(step.value);
    await pause();
  }
}

/** Hosts the heavy rooms of core, so that typing never waits for planning. */
export const planner = {
  plan: answersNews((inputs) => {
    const made = plan(inputs);
    // The same shop stays the same thing as long as none is sent: its text is made once.
    const shopText = last?.inputs.shop === inputs.shop ? last.shopText : JSON.stringify(inputs.shop);
    last = { inputs, shopText, made };
    return made;
  }),
  /** The working of a figure of the last plan; null when it has none. */
  working(key: string): Working | null {
    return last ? workingOf(last.made, last.inputs, key) : null;
  },
  /**
   * Where all pieces of the last plan's job stand; null when another plan was asked for meanwhile. A piece of which nothing changed
   * is not planned again, and others are let in between two.
   */
  async batch(): Promise<Batch | null> {
    const mine = last;
    if (!mine) return null;
    const { job, own, records } = mine.inputs;
    const of = JSON.stringify([job, mine.shopText, own ?? null]);
    if (of !== standings.of) standings = { of, known: new Map() };
    const { known } = standings;
    const pieces: PieceStanding[] = [];
    // Pieces of which nothing is recorded stand alike.
    let untouched: PieceStanding | null = null;
    for (const piece of piecesOf(job, records)) {
      const upTo = lastRecordOf(records, piece);
      if (known.get(piece)?.upTo !== upTo) {
        const its = piece === mine.inputs.piece;
        if (!its && !(upTo === null && untouched)) await pause(pieces.length === 0 ? quiet : 0);
        if (last !== mine) return null;
        const made = its || (upTo === null && untouched) ? mine.made : plan({ ...mine.inputs, piece });
        const standing: PieceStanding =
          upTo === null && untouched ? { ...untouched, piece } : standingOf(made, records, piece);
        if (upTo === null) untouched = standing;
        known.set(piece, { upTo, standing });
      }
      pieces.push(known.get(piece)!.standing);
    }
    return batchOf(job, pieces);
  },
  /** What most likely made the sizes of the last plan's piece what they are. */
  suspicions(): Suspicion[][] {
    if (!last) return [];
    const { job, shop } = last.inputs;
    return suspicions(last.made, job, shop, equipment(job, shop).machine);
  },
  /** Where the last plan's part lies in its lump. */
  lump(): Lump | null {
    return last ? lumpOf(last.inputs.job, last.made.target, last.inputs.own) : null;
  },
  /** What the readings of all pieces of the last plan's job say together. */
  piecesSaid(): PiecesSaid | null {
    return last ? piecesSaid(last.made, last.inputs) : null;
  },
  /** Cutters compared and charts of a cut of the last plan; null when it has no such cut. */
  comparison(key: AnyKey): CutComparison | null {
    return last ? compareCut(last.made, last.inputs.job, last.inputs.shop, key, last.inputs.own) : null;
  },
  /** A setup of the last plan held in every way there is; null when it has no such setup. */
  holdings(key: AnyKey): HoldingComparison | null {
    return last ? compareHoldings(last.made, last.inputs.job, last.inputs.shop, key, last.inputs.own) : null;
  },
  /**
   * What the drawing of the last plan costs; null while it is not complete, and when another plan was asked for meanwhile: it
   * waits until nobody types, and lets others in between its plans.
   */
  async cost(): Promise<DrawingCost | null> {
    const mine = last?.inputs;
    await pause(quiet);
    if (!mine || last?.inputs !== mine) return null;
    const work = costing(mine.job, mine.shop, mine.own);
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      await pause();
      if (last.inputs !== mine) return null;
    }
  },
  /**
   * The schools of squaring compared for the last plan's block; null while drawing or shop are not complete, and when it was
   * stopped. Others are answered between its pieces of work; a newer comparison ends it.
   */
  async routes(onProgress: (progress: ComparisonProgress) => void): Promise<RouteComparison | null> {
    const mine = ++comparison;
    if (!last) return null;
    const work = comparingRoutes(last.inputs.job, last.inputs.shop, last.inputs.own);
    let told = 0;
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - told < piece) continue;
      told = now;
      onProgress(step.value);
      await pause();
      if (mine !== comparison) return null;
    }
  },
  /** Ends the comparison that is being worked. */
  stopRoutes(): void {
    comparison++;
  },
  /**
   * The told steps of the last plan's job obeyed to the letter, from raw stock to the end; null when it was stopped or another
   * plan was asked for meanwhile. Walked once for the same decisions and shop.
   */
  walkThrough(onProgress: (progress: RehearsalProgress) => void): Promise<Rehearsal | null> {
    const key = walkKey();
    const known = key === null ? null : walked.get(key);
    if (key === null || known) return Promise.resolve(known ?? null);
    if (ongoing?.key === key) {
      // A record more changes nothing of it: whoever asks last is told how far it is.
      ongoing.tell = onProgress;
      return ongoing.end;
    }
    const mine = ++walk;
    const here = { key, tell: onProgress, end: Promise.resolve<Rehearsal | null>(null) };
    here.end = walkOf(mine, key, last!.inputs, (progress) => here.tell(progress)).finally(() => {
      if (ongoing === here) ongoing = null;
    });
    ongoing = here;
    return here.end;
  },
  /** What the bench shows of any job: how far it is, and the part as it is seen. The last plan stays what it is. */
  async glance(inputs: PlanInputs): Promise<{ glance: Glance; picture: SeenPart | null }> {
    const kit = await (solids ??= openSolids(wasm));
    return {
      glance: glanceOf(plan(inputs), inputs.job, inputs.own),
      picture: seenPart(inputs.job.part, kit),
    };
  },
  /** The last plan's job on every machine of the shop; null when it was stopped, or a newer comparison was asked for. */
  async machines(
    onProgress: (progress: { done: number; of: number }) => void,
  ): Promise<MachineComparison | null> {
    const mine = ++machines;
    const inputs = last?.inputs;
    await pause(quiet);
    if (!inputs || last?.inputs !== inputs || mine !== machines) return null;
    const work = comparingMachines(inputs.job, inputs.shop, inputs.own, inputs);
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      onProgress(step.value);
      await pause();
      if (mine !== machines) return null;
    }
  },
  /** Ends the comparison of machines. */
  stopMachines(): void {
    machines++;
  },
  /**
   * The work ahead of several jobs laid over machines and people; null when a newer one was asked for, or it was stopped. Jobs are
   * planned one by one, others let in between.
   */
  async days(
    jobs: readonly { job: Job; records: JobRecord[] }[],
    { shop, rack, own }: { shop: Shop; rack: Bar[]; own: OwnHandbook },
    { start, times: worked }: { start: string; times: WorkingTimes },
    onProgress: (progress: { done: number; of: number }) => void,
  ): Promise<DaysFound | null> {
    const mine = ++days;
    const timed: OwnTimes[] = [];
    for (const { job, records } of jobs) {
      const finished = records.length > 0 ? ownTimesOf(job, records, shop, own) : null;
      if (finished) timed.push(finished);
      await pause();
      if (mine !== days) return null;
    }
    const pace = paceOf(timed);
    const ahead: Ahead[] = [];
    for (const { job, records } of jobs) {
      ahead.push(jobAhead(job, records, shop, rack, { own, pace }));
      onProgress({ done: ahead.length, of: jobs.length });
      await pause();
      if (mine !== days) return null;
    }
    const work = planningDays(ahead, start, worked);
    for (;;) {
      const step = work.next();
      if (step.done) {
        const sum = (of: keyof OwnTimes) => timed.reduce((all, t) => all + t[of], 0);
        const times = timed.length > 0 ? { taken: sum("taken"), planned: sum("planned") } : null;
        return { ahead, pace, timed: times, plan: step.value };
      }
      await pause();
      if (mine !== days) return null;
    }
  },
  /** Ends the day plan that is being worked. */
  stopDays(): void {
    days++;
  },
  /** The blanks of several jobs nested into the bars of the rack. */
  sawing(...asked: Parameters<typeof sawingList>): SawingList {
    return sawingList(...asked);
  },
  /** Ends the walk that is under way. */
  stopWalk(): void {
    walk++;
  },
};

export type Planner = typeof planner;
