import type { Phrase } from "../core/working/index.ts";
import { type Database, type JobCard, type KeptGlance, shopKey } from "./database.ts";

/** What the bench needs: cards and settings, and nothing of what a job is made of. */

/** Cards of the jobs on the bench, the newest change first. */
export async function listJobs(db: Database): Promise<JobCard[]> {
  const cards = await db.jobs.where("deleted").equals("").toArray();
  return cards.sort((a, b) => (a.changed < b.changed ? 1 : -1));
}

export async function listDeleted(db: Database): Promise<JobCard[]> {
  return (await db.jobs.where("deleted").above("").toArray()).sort((a, b) =>
    a.deleted < b.deleted ? 1 : -1,
  );
}

/** The status line of a job's card, as the newest plan says it. Does not touch the time of change. */
export async function setStatus(db: Database, jobId: string, status: Phrase): Promise<void> {
  await db.jobs.update(jobId, { status });
}

/** A sign of shop and own handbook values as they are kept at this moment: another one where anything of them changed. */
export async function equipmentSign(db: Database): Promise<string> {
  // No plan hangs on what lies in the rack.
  const text = JSON.stringify([{ ...(await db.shop.get(shopKey)), bars: null }, await db.own.get(shopKey)]);
  // FNV-1a, 32 bits: a change that is missed costs a bench line its newest minutes, no more.
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return `${text.length}.${hash.toString(36)}`;
}

/** What is kept to be shown of some jobs, each as of its last change or of an earlier one. */
export const listGlances = async (db: Database, ids: string[]): Promise<KeptGlance[]> =>
  (await db.glances.bulkGet(ids)).flatMap((kept) => kept ?? []);

export const keepGlance = async (db: Database, kept: KeptGlance): Promise<void> =>
  void (await db.glances.put(kept));

/** The card of a job that was archived; null when it is on the bench or not here. */
export async function archivedCard(db: Database, jobId: string): Promise<JobCard | null> {
  const card = await db.jobs.get(jobId);
  return card?.deleted ? card : null;
}

/** Most tags of a job, and the longest one. */
const mostTags = 12;
const longestTag = 40;

/** Tags as they were typed, one after another with commas: each once, in their order. */
export const tagsIn = (text: string): string[] =>
  [
    ...new Set(
      text
        .split(",")
        .map((tag) => tag.trim().slice(0, longestTag))
        .filter((tag) => tag !== ""),
    ),
  ].slice(0, mostTags);

export const setTags = async (db: Database, jobId: string, tags: string[]): Promise<void> =>
  void (await db.jobs.update(jobId, { tags }));

/** Puts a job away; it can be brought back. */
export async function deleteJob(db: Database, jobId: string, at: string): Promise<void> {
  await db.jobs.update(jobId, { deleted: at });
}

export async function restoreJob(db: Database, jobId: string): Promise<void> {
  await db.jobs.update(jobId, { deleted: "" });
}

export const getSetting = async (db: Database, key: string): Promise<string> =>
  (await db.settings.get(key)) ?? "";
export const setSetting = async (db: Database, key: string, value: string): Promise<void> =>
  void (await db.settings.put(value, key));
