import * as Comlink from "comlink";
import { useEffect, useRef, useState } from "react";
import type {
  ComparisonProgress,
  CutComparison,
  DrawingCost,
  Plan,
  PlanInputs,
  Rehearsal,
  RehearsalProgress,
  RouteComparison,
} from "../../core/plan/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import type { Working } from "../../core/working/index.ts";
import { useAnswer } from "../instruments/use-answer.ts";
import type { Planner } from "./worker.ts";

let planner: Comlink.Remote<Planner> | undefined;

function thePlanner(): Comlink.Remote<Planner> {
  planner ??= Comlink.wrap<Planner>(new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }));
  return planner;
}

export interface Planned {
  /** The last plan; null until the first one is there. */
  plan: Plan | null;
  /** A newer plan is being worked. */
  working: boolean;
  /** What went wrong in the planner: a defect, not a refusal. */
  failed: string | null;
}

/** Plans in the worker; the latest inputs win, the last plan stays on screen meanwhile. */
export function usePlan(inputs: PlanInputs): Planned {
  const [state, setState] = useState<{ plan: Plan | null; of: PlanInputs | null; failed: string | null }>({
    plan: null,
    of: null,
    failed: null,
  });
  const latest = useRef(0);
  useEffect(() => {
    const mine = ++latest.current;
    const sent = performance.now();
    thePlanner()
      .plan(inputs)
      .then((plan) => {
        if (mine !== latest.current) return;
        performance.measure("replan", { start: sent });
        setState({ plan, of: inputs, failed: null });
      })
      .catch((error: unknown) => {
        if (mine === latest.current) setState((s) => ({ plan: s.plan, of: inputs, failed: String(error) }));
      });
  }, [inputs]);
  return { plan: state.plan, working: state.of !== inputs, failed: state.failed };
}

/** The working behind a key, asked of the planner whenever key or plan change. */
export const useWorking = (key: string | null, plan: Plan | null): Working | null =>
  useAnswer(key, plan, askWorking);

const askWorking = (key: string): Promise<Working | null> => thePlanner().working(key);

/** Cutters compared and charts of a cut of the last plan; null when it has no such cut. */
export const askComparison = (key: AnyKey): Promise<CutComparison | null> => thePlanner().comparison(key);

/** What the drawing of the last plan costs; null while it is not complete. */
export const askCost = (): Promise<DrawingCost | null> => thePlanner().cost();

/** The schools of squaring compared for the block of the last plan; null when stopped or not to be compared. */
export const askRoutes = (
  onProgress: (progress: ComparisonProgress) => void,
): Promise<RouteComparison | null> => thePlanner().routes(Comlink.proxy(onProgress));

export const stopRoutes = (): void => void thePlanner().stopRoutes();

/** The told steps of the last plan obeyed to the letter; null when stopped. */
export const askWalk = (onProgress: (progress: RehearsalProgress) => void): Promise<Rehearsal | null> =>
  thePlanner().walkThrough(Comlink.proxy(onProgress));

export const stopWalk = (): void => void thePlanner().stopWalk();
