import { createContext, useContext, useSyncExternalStore } from "react";
import type { Job } from "../../core/job/index.ts";
import type {
  Batch,
  ComparisonProgress,
  CutComparison,
  DrawingCost,
  HoldingComparison,
  Lump,
  MachineComparison,
  PiecesSaid,
  Plan,
  Rehearsal,
  RehearsalProgress,
  RouteComparison,
  Suspicion,
} from "../../core/plan/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";
import type { OwnHandbook } from "../../core/handbook/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import type { Bar, Shop, ShopList } from "../../core/shop/index.ts";
import type { Record } from "../../core/steps/index.ts";
import type { Answer, JobIntent } from "../session/intent.ts";

/** What a field needs of the open job: steady while plans come and go, so that a plan paints no field that did not change. */
export interface EntryContextValue {
  unit: LengthUnit;
  /** Text typed and not understood, by path. */
  drafts: { [path: string]: string };
  keepDraft: (path: string, text: string) => void;
  /** Notes text that is being typed, so that a reload finds it again. */
  typing: (path: string, text: string) => void;
  /** The decisions as they are kept at this moment, without what is being typed. */
  kept: () => Job;
  /** The decisions once everything that was sent before is kept. */
  newest: () => Promise<Job>;
  /** Sends what is to be kept; answers once it is, or why not. */
  send: (intent: JobIntent) => Promise<Answer>;
  /** Plans with a value that is being typed, before it is kept; null takes it back. */
  preview: (path: string, to: { value: unknown } | null) => void;
  /** Reason kept with changes once a cut was made. */
  reason: string;
  /** What is shown at this moment: what a press goes by. */
  shown: () => Pick<JobContextValue, "job" | "records" | "piece">;
}

/** What a station knows and can do. */
export interface JobContextValue extends EntryContextValue {
  job: Job;
  records: Record[];
  shop: Shop;
  /** Bars and off-cuts owned; no plan hangs on them. */
  rack: Bar[];
  /** Lists of the shop that are empty and filled from the demo shop. */
  standIns: ShopList[];
  /** Handbook values the person changed. */
  own: OwnHandbook;
  plan: Plan;
  piece: number;
  /** Compares the owned cutters for a cut of the plan and works its charts. */
  compare: (key: AnyKey) => Promise<CutComparison | null>;
  /** Holds a setup in every way there is. */
  compareHoldings: (key: AnyKey) => Promise<HoldingComparison | null>;
  /** What most likely made the sizes of the piece what they are. */
  suspicions: () => Promise<Suspicion[][]>;
  /** Where the part lies in its lump. */
  lump: () => Promise<Lump | null>;
  /** What the readings of all pieces say together. */
  piecesSaid: () => Promise<PiecesSaid | null>;
  /** Counts the pieces and tells where each stands. */
  batch: () => Promise<Batch | null>;
  /** Reckons what the drawing costs. */
  cost: () => Promise<DrawingCost | null>;
  /** Compares the schools of squaring for the block. */
  compareRoutes: (onProgress: (progress: ComparisonProgress) => void) => Promise<RouteComparison | null>;
  /** Ends that comparison. */
  stopRoutes: () => void;
  /** Plans the job on every machine of the shop. */
  compareMachines: (
    onProgress: (progress: { done: number; of: number }) => void,
  ) => Promise<MachineComparison | null>;
  stopMachines: () => void;
  /** Obeys the told steps to the letter, from raw stock to the end. */
  walkThrough: (onProgress: (progress: RehearsalProgress) => void) => Promise<Rehearsal | null>;
  /** Ends that walk. */
  stopWalk: () => void;
  setReason: (reason: string) => void;
}

export const JobContext = createContext<JobContextValue | null>(null);
export const EntryContext = createContext<EntryContextValue | null>(null);

/** For fields: what they need, without decisions, records and plan. */
export function useEntry(): EntryContextValue {
  const value = useContext(EntryContext);
  if (!value) throw new Error("a field stands outside its job");
  return value;
}

/** Figure whose working stands in the margin. Apart from the rest: it moves with the keyboard, and only figures show it. */
export const FocusContext = createContext<{ focusKey: string | null; setFocusKey: (key: string) => void }>({
  focusKey: null,
  setFocusKey: () => undefined,
});

/** Tells whether a newer plan is being worked. Apart from the rest: it changes twice with every plan, and few show it. */
export interface WorkingState {
  subscribe: (listener: () => void) => () => void;
  working: () => boolean;
}
const idle: WorkingState = { subscribe: () => () => undefined, working: () => false };
export const WorkingContext = createContext(idle);

/** Whether a newer plan is being worked; the one shown is the last. */
export function usePlanWorking(): boolean {
  const { subscribe, working } = useContext(WorkingContext);
  return useSyncExternalStore(subscribe, working, working);
}

export function useJob(): JobContextValue {
  const value = useContext(JobContext);
  if (!value) throw new Error("a station stands outside its job");
  return value;
}
