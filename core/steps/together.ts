import type { AnyKey, Setup } from "../route/index.ts";
import { effective, partOut, type Record } from "./record.ts";

/** What is done to both of two pieces that lie in the vise at once; each is read and judged by itself. */
const ofBoth = new Set<Record["type"]>(["begun", "tick", "touched", "stale", "cut", "aligned"]);

/** Work by hand is done to each by itself. */
const byHand = /^(?:by-hand-.*|edges-filed|filed)$/;

const countsForBoth = (r: Record): boolean =>
  ofBoth.has(r.type) && !(r.type === "tick" && byHand.test(r.tick));

/** With which piece an operation of a piece was begun; null where it was begun alone, or not yet. */
export function togetherWith(records: Record[], op: AnyKey, piece: number): number | null {
  const begun = effective(records).findLast(
    (r) => r.type === "begun" && r.op === op && (r.piece === piece || r.with === piece),
  );
  if (begun?.type !== "begun" || begun.with === undefined) return null;
  return begun.piece === piece ? begun.with : begun.piece;
}

/** Records that count for a piece, in sequence: its own, and what was done to it together with another. */
export function recordsOf(records: Record[], piece: number): Record[] {
  const counting = effective(records);
  const paired = new Map<AnyKey, number>();
  for (const r of counting)
    if (r.type === "begun" && r.with !== undefined) {
      if (r.piece === piece) paired.set(r.op, r.with);
      else if (r.with === piece) paired.set(r.op, r.piece);
    }
  if (paired.size === 0) return counting.filter((r) => r.piece === piece);
  return counting.filter(
    (r) =>
      r.piece === piece || ("op" in r && r.op !== null && countsForBoth(r) && paired.get(r.op) === r.piece),
  );
}

/**
 * The piece that goes into the vise with another: the next that came out of every setup before this one, is not scrapped, and not begun
 * here. Null where none is ready.
 */
export function partnerFor(
  setup: Setup,
  piece: number,
  { pieces, setups, records }: { pieces: readonly number[]; setups: readonly Setup[]; records: Record[] },
): number | null {
  const counting = effective(records);
  const mine = new Set<AnyKey>(setup.operations.map(({ key }) => key));
  const before = setups
    .slice(0, setups.indexOf(setup))
    .flatMap((s) => (s.stays ? [] : [s.operations.at(-1)!.key]));
  const gone = (p: number) =>
    counting.some(
      (r) =>
        (r.type === "scrapped" && r.piece === p) ||
        (r.type === "begun" && mine.has(r.op) && (r.piece === p || r.with === p)),
    );
  const ready = (p: number) => {
    const its = recordsOf(records, p);
    return before.every((key) => its.some((r) => r.type === "tick" && r.op === key && r.tick === partOut));
  };
  return pieces.find((p) => p > piece && !gone(p) && ready(p)) ?? null;
}

/** The last record that says anything of a piece: its own, or of one that lay in the vise with it. Null where there is none. */
export function lastRecordOf(records: readonly Record[], piece: number): string | null {
  const concerned = new Set([piece]);
  for (const r of records)
    if (r.type === "begun" && r.with !== undefined && (r.piece === piece || r.with === piece))
      concerned.add(r.piece).add(r.with);
  return records.findLast((r) => concerned.has(r.piece))?.id ?? null;
}
