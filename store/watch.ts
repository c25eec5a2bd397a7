import { liveQuery } from "dexie";
import type { Database } from "./database.ts";
import { type Equipment, loadEquipment } from "./shop.ts";

/** State of a job as kept: its revision, its number of records, its time of change. Two equal ones hold the same job. */
export const jobState = (rev: number, records: number, changed: string): string =>
  `${rev}/${records}/${changed}`;

/** Calls back with the state of a job whenever it changes, here or in another tab. Returns how to stop. */
export function watchJob(db: Database, jobId: string, onState: (state: string) => void): () => void {
  const subscription = liveQuery(async () => {
    const document = await db.documents.get(jobId);
    const records = await db.records.where("jobId").equals(jobId).count();
    const card = await db.jobs.get(jobId);
    return card?.deleted ? "put away" : jobState(document?.rev ?? 0, records, card?.changed ?? "");
  }).subscribe({ next: onState, error: () => undefined });
  return () => subscription.unsubscribe();
}

/** Calls back with what plans reckon with whenever the shop or own values change, here or in another tab. */
export function watchEquipment(db: Database, onChange: (equipment: Equipment) => void): () => void {
  const subscription = liveQuery(() => loadEquipment(db)).subscribe({
    next: onChange,
    error: () => undefined,
  });
  return () => subscription.unsubscribe();
}
