import { jobVersion } from "./job.ts";

type Document = { [key: string]: unknown };

/** A pure step from version n to n + 1. Keyed by n. */
export type Migrations = Record<number, (document: Document) => Document>;

const withoutFeatures = (job: Document): Document => ({
  ...job,
  part: { ...(job.part as Document), features: { byId: {}, order: [] } },
});

/**
 * Steps between released versions. 1 → 2: own speed, feed, cutter and direction came beside the depth; a job as it was holds.
 * 2 → 3: features came to the drawing; it had none.
 */
export const migrations: Migrations = { 1: (job) => job, 2: withoutFeatures };

export type Migrated =
  { ok: true; document: Document } | { ok: false; problem: "newer" | "unknown"; version: unknown };

/** Brings a document to the current version; refuses one that is newer than this app or has no version. */
export function migrate(
  document: Document,
  steps: Migrations = migrations,
  to: number = jobVersion,
): Migrated {
  const version = document.version;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, problem: "unknown", version };
  if (version > to) return { ok: false, problem: "newer", version };
  let current = document;
  for (let v = version; v < to; v++) {
    const step = steps[v];
    if (!step) return { ok: false, problem: "unknown", version };
    current = { ...step(current), version: v + 1 };
  }
  return { ok: true, document: current };
}
