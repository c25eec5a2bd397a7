import type { Plan, PlanInputs } from "../../core/plan/index.ts";
import { type Difference, differenceOf, withDifference } from "../../core/job/index.ts";

/** What changed of the inputs of a plan since it was asked for last. */
export type InputNews = Partial<PlanInputs> & Pick<PlanInputs, "piece">;
/** What changed of the plan that was answered last; whole where there was none. */
export type PlanNews = { whole: Plan } | { since: Difference | null };

const parts = ["job", "records", "shop", "own"] as const;

/** Asks a planner that remembers what it was asked and what it answered last: both sides send only what is new. */
export function plansBy(ask: (of: InputNews) => Promise<PlanNews>): (inputs: PlanInputs) => Promise<Plan> {
  let asked: PlanInputs | null = null;
  let answered: Plan | null = null;
  return async (inputs) => {
    const before = asked;
    const fresh = parts.filter((part) => inputs[part] !== before?.[part]);
    asked = inputs;
    const news = await ask({
      piece: inputs.piece,
      ...Object.fromEntries(fresh.map((part) => [part, inputs[part]])),
    }).catch((error: unknown) => {
      // It may or may not have them: the next time it gets all of it.
      asked = null;
      throw error;
    });
    answered = "whole" in news ? news.whole : (withDifference(answered, news.since) as Plan);
    return answered;
  };
}

/** The other side: plans what is asked by all that is known by then, and answers what changed of the plan. */
export function answersNews(plan: (inputs: PlanInputs) => Plan): (news: InputNews) => PlanNews {
  let known: Partial<PlanInputs> = {};
  let last: Plan | null = null;
  return (news) => {
    known = { ...known, ...news };
    const before = last;
    // Where planning fails nothing is taken for answered: the next answer is a whole one.
    last = null;
    last = plan(known as PlanInputs);
    return before ? { since: differenceOf(before, last) } : { whole: last };
  };
}
