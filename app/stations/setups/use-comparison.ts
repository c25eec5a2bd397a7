import { useEffect, useState } from "react";
import type { ComparisonProgress, Plan, RouteComparison } from "../../../core/job/index.ts";

interface State {
  compared: RouteComparison | null;
  progress: ComparisonProgress | null;
  stopped: boolean;
}

const nothing: State = { compared: null, progress: null, stopped: false };

/** Compares the ways whenever the plan changes; the last comparison stays until the next is there, or it was stopped. */
export function useComparison(
  plan: Plan,
  /** A steady function: a new one asks again. */
  ask: (onProgress: (progress: ComparisonProgress) => void) => Promise<RouteComparison | null>,
) {
  const [state, setState] = useState<State>(nothing);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let current = true;
    const mine = (next: (before: State) => State) => {
      if (current) setState(next);
    };
    void ask((progress) => mine((s) => ({ ...s, progress }))).then((compared) =>
      mine(() => ({ compared, progress: null, stopped: compared === null })),
    );
    return () => {
      current = false;
    };
  }, [plan, ask, asked]);
  const again = () => {
    setState(nothing);
    setAsked((n) => n + 1);
  };
  return { ...state, again };
}
