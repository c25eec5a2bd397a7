import { useEffect, useState } from "react";
import { database } from "../../store/database.ts";
import type { JobCard, KeptGlance } from "../../store/index.ts";
import { listGlances } from "../../store/cards.ts";

/** What plans comes only where something is to be planned. */
const thePlanning = () => import("./glance-of-job.ts");

/** What is shown of jobs besides their cards: what is kept at once, then one after the other what is out of date. */
export function useGlances(shown: readonly JobCard[]): ReadonlyMap<string, KeptGlance> {
  const [glances, setGlances] = useState<ReadonlyMap<string, KeptGlance>>(new Map());
  // The same jobs with the same changes are looked at once.
  const asked = JSON.stringify(shown.map(({ id, changed }) => ({ id, changed })));
  useEffect(() => {
    const of = JSON.parse(asked) as Pick<JobCard, "id" | "changed">[];
    let current = true;
    const add = (some: readonly KeptGlance[]) => {
      if (current && some.length > 0)
        setGlances((before) => new Map([...before, ...some.map((kept) => [kept.jobId, kept] as const)]));
    };
    const work = async () => {
      const kept = await listGlances(
        database(),
        of.map(({ id }) => id),
      );
      add(kept);
      const fresh = new Set(kept.map(({ jobId, changed }) => `${jobId} ${changed}`));
      const old = of.filter(({ id, changed }) => !fresh.has(`${id} ${changed}`));
      if (old.length === 0) return;
      const { glanceOfJob } = await thePlanning();
      for (const card of old) {
        if (!current) return;
        const glance = await glanceOfJob(card);
        if (glance) add([glance]);
      }
    };
    // A job that cannot be planned, or a planner that cannot be reached, leaves its card as it is.
    void work().catch(() => undefined);
    return () => {
      current = false;
    };
  }, [asked]);
  return glances;
}
