import { type JobFile, readJobFile, readingsCsv, writeJobFile } from "../core/exchange/index.ts";
import { type Change, type Job, sameJson } from "../core/job/index.ts";
import { unplaced } from "../core/steps/index.ts";
import type { Phrase } from "../core/working/index.ts";
import { refused, say, words } from "../core/working/index.ts";
import { type Database, newId } from "./database.ts";
import { archivedCard, restoreJob } from "./cards.ts";
import { addJob, changeJob, loadJob, mergeRecords } from "./jobs.ts";
import { addMissing, addMissingMaterials, loadOwn, loadShop } from "./shop.ts";

export type Imported =
  | { kind: "added" | "same" | "merged"; jobId: string; added: string[] }
  /** The job is known here with other decisions: ask which to keep. */
  | { kind: "differs"; jobId: string; name: string }
  /** The job is here, archived: ask whether it is to come back as it is, or be replaced by the file. */
  | { kind: "archived"; jobId: string; name: string }
  | { kind: "refused"; reason: Phrase; suggestion: Phrase };

/** What to do when the job is known here with other decisions. */
export type OnDiffer = "ask" | "keepMine" | "takeTheirs" | "asCopy";

/**
 * Imports the text of a job file. A broken, foreign or newer file changes nothing. A job known here gets the records it
 * lacks, wherever they were written; differing decisions are asked about, and what is taken over can be undone.
 */
export async function importJobFile(
  db: Database,
  text: string,
  at: string,
  onDiffer: OnDiffer = "ask",
): Promise<Imported> {
  const outcome = readJobFile(text);
  if (!outcome.ok) return { kind: "refused", reason: outcome.reason, suggestion: outcome.suggestion };
  const file = outcome.value;
  const { job, shopUsed, ownUsed } = file;
  const came = { shopUsed, ownUsed };
  if (onDiffer === "asCopy") {
    const copy = { ...job, id: newId(), name: `${job.name} (imported)` };
    await addJob(db, copy, file.records, at, came);
    return { kind: "added", jobId: copy.id, added: await addAll(db, file) };
  }
  const archived = await archivedCard(db, job.id);
  if (archived) {
    // Nothing archived is overwritten unasked; once it is back, the file is held against it like against any other.
    if (onDiffer === "ask") return { kind: "archived", jobId: job.id, name: archived.name };
    await restoreJob(db, job.id);
  }
  const known = await loadJob(db, job.id);
  if (!known) {
    await addJob(db, job, file.records, at, came);
    return { kind: "added", jobId: job.id, added: await addAll(db, file) };
  }
  const mine = new Map(known.records.map((r) => [r.id, r]));
  const more = file.records.filter((r) => !mine.has(r.id));
  // A record is written once and never again: two of one id that differ were changed by hand.
  if (file.records.some((r) => mine.has(r.id) && !sameJson(unplaced(r), unplaced(mine.get(r.id)!)))) {
    const { reason, suggestion } = refused(
      say`"${job.name}" is already here, and the file has some of its records differently.`,
      words("Import it as a copy, and compare the two. Nothing was changed here."),
    );
    return onDiffer === "ask"
      ? { kind: "differs", jobId: job.id, name: job.name }
      : { kind: "refused", reason, suggestion };
  }
  const differing = differences(known.job, job);
  if (differing.length > 0 && onDiffer === "ask") return { kind: "differs", jobId: job.id, name: job.name };
  if (differing.length === 0 && more.length === 0) return { kind: "same", jobId: job.id, added: [] };
  await mergeRecords(db, job.id, more.map(unplaced), at);
  if (onDiffer === "takeTheirs" && differing.length > 0) {
    await changeJob(db, job.id, differing, "taken from a file", { at, by: "" });
    await db.documents.update(job.id, { imported: came });
  }
  return { kind: "merged", jobId: job.id, added: await addAll(db, file) };
}

/** What would have to be changed for one job's decisions to become the other's. */
const differences = (mine: Job, theirs: Job): Change[] =>
  (Object.keys(theirs) as (keyof Job)[])
    .filter((key) => !sameJson(mine[key], theirs[key]))
    .map((key) => ({ path: key, from: mine[key], to: theirs[key] }));

/** Adds what a file brought and is not here: equipment and own handbook values. Returns the names added. */
const addAll = async (db: Database, { shopUsed, ownUsed }: JobFile): Promise<string[]> => [
  ...(await addMissing(db, shopUsed)),
  ...(await addMissingMaterials(db, ownUsed)),
];

/** The job file of a kept job; null when there is none. The shop of an imported file comes out again as it came in. */
export async function exportJobFile(db: Database, jobId: string): Promise<string | null> {
  const kept = await loadJob(db, jobId);
  if (!kept) return null;
  const imported = (await db.documents.get(jobId))?.imported;
  const used = kept.job.part.material;
  const mine = used ? (await loadOwn(db)).materials[used] : undefined;
  return writeJobFile(kept.job, kept.records, imported?.shopUsed ?? (await loadShop(db)), {
    ...imported?.ownUsed,
    ...(used && mine ? { [used]: mine } : {}),
  });
}

/** Readings of a kept job as CSV; null when there is none. */
export async function exportReadings(db: Database, jobId: string): Promise<string | null> {
  const kept = await loadJob(db, jobId);
  return kept ? readingsCsv(kept.records, await loadShop(db)) : null;
}
