import {
  type Applied,
  applyChanges,
  type Change,
  changeOf,
  type Conflict,
  type Job,
  newJob,
  openDocument,
  reversed,
  twinOf,
} from "../core/job/index.ts";
import type { Axis } from "../core/frame/index.ts";
import {
  cutsMetal,
  effective,
  inOrder,
  type KeptRecord,
  type Record,
  type RecordEvent,
  recordId,
  recordSchema,
  unplaced,
  upgradeRecords,
  writtenOn,
} from "../core/steps/index.ts";
import type { Database, Draft, JobDocument, JobRecord } from "./database.ts";
import { newId } from "./database.ts";
import { loadShop } from "./shop.ts";

/** Everything kept of a job. */
export interface KeptJob {
  job: Job;
  rev: number;
  records: Record[];
  /** Text typed and not understood, by path. */
  drafts: { [path: string]: string };
  changed: string;
  canUndo: boolean;
  canRedo: boolean;
}

/** Who and when, given by whoever calls: the store has no clock of its own. */
export interface Stamp {
  at: string;
  by: string;
}

/** The kept records of a job in the order they happened. */
async function recordsOf(db: Database, jobId: string): Promise<Record[]> {
  const kept = await db.records.where("jobId").equals(jobId).toArray();
  return inOrder(kept.map(({ jobId: _, ...record }): KeptRecord => record));
}

/** A record as it is kept: what its shape gained since is filled in; one that fits no shape known here stays as it is. */
function toKeep(jobId: string, record: unknown): JobRecord {
  const parsed = recordSchema.safeParse(record);
  return { ...(parsed.success ? parsed.data : (record as KeptRecord)), jobId };
}

/** The name of this browser in the records it writes: made once, and never a person's. */
async function deviceOf(db: Database): Promise<string> {
  const known = await db.settings.get("device");
  if (known) return known;
  const device = newId();
  await db.settings.put(device, "device");
  return device;
}

/** Writes events as records after those that are there. @returns all records, in their order */
async function write(
  db: Database,
  jobId: string,
  records: Record[],
  events: RecordEvent[],
  { at, by, piece }: Stamp & { piece: number },
): Promise<Record[]> {
  const device = await deviceOf(db);
  const mine = records.map(writtenOn).filter((w) => w.device === device);
  let n = Math.max(0, ...mine.map((w) => w.n));
  let follows = records.at(-1)?.id ?? null;
  const written = events.map((event): KeptRecord => {
    const record = { id: recordId(device, ++n), follows, at, by, piece, ...event };
    follows = record.id;
    return record;
  });
  await db.records.bulkAdd(written.map((record) => ({ ...record, jobId })));
  return inOrder([...records.map(unplaced), ...written]);
}

/** The job of a kept document, whatever version kept it; throws for one this app cannot know. */
function opened({ job }: JobDocument): { job: Job; migrated: boolean } {
  const document = openDocument(job);
  if (document.ok) return document;
  throw new Error(
    document.problem === "invalid"
      ? `the saved job cannot be read at ${document.at}: ${document.message}`
      : `the job was saved by a newer version of the app (${String(document.version)}): reload`,
  );
}

/**
 * Writes a document of an older version back as this one has it, once. Changes made before it speak of another shape, so that
 * undo begins anew.
 */
async function writeBackMigrated(db: Database, jobId: string): Promise<void> {
  const document = await db.documents.get(jobId);
  if (!document || !opened(document).migrated) return;
  await db.transaction("rw", db.documents, db.records, db.history, async () => {
    const now = await db.documents.get(jobId);
    if (!now) return;
    const { job, migrated } = opened(now);
    if (!migrated) return;
    await db.documents.put({ ...now, job });
    const records = await recordsOf(db, jobId);
    await db.records.bulkPut(records.map((record) => toKeep(jobId, record)));
    await db.history.where("jobId").equals(jobId).delete();
  });
}

/** Writes a job that is new here: card, document and records. */
export async function addJob(
  db: Database,
  job: Job,
  records: readonly unknown[],
  at: string,
  imported?: JobDocument["imported"],
): Promise<void> {
  await db.transaction("rw", db.jobs, db.documents, db.records, async () => {
    await db.jobs.put({
      id: job.id,
      name: job.name,
      sheet: job.sheet,
      changed: at,
      status: null,
      deleted: "",
    });
    await db.documents.put({ jobId: job.id, rev: 1, job, ...(imported ? { imported } : {}) });
    await db.records.bulkPut(upgradeRecords(records).map((record) => toKeep(job.id, record)));
  });
}

/** Makes an empty job; returns its id. */
export async function createJob(db: Database, name: string, at: string): Promise<string> {
  const shop = await loadShop(db);
  const job = newJob(newId(), name, shop.machines[0]?.id ?? "", shop.vises[0]?.id ?? "");
  await addJob(db, job, [], at);
  return job.id;
}

/** Loads a job that is on the bench; null when there is none. A document of an older version is brought up to this one. */
export async function loadJob(db: Database, jobId: string): Promise<KeptJob | null> {
  await writeBackMigrated(db, jobId);
  return db.transaction("r", keptTables(db), () => keptIn(db, jobId));
}

/** Everything that is kept of a job, the shop apart. */
const keptTables = (db: Database) => [db.jobs, db.documents, db.records, db.drafts, db.history];

/** Whether a job is on the bench: one that was archived takes nothing until it is brought back. */
const isOpen = async (db: Database, jobId: string): Promise<boolean> =>
  (await db.jobs.get(jobId))?.deleted === "";

/** Reads a job within a transaction. @param records where they are known already */
async function keptIn(db: Database, jobId: string, records?: Record[]): Promise<KeptJob | null> {
  const [document, card] = await Promise.all([db.documents.get(jobId), db.jobs.get(jobId)]);
  if (!document || !card || card.deleted) return null;
  const [drafts, undo, redo, all] = await Promise.all([
    db.drafts.where("jobId").equals(jobId).toArray(),
    lastOf(db, jobId, 0),
    firstUndone(db, jobId),
    records ?? recordsOf(db, jobId),
  ]);
  return {
    job: opened(document).job,
    rev: document.rev,
    records: all,
    drafts: Object.fromEntries(drafts.map((d) => [d.path, d.text])),
    changed: card.changed,
    canUndo: undo !== undefined,
    canRedo: redo !== undefined,
  };
}

export type Changed = { ok: true; kept: KeptJob } | { ok: false; conflicts: Conflict[]; invalid?: string };

const told = (applied: Applied & { ok: false }): Changed =>
  "invalid" in applied ? { ok: false, conflicts: [], invalid: applied.invalid } : applied;

const anyCut = (records: Record[]): boolean => effective(records).some(cutsMetal);

/** One transaction: applies, keeps for undo, logs a `changed` record once a cut was made. */
async function commit(
  db: Database,
  jobId: string,
  changes: Change[],
  reason: string,
  stamp: Stamp,
  keep: () => Promise<void>,
): Promise<Changed> {
  await writeBackMigrated(db, jobId);
  return db.transaction("rw", [...keptTables(db), db.settings], async () => {
    const document = await db.documents.get(jobId);
    if (!document || !(await isOpen(db, jobId)))
      return { ok: false as const, conflicts: [], invalid: "the job is not on the bench" };
    const applied = applyChanges(opened(document).job, changes);
    if (!applied.ok) return told(applied);
    await db.documents.put({ ...document, rev: document.rev + 1, job: applied.job });
    await db.jobs.update(jobId, { name: applied.job.name, sheet: applied.job.sheet, changed: stamp.at });
    await db.drafts.bulkDelete(changes.map(({ path }): [string, string] => [jobId, path]));
    const before = await recordsOf(db, jobId);
    const records = anyCut(before)
      ? await write(db, jobId, before, [{ type: "changed", changes, reason }], { ...stamp, piece: 1 })
      : before;
    await keep();
    return { ok: true as const, kept: (await keptIn(db, jobId, records))! };
  });
}

/**
 * Changes decisions of a job. Every current value must equal `from`, else nothing is written and the conflict is told:
 * two tabs on different fields merge, on the same field both values are shown.
 */
export async function changeJob(
  db: Database,
  jobId: string,
  changes: Change[],
  reason: string,
  stamp: Stamp,
): Promise<Changed> {
  return commit(db, jobId, changes, reason, stamp, async () => {
    // A new change makes what was undone unreachable.
    await db.history.where("[jobId+undone]").equals([jobId, 1]).delete();
    await db.history.add({ jobId, changes, at: stamp.at, undone: 0 });
  });
}

const lastOf = (db: Database, jobId: string, undone: 0 | 1) =>
  db.history.where("[jobId+undone]").equals([jobId, undone]).last();

const firstUndone = (db: Database, jobId: string) =>
  db.history.where("[jobId+undone]").equals([jobId, 1]).first();

/** Undoes the last change of decisions, or does it again. Null when there is nothing to. */
export async function undoJob(
  db: Database,
  jobId: string,
  direction: "undo" | "redo",
  stamp: Stamp,
): Promise<Changed | null> {
  await writeBackMigrated(db, jobId);
  const entry = direction === "undo" ? await lastOf(db, jobId, 0) : await firstUndone(db, jobId);
  if (!entry) return null;
  const changes = direction === "undo" ? reversed(entry.changes) : entry.changes;
  return commit(db, jobId, changes, direction === "undo" ? "undone" : "done again", stamp, async () => {
    await db.history.update(entry.id, { undone: direction === "undo" ? 1 : 0 });
  });
}

/**
 * Appends events as records. Names the last record seen, so that two tabs cannot both say "cut done".
 * @param lastSeen id of that record; null where there was none
 * @returns the job as it is kept from now on; null, with nothing written, when another record came in between
 */
export async function appendRecords(
  db: Database,
  jobId: string,
  events: RecordEvent[],
  lastSeen: string | null,
  piece: number,
  stamp: Stamp,
): Promise<KeptJob | null> {
  await writeBackMigrated(db, jobId);
  return db.transaction("rw", [...keptTables(db), db.settings], async () => {
    const before = await recordsOf(db, jobId);
    if ((before.at(-1)?.id ?? null) !== lastSeen || !(await isOpen(db, jobId))) return null;
    const records = await write(db, jobId, before, events, { ...stamp, piece });
    await db.jobs.update(jobId, { changed: stamp.at });
    return keptIn(db, jobId, records);
  });
}

/** Puts records of another device to those that are here; each is kept once, whatever order they come in. */
export async function mergeRecords(
  db: Database,
  jobId: string,
  records: readonly KeptRecord[],
  at: string,
): Promise<void> {
  await db.transaction("rw", db.jobs, db.records, async () => {
    const known = new Set((await recordsOf(db, jobId)).map((r) => r.id));
    const more = records.filter((r) => !known.has(r.id));
    if (more.length === 0) return;
    await db.records.bulkAdd(more.map((record) => toKeep(jobId, record)));
    await db.jobs.update(jobId, { changed: at });
  });
}

/** Keeps typed text that was not understood; empty text forgets it. */
export async function keepDraft(db: Database, draft: Draft): Promise<void> {
  if (draft.text === "") await db.drafts.delete([draft.jobId, draft.path]);
  else await db.drafts.put(draft);
}

/** Copies a job's decisions into a new job without records. */
export async function copyJob(db: Database, jobId: string, at: string): Promise<string | null> {
  const kept = await loadJob(db, jobId);
  if (!kept) return null;
  const job = { ...kept.job, id: newId(), name: `${kept.job.name} (copy)` };
  await addJob(db, job, [], at);
  return job.id;
}

/**
 * Makes the mirrored twin of a job and links the two; what was linked before stays. Returns its id, or null where the job is gone or
 * was changed meanwhile.
 */
export async function makeTwin(
  db: Database,
  jobId: string,
  axis: Axis,
  stamp: Stamp,
): Promise<string | null> {
  const kept = await loadJob(db, jobId);
  if (!kept) return null;
  const { job } = kept;
  const { twin, mate } = twinOf(job, axis, { job: newId(), here: newId(), there: newId() });
  const { order } = job.part.mates;
  const linked = await changeJob(
    db,
    jobId,
    [
      changeOf(job, `part/mates/byId/${mate.id}`, mate),
      changeOf(job, "part/mates/order", [...order, mate.id]),
    ],
    "",
    stamp,
  );
  if (!linked.ok) return null;
  await addJob(db, twin, [], stamp.at);
  return twin.id;
}
