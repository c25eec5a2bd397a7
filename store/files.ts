import { type JobFile, readJobFile, readingsCsv, writeJobFile } from "../core/exchange/index.ts";
import { sameJson } from "../core/job/index.ts";
import type { Phrase } from "../core/working/index.ts";
import { refused, say, words } from "../core/working/index.ts";
import { type Database, newId } from "./database.ts";
import { addJob, archivedCard, loadJob, restoreJob } from "./jobs.ts";
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
 * lacks; differing decisions are asked about.
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
  const parted = known.records.some((mine) => {
    const theirs = file.records.find((r) => r.seq === mine.seq);
    return theirs !== undefined && !sameJson(mine, theirs);
  });
  if (parted) {
    const { reason, suggestion } = refused(
      say`"${job.name}" was worked on both here and where the file comes from: the records differ.`,
      words("Import it as a copy, and compare the two. Nothing was changed here."),
    );
    return onDiffer === "ask"
      ? { kind: "differs", jobId: job.id, name: job.name }
      : { kind: "refused", reason, suggestion };
  }
  const sameDecisions = sameJson(known.job, job);
  if (!sameDecisions && onDiffer === "ask") return { kind: "differs", jobId: job.id, name: job.name };
  const more = file.records.filter((r) => !known.records.some((mine) => mine.seq === r.seq));
  if (sameDecisions && more.length === 0) return { kind: "same", jobId: job.id, added: [] };
  await db.transaction("rw", db.jobs, db.documents, db.records, async () => {
    await db.records.bulkPut(more.map((record) => ({ ...record, jobId: job.id })));
    if (onDiffer === "takeTheirs")
      await db.documents.put({ jobId: job.id, rev: known.rev + 1, job, imported: came });
    await db.jobs.update(
      job.id,
      onDiffer === "takeTheirs" ? { changed: at, name: job.name, sheet: job.sheet } : { changed: at },
    );
  });
  return { kind: "merged", jobId: job.id, added: await addAll(db, file) };
}

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
