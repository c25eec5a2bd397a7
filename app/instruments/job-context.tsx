import { createContext, useContext } from "react";
import type { Change, Conflict, Job } from "../../core/job/index.ts";
import type {
  ComparisonProgress,
  CutComparison,
  DrawingCost,
  Plan,
  Rehearsal,
  RehearsalProgress,
  RouteComparison,
} from "../../core/plan/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";
import type { OwnHandbook } from "../../core/handbook/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import type { Shop, ShopList } from "../../core/shop/index.ts";
import type { Record, RecordEvent } from "../../core/steps/index.ts";
import type { NotKept } from "../../store/index.ts";

/** What the job's clientAction answers: always one of these, whatever went wrong. */
export type Answer =
  | { ok: true }
  | { ok: false; conflicts: Conflict[]; invalid?: string }
  | { ok: false; conflicts: []; elsewhere: true }
  /** The browser did not keep it. */
  | { ok: false; conflicts: []; notKept: NotKept };

/** What a station knows and can do. */
export interface JobContextValue {
  job: Job;
  records: Record[];
  shop: Shop;
  /** Lists of the shop that are empty and filled from the demo shop. */
  standIns: ShopList[];
  /** Handbook values the person changed. */
  own: OwnHandbook;
  plan: Plan;
  /** A newer plan is being worked; the one shown is the last. */
  working: boolean;
  piece: number;
  unit: LengthUnit;
  /** Text typed and not understood, by path. */
  drafts: { [path: string]: string };
  keepDraft: (path: string, text: string) => void;
  /** Compares the owned cutters for a cut of the plan and works its charts. */
  compare: (key: AnyKey) => Promise<CutComparison | null>;
  /** Reckons what the drawing costs. */
  cost: () => Promise<DrawingCost | null>;
  /** Compares the schools of squaring for the block. */
  compareRoutes: (onProgress: (progress: ComparisonProgress) => void) => Promise<RouteComparison | null>;
  /** Ends that comparison. */
  stopRoutes: () => void;
  /** Obeys the told steps to the letter, from raw stock to the end. */
  walkThrough: (onProgress: (progress: RehearsalProgress) => void) => Promise<Rehearsal | null>;
  /** Ends that walk. */
  stopWalk: () => void;
  /** Plans with changes that are being typed, before they are kept; null takes them back. */
  preview: (path: string, change: Change | null) => void;
  /** Figure whose working stands in the margin. */
  focusKey: string | null;
  setFocusKey: (key: string) => void;
  /** Reason kept with changes once a cut was made. */
  reason: string;
  setReason: (reason: string) => void;
}

export const JobContext = createContext<JobContextValue | null>(null);

export function useJob(): JobContextValue {
  const value = useContext(JobContext);
  if (!value) throw new Error("a station stands outside its job");
  return value;
}

export type JobIntent =
  | { intent: "change"; changes: Change[]; reason: string }
  | { intent: "undo" | "redo" }
  | { intent: "append"; events: RecordEvent[]; lastSeen: number; piece: number };
