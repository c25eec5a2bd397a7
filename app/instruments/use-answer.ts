import { useEffect, useState } from "react";
import { sharing } from "../../core/job/index.ts";
import type { Plan } from "../../core/plan/index.ts";

/** What is answered about a key of a plan, asked whenever key, plan or what it hangs on besides change; null until it is there. */
export function useAnswer<K extends string, T>(
  key: K | null,
  plan: Plan | null,
  /** A steady function: a new one asks again. */
  ask: (key: K) => Promise<T | null>,
  /** What it hangs on besides, that may change and nothing of the plan. */
  also?: object,
): T | null {
  const [answer, setAnswer] = useState<{ key: K; of: T | null } | null>(null);
  useEffect(() => {
    if (!key || !plan) return;
    let current = true;
    void ask(key).then((of) => {
      // An answer like the last paints nothing anew.
      if (current) setAnswer((last) => (last ? sharing(last, { key, of }) : { key, of }));
    });
    return () => {
      current = false;
    };
  }, [key, plan, ask, also]);
  return answer && answer.key === key ? answer.of : null;
}
