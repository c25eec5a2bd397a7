import { useEffect, useState } from "react";
import { database } from "../../store/database.ts";
import type { JobCard, KeptGlance } from "../../store/index.ts";
import { equipmentSign, listGlances } from "../../store/cards.ts";

/** What plans comes only where something is to be planned. */
const theGlance = async (id: string, madeOf: string) =>
  (await import("./glance-of-job.ts")).glanceOfJob(id, madeOf);

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
      const db = database();
      const kept = await listGlances(
        db,
        of.map(({ id }) => id),
      );
      add(kept);
      const sign = await equipmentSign(db);
      const fresh = new Set(kept.map(({ jobId, madeOf }) => `${jobId} ${madeOf}`));
      for (const { id, changed } of of) {
        const madeOf = `${changed} ${sign}`;
        if (!current) return;
        if (fresh.has(`${id} ${madeOf}`)) continue;
        // A job that cannot be planned leaves its own line as it is, and no other.
        const glance = await theGlance(id, madeOf).catch(() => null);
        if (glance) add([glance]);
      }
    };
    // Where nothing can be read the cards stand as they are.
    void work().catch(() => undefined);
    return () => {
      current = false;
    };
  }, [asked]);
  return glances;
}
