import * as Comlink from "comlink";
import type {
  Batch,
  ComparisonProgress,
  CutComparison,
  DrawingCost,
  Glance,
  HoldingComparison,
  Lump,
  MachineComparison,
  PiecesSaid,
  Plan,
  PlanInputs,
  Rehearsal,
  RehearsalProgress,
  RouteComparison,
  SawingList,
  Suspicion,
} from "../../core/plan/index.ts";
import type { SeenPart } from "../../core/rehearse/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import type { Working } from "../../core/working/index.ts";
import { useAnswer } from "../instruments/use-answer.ts";
import { plansBy } from "./only-news.ts";
import type { DaysFound, Planner } from "./planner.ts";

let planner: Comlink.Remote<Planner> | undefined;

function thePlanner(): Comlink.Remote<Planner> {
  planner ??= Comlink.wrap<Planner>(new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }));
  return planner;
}

/** Gives the newest state to the worker, only what is new of it; answers with the plan, what did not change of it as it was. */
export const askPlan = plansBy((of) => thePlanner().plan(of));

/** The working behind a key, asked of the planner whenever key or plan change. */
export const useWorking = (key: string | null, plan: Plan | null): Working | null =>
  useAnswer(key, plan, askWorking);

/** What most likely made the sizes of the piece what they are. */
export const askSuspicions = (): Promise<Suspicion[][]> => thePlanner().suspicions();

/** Where the part lies in its lump. */
export const askLump = (): Promise<Lump | null> => thePlanner().lump();

/** What the readings of all pieces of the job say together. */
export const askPiecesSaid = (): Promise<PiecesSaid | null> => thePlanner().piecesSaid();

const askWorking = (key: string): Promise<Working | null> => thePlanner().working(key);

/** Cutters compared and charts of a cut of the last plan; null when it has no such cut. */
export const askComparison = (key: AnyKey): Promise<CutComparison | null> => thePlanner().comparison(key);

/** A setup of the last plan held in every way there is; null when it has no such setup. */
export const askHoldings = (key: AnyKey): Promise<HoldingComparison | null> => thePlanner().holdings(key);

/** Where all pieces of the last plan's job stand; null when another plan was asked for meanwhile. */
export const askBatch = (): Promise<Batch | null> => thePlanner().batch();

/** What the drawing of the last plan costs; null while it is not complete. */
export const askCost = (): Promise<DrawingCost | null> => thePlanner().cost();

/** The schools of squaring compared for the block of the last plan; null when stopped or not to be compared. */
export const askRoutes = (
  onProgress: (progress: ComparisonProgress) => void,
): Promise<RouteComparison | null> => thePlanner().routes(Comlink.proxy(onProgress));

/** The job of the last plan on every machine of the shop; null when stopped. */
export const askMachines = (
  onProgress: (progress: { done: number; of: number }) => void,
): Promise<MachineComparison | null> => thePlanner().machines(Comlink.proxy(onProgress));

export const stopMachines = (): void => void thePlanner().stopMachines();

export const stopRoutes = (): void => void thePlanner().stopRoutes();

/** What the bench shows of a job that need not be open. */
export const askGlance = (of: PlanInputs): Promise<{ glance: Glance; picture: SeenPart | null }> =>
  thePlanner().glance(of);

/** The work ahead of several jobs laid over machines and people; null when stopped. */
export const askDays = (
  jobs: Parameters<Planner["days"]>[0],
  owned: Parameters<Planner["days"]>[1],
  when: Parameters<Planner["days"]>[2],
  onProgress: Parameters<Planner["days"]>[3],
): Promise<DaysFound | null> => thePlanner().days(jobs, owned, when, Comlink.proxy(onProgress));

export const stopDays = (): void => void thePlanner().stopDays();

/** The blanks of several jobs nested into the bars of the rack. */
export const askSawing = (...asked: Parameters<Planner["sawing"]>): Promise<SawingList> =>
  thePlanner().sawing(...asked);

/** The told steps of the last plan obeyed to the letter; null when stopped. */
export const askWalk = (onProgress: (progress: RehearsalProgress) => void): Promise<Rehearsal | null> =>
  thePlanner().walkThrough(Comlink.proxy(onProgress));

export const stopWalk = (): void => void thePlanner().stopWalk();
