import type { Job } from "../job/index.ts";
import type { DayPlan } from "./day-plan.ts";

/** Jobs of one order, made to go together. */
interface JobSet {
  order: string;
  jobs: string[];
  /** When the last of it is done, in minutes of work, and which job that is; null where nothing of it is left to do. */
  last: { id: string; ends: number } | null;
}

/** What a job belongs to: its sheet up to the first comma; empty where nothing is entered. */
const orderOf = ({ sheet }: Pick<Job, "sheet">): string => sheet.split(",")[0]!.trim();

/** Orders of which more than one part is on the bench, the first to be complete first. */
export function setsOf(jobs: readonly Pick<Job, "id" | "sheet">[], planned: DayPlan["jobs"]): JobSet[] {
  const orders = new Map<string, string[]>();
  for (const job of jobs) {
    const order = orderOf(job);
    if (order !== "") orders.set(order, [...(orders.get(order) ?? []), job.id]);
  }
  return [...orders]
    .filter(([, ids]) => ids.length > 1)
    .map(([order, ids]): JobSet => {
      const left = planned.filter((p) => ids.includes(p.id) && p.ends > 0);
      const last = left.reduce<JobSet["last"]>(
        (now, { id, ends }) => (now === null || ends > now.ends ? { id, ends } : now),
        null,
      );
      return { order, jobs: ids, last };
    })
    .sort((a, b) => (a.last?.ends ?? 0) - (b.last?.ends ?? 0));
}
