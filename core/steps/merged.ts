import type { KeptRecord, Record } from "./record.ts";

/**
 * Records in the order they happened, whatever order they came in: each after the one it follows, else by the clock, else by id.
 * Two devices that know the same records put them in the same order. A record that follows one that is not here stands by its
 * clock; records that follow each other in a circle, which no device writes, stand as they come.
 */
export function inOrder(kept: readonly KeptRecord[]): Record[] {
  const byId = new Map(kept.map((r) => [r.id, r]));
  const sorted = [...byId.values()].sort((a, b) => compare(a.at, b.at) || compare(a.id, b.id));
  const ordered: Record[] = [];
  const placed = new Set<string>();
  for (const record of sorted) {
    const waiting: KeptRecord[] = [];
    for (
      let r: KeptRecord | undefined = record;
      r && !placed.has(r.id);
      r = r.follows === null ? undefined : byId.get(r.follows)
    ) {
      placed.add(r.id);
      waiting.push(r);
    }
    for (const r of waiting.toReversed()) ordered.push({ ...r, seq: ordered.length + 1 });
  }
  return ordered;
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** All records of both, each once. The same id is the same record. */
export const union = (mine: readonly KeptRecord[], theirs: readonly KeptRecord[]): Record[] =>
  inOrder([...theirs, ...mine]);

/** The record's ancestors and itself: what was known where it was written. */
function known(record: Record, byId: ReadonlyMap<string, Record>): Set<string> {
  const ids = new Set<string>();
  for (
    let r: Record | undefined = record;
    r && !ids.has(r.id);
    r = r.follows === null ? undefined : byId.get(r.follows)
  )
    ids.add(r.id);
  return ids;
}

/** Whether each of two records was written where the other was not known. */
export function unseen(a: Record, b: Record, byId: ReadonlyMap<string, Record>): boolean {
  return !known(a, byId).has(b.id) && !known(b, byId).has(a.id);
}
