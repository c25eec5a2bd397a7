import { askGlance } from "../planner/use-plan.ts";
import { database, keepGlance, type KeptGlance, loadEquipment, loadJob } from "../../store/index.ts";

/** Works out what the bench shows of a job, and keeps it; null where the job is gone. @param madeOf what it is made of */
export async function glanceOfJob(jobId: string, madeOf: string): Promise<KeptGlance | null> {
  const db = database();
  const kept = await loadJob(db, jobId);
  if (!kept) return null;
  const { shop, own } = await loadEquipment(db);
  const { job, records } = kept;
  // Of several pieces the one that was worked on last.
  const made = await askGlance({ job, records, shop, own, piece: records.at(-1)?.piece ?? 1 });
  const glance: KeptGlance = { jobId, madeOf, ...made };
  // What cannot be kept is worked out again the next time.
  await keepGlance(db, glance).catch(() => undefined);
  return glance;
}
