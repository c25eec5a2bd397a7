import type { Mm } from "../quantity/index.ts";
import type { FeatureTold } from "../route/index.ts";
import { noteRun } from "./note-run.ts";
import type { Try } from "./tick.ts";
import { isCutTick, type Record, type StaleCause } from "./record.ts";

/** Where one begun operation of a feature stands. Places in the sequence tell what came before what. */
export interface FeatureProgress {
  told: FeatureTold;
  /** Ticks by their id, each with its place in the sequence. */
  ticks: Map<string, number>;
  stales: { cause: StaleCause; seq: number }[];
  /** Indicator runs by the tick they are for, each with its place in the sequence. */
  runs: Map<string, (Try & { seq: number })[]>;
  /** Readings by size key of the feature, in rounds: a new one begins each time measuring was finished; mm. */
  readings: Map<string, Mm[][]>;
  /** How often measuring was finished, or left out. */
  measured: number;
}

export const beginFeature = (told: FeatureTold): FeatureProgress => ({
  told,
  ticks: new Map(),
  stales: [],
  runs: new Map(),
  readings: new Map(),
  measured: 0,
});

/** Goes on by one record of the operation. */
export function applyToFeature(state: FeatureProgress, record: Record): void {
  if (record.type === "tick") state.ticks.set(record.tick, record.seq);
  else if (record.type === "stale") state.stales.push({ cause: record.cause, seq: record.seq });
  else if (record.type === "aligned") noteRun(state, record);
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

/** When the first move was cut, as a place in the sequence; null before. */
export function cutSinceOf({ ticks }: FeatureProgress): number | null {
  const cuts = [...ticks].flatMap(([tick, seq]) => (isCutTick(tick) ? [seq] : []));
  return cuts.length > 0 ? Math.min(...cuts) : null;
}

/** Whether anything was cut of an operation: a move was ticked. */
export const isCut = (state: FeatureProgress): boolean => cutSinceOf(state) !== null;
