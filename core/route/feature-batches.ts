import type { Face } from "../frame/index.ts";
import type { Feature } from "../part/index.ts";
import type { Candidate, Chosen } from "./feature-candidate.ts";
import { featureOfKey } from "./feature-key.ts";
import { comesBefore, usualPlace } from "./feature-order.ts";
import type { FeaturesAsked } from "./features-asked.ts";

export interface Late {
  candidate: Candidate;
  edge: Face;
  by: string;
}

/**
 * Features gathered into setups, no datum cut away before it was used. Within one setup the zero is known, so there the order
 * only follows the rule where it can.
 */
export function inBatches(
  chosen: readonly Chosen[],
  { site, begun, first, hosts }: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): { batches: Chosen[][]; late: Late[] } {
  const before = (one: Chosen, other: Chosen): Face | null =>
    one.option.approach === other.option.approach && one.option.up !== other.candidate.feature.face
      ? null
      : comesBefore({ ...one.candidate, up: one.option.up }, other.candidate, byId, site.sizes);
  const batches: Chosen[][] = [];
  const late: Late[] = [];
  let left = [...chosen];
  const isBegun = (c: Chosen) => begun.some((b) => featureOfKey(b.key) === c.candidate.feature.id);
  // What was begun is a fact: it stays first, in the setup it was begun in.
  const begunAt = (c: Chosen) => begun.findIndex((b) => featureOfKey(b.key) === c.candidate.feature.id);
  const cut = left.filter(isBegun).sort((a, b) => begunAt(a) - begunAt(b));
  for (const c of cut) {
    const batch = batches.find((b) => b[0]!.option.approach === c.option.approach);
    if (batch) batch.push(c);
    else batches.push([c]);
  }
  left = left.filter((c) => !isBegun(c));
  const inBatch = (c: Chosen) => batches.find((b) => b[0]!.option.approach === c.option.approach);
  for (const c of [...left]) {
    const batch = inBatch(c);
    const gone = cut
      .filter((other) => begun.some((b) => b.cut && featureOfKey(b.key) === other.candidate.feature.id))
      .filter((other) => other.option.approach !== c.option.approach)
      .map((other) => ({ other, edge: before(c, other) }))
      .find(({ edge }) => edge !== null);
    if (gone) {
      late.push({ candidate: c.candidate, edge: gone.edge!, by: gone.other.candidate.feature.id });
      left = left.filter((o) => o !== c);
    } else if (batch && batch === batches.at(-1)) {
      batch.push(c);
      left = left.filter((o) => o !== c);
    }
  }
  const isHosted = (approach: string) =>
    batches.length === 0 && hosts.some(({ setup }) => setup.at.up === approach);
  while (left.length > 0) {
    const readyIn = (approach: string): Chosen[] => {
      let ready = left.filter((c) => c.option.approach === approach);
      for (;;) {
        const kept = ready.filter((c) =>
          left.every((other) => ready.includes(other) || other === c || before(other, c) === null),
        );
        if (kept.length === ready.length) return kept;
        ready = kept;
      }
    };
    const approaches = [...new Set(left.map((c) => c.option.approach))];
    const wished = first.flatMap(
      (id) => left.find((c) => c.candidate.feature.id === id)?.option.approach ?? [],
    )[0];
    const ranked = approaches
      .map((approach) => ({ approach, ready: readyIn(approach) }))
      .filter(({ ready }) => ready.length > 0)
      .sort(
        (a, b) =>
          Number(b.approach === wished) - Number(a.approach === wished) ||
          Number(isHosted(b.approach)) - Number(isHosted(a.approach)) ||
          b.ready.length - a.ready.length,
      );
    const next = ranked[0];
    if (next) {
      batches.push(next.ready);
      left = left.filter((c) => !next.ready.includes(c));
      continue;
    }
    // Each waits for another: the one that would come too late is refused.
    const stuck = left.find((c) => left.some((other) => other !== c && before(c, other) !== null))!;
    const other = left.find((o) => o !== stuck && before(stuck, o) !== null)!;
    late.push({ candidate: stuck.candidate, edge: before(stuck, other)!, by: other.candidate.feature.id });
    left = left.filter((c) => c !== stuck);
  }
  return {
    batches: batches.map((batch) => [
      ...batch.filter(isBegun).sort((a, b) => begunAt(a) - begunAt(b)),
      ...inOrder(
        batch.filter((c) => !isBegun(c)),
        before,
        first,
      ),
    ]),
    late,
  };
}

/** Within a setup: what was wished first, what another's cut would take the edge of, then the usual order. */
function inOrder(
  batch: readonly Chosen[],
  before: (one: Chosen, other: Chosen) => Face | null,
  first: readonly string[],
): Chosen[] {
  const wish = (c: Chosen) => {
    const at = first.indexOf(c.candidate.feature.id);
    return at === -1 ? first.length : at;
  };
  const left = [...batch].sort(
    (a, b) => wish(a) - wish(b) || usualPlace(a.candidate.feature) - usualPlace(b.candidate.feature),
  );
  const made: Chosen[] = [];
  while (left.length > 0) {
    const free = left.find((c) => left.every((other) => other === c || before(other, c) === null));
    const next = free ?? left[0]!;
    made.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return made;
}
