import type { Change } from "../steps/index.ts";
import { type Job, jobSchema } from "./job.ts";

type Json = Change["from"];

/** Whether two JSON values are the same, whatever the order of their keys. */
export function sameJson(a: unknown, b: unknown): boolean {
  // 0 and −0 are the same once written.
  if (a === b || Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  const [ka, kb] = [Object.keys(a), Object.keys(b)];
  if (Array.isArray(a) !== Array.isArray(b) || ka.length !== kb.length) return false;
  return ka.every((key) => key in b && sameJson((a as never)[key], (b as never)[key]));
}

/** The value at a slash-separated path; null where there is none. */
export function valueAt(root: unknown, path: string): Json {
  let value: unknown = root;
  for (const key of path.split("/")) {
    if (typeof value !== "object" || value === null || !Object.hasOwn(value, key)) return null;
    value = (value as { [key: string]: unknown })[key];
  }
  return (value ?? null) as Json;
}

function withValue(root: unknown, keys: string[], to: Json): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return to;
  const base = typeof root === "object" && root !== null ? (root as { [key: string]: unknown }) : {};
  if (rest.length === 0 && to === null && !Object.hasOwn(base, key)) return base;
  return { ...base, [key]: withValue(Object.hasOwn(base, key) ? base[key] : undefined, rest, to) };
}

function withoutKey(root: unknown, keys: string[]): unknown {
  const [key, ...rest] = keys;
  if (key === undefined || typeof root !== "object" || root === null) return root;
  const base = { ...(root as { [key: string]: unknown }) };
  if (rest.length === 0) delete base[key];
  else base[key] = withoutKey(base[key], rest);
  return base;
}

/** Paths below these are collections by id: null means the entry is gone, not that it is null. */
const collections = [
  /^overrides\/byId\/[^/]+$/,
  /^part\/(features|mates|form|shaft)\/byId\/[^/]+$/,
  /^stock\/points\/byId\/[^/]+$/,
  /^stock\/cores\/byId\/[^/]+$/,
  /^handwork\/byId\/[^/]+$/,
  /^quote\/terms\/byId\/[^/]+$/,
];

const isOrder = (value: Json): value is string[] =>
  Array.isArray(value) && value.every((id) => typeof id === "string");

/**
 * An order that both sides changed: what one added or took away is added or taken away in the other's too. Null where it was only
 * turned round, which has no middle.
 */
function mergedOrder(current: Json, from: Json, to: Json): string[] | null {
  if (!isOrder(current) || !isOrder(from) || !isOrder(to)) return null;
  const added = to.filter((id) => !from.includes(id));
  const gone = from.filter((id) => !to.includes(id));
  if (added.length === 0 && gone.length === 0) return null;
  const merged = current.filter((id) => !gone.includes(id));
  for (const id of added) {
    if (merged.includes(id)) continue;
    const before = to.slice(0, to.indexOf(id)).findLast((b) => merged.includes(b));
    merged.splice(before === undefined ? 0 : merged.indexOf(before) + 1, 0, id);
  }
  return merged;
}

export interface Conflict {
  path: string;
  /** What this side saw and wanted, and what stands there now. */
  yours: Json;
  theirs: Json;
}

export type Applied =
  | { ok: true; job: Job }
  | { ok: false; conflicts: Conflict[] }
  | { ok: false; conflicts: []; invalid: string };

/**
 * Applies changes to a job. Every current value must equal `from`, else nothing is written and each difference is told.
 * The result must still be a valid job.
 */
export function applyChanges(job: Job, changes: Change[]): Applied {
  const conflicts: Conflict[] = [];
  let next: unknown = job;
  for (const { path, from, to } of changes) {
    const current = valueAt(next, path);
    let wanted = to;
    if (!sameJson(current, from)) {
      if (sameJson(current, to)) continue; // both sides made the same change
      const merged = path.endsWith("/order") ? mergedOrder(current, from, to) : null;
      if (!merged) {
        conflicts.push({ path, yours: to, theirs: current });
        continue;
      }
      wanted = merged;
    }
    const keys = path.split("/");
    next =
      wanted === null && collections.some((pattern) => pattern.test(path))
        ? withoutKey(next, keys)
        : withValue(next, keys, wanted);
  }
  if (conflicts.length > 0) return { ok: false, conflicts };
  const parsed = jobSchema.safeParse(next);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return {
      ok: false,
      conflicts: [],
      invalid: `${issue?.path.join("/") ?? ""}: ${issue?.message ?? "not valid"}`,
    };
  }
  return { ok: true, job: parsed.data };
}

/** The same changes the other way round and in reverse order: what undo applies. */
export const reversed = (changes: Change[]): Change[] =>
  changes.toReversed().map(({ path, from, to }) => ({ path, from: to, to: from }));

/** A change of one path against the job as seen. */
export const changeOf = (job: Job, path: string, to: unknown): Change => ({
  path,
  from: valueAt(job, path),
  to: to as Json,
});
