import { liveQuery } from "dexie";
import type { Database } from "./database.ts";

/** Calls back whenever decisions, records or drafts of a job change, here or in another tab. Returns how to stop. */
export function watchJob(db: Database, jobId: string, onChange: () => void): () => void {
  let seen: string | undefined;
  const subscription = liveQuery(async () => {
    const document = await db.documents.get(jobId);
    const records = await db.records.where("jobId").equals(jobId).keys();
    const card = await db.jobs.get(jobId);
    return `${document?.rev ?? 0}/${records.length}/${card?.changed ?? ""}/${card?.deleted ?? ""}`;
  }).subscribe({
    next(state) {
      if (seen !== undefined && seen !== state) onChange();
      seen = state;
    },
    error: () => undefined,
  });
  return () => subscription.unsubscribe();
}
