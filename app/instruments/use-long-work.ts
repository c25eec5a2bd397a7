import { useEffect, useState } from "react";
import type { Plan } from "../../core/plan/index.ts";

interface State<T, P> {
  found: T | null;
  progress: P | null;
  stopped: boolean;
}

/** Long work over a plan, asked for whenever the plan changes; the last answer stays until the next is there, or it was stopped. */
export function useLongWork<T, P>(
  plan: Plan,
  /** A steady function: a new one asks again. Answers null when it was stopped. */
  ask: (onProgress: (progress: P) => void) => Promise<T | null>,
) {
  const [state, setState] = useState<State<T, P>>({ found: null, progress: null, stopped: false });
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let current = true;
    const mine = (next: (before: State<T, P>) => State<T, P>) => {
      if (current) setState(next);
    };
    void ask((progress) => mine((s) => ({ ...s, progress })))
      // What could not be worked, because a file of it cannot be reached, is as if it was stopped: it can be asked for again.
      .catch(() => null)
      .then((found) => mine(() => ({ found, progress: null, stopped: found === null })));
    return () => {
      current = false;
    };
  }, [plan, ask, asked]);
  const again = () => {
    setState({ found: null, progress: null, stopped: false });
    setAsked((n) => n + 1);
  };
  return { ...state, again };
}
