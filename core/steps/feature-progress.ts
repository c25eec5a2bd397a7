import type { Mm } from "../quantity/index.ts";
import { type FeatureKey, type FeatureTold, isFaceKey } from "../route/index.ts";
import { effective, isCutTick, type Record, type StaleCause } from "./record.ts";

/** Where one begun operation of a feature stands. Places in the sequence tell what came before what. */
export interface FeatureProgress {
  told: FeatureTold;
  /** Ticks by their id, each with its place in the sequence. */
  ticks: Map<string, number>;
  stales: { cause: StaleCause; seq: number }[];
  /** Readings by size key of the feature, in rounds: a new one begins each time measuring was finished; mm. */
  readings: Map<string, Mm[][]>;
  /** How often measuring was finished, or left out. */
  measured: number;
}

/** Folds the records of one piece into the state of each begun operation of a feature, in the order they began. */
export function foldFeatures(records: Record[], piece: number): Map<FeatureKey, FeatureProgress> {
  const all = new Map<FeatureKey, FeatureProgress>();
  for (const record of effective(records)) {
    if (record.piece !== piece || !("op" in record) || record.op === null || isFaceKey(record.op)) continue;
    if (record.type === "featureBegun") {
      if (!all.has(record.op))
        all.set(record.op, {
          told: record.told,
          ticks: new Map(),
          stales: [],
          readings: new Map(),
          measured: 0,
        });
      continue;
    }
    const state = all.get(record.op);
    if (!state) continue;
    if (record.type === "tick") state.ticks.set(record.tick, record.seq);
    else if (record.type === "stale") state.stales.push({ cause: record.cause, seq: record.seq });
    else if (record.type === "measured") state.measured += 1;
    else if (record.type === "reading") {
      const size = record.of.split("/")[1] ?? record.of;
      const rounds = state.readings.get(size) ?? [];
      const now = state.measured;
      state.readings.set(
        size,
        Array.from({ length: Math.max(rounds.length, now + 1) }, (_, i) =>
          i === now ? [...(rounds[i] ?? []), record.value] : (rounds[i] ?? []),
        ),
      );
    }
  }
  return all;
}

/** Whether anything was cut of an operation: a move was ticked. */
export const isCut = ({ ticks }: FeatureProgress): boolean => [...ticks.keys()].some(isCutTick);
