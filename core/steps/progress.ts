import { type Mm, tidy } from "../quantity/index.ts";
import { type Begun, cleanUpPass, isFaceKey, type OperationKey, type Told } from "../route/index.ts";
import { effective, type Record, type StaleCause } from "./record.ts";

export interface CutDone {
  pass: number;
  stop: Mm;
  last: boolean;
  /** Size the part should have after it, mm, by what was known then. */
  expected: Mm;
}

/** How a reading moved the rest of the passes. */
export interface Correction {
  afterPass: number;
  readings: Mm[];
  expected: Mm;
  /** Measured − expected: positive when the cut took less than it should. */
  off: Mm;
}

/** Where one begun operation stands. */
export interface Progress {
  told: Told;
  ticks: Set<string>;
  /** Zero is good: touched, and nothing made it stale since. */
  zeroed: boolean;
  stale: StaleCause | null;
  /** How often the part or a clamp moved since it began. */
  moves: number;
  /** Size the part would have with the cutter at zero, mm; put right by readings. */
  sizeAtZero: Mm;
  /** Size the part has now, mm: as read, else by where the cutter stood, else as it began. A new zero does not change it. */
  present: Mm;
  cuts: CutDone[];
  /** Readings taken after each number of passes. */
  readings: Map<number, Mm[]>;
  corrections: Correction[];
  /** Numbers of passes after which measuring was finished or left out. */
  measured: Set<number>;
  skipped: Set<number>;
  /** Answers to "is it clean all over?", each after how many passes, in order. */
  cleanups: { clean: boolean; after: number }[];
}

const begin = (told: Told): Progress => ({
  told,
  ticks: new Set(),
  zeroed: false,
  stale: null,
  moves: 0,
  sizeAtZero: told.from,
  present: told.from,
  cuts: [],
  readings: new Map(),
  corrections: [],
  measured: new Set(),
  skipped: new Set(),
  cleanups: [],
});

/** Ticks that must be made again when the part or a clamp moved. */
export const clampTicks = [
  "tight",
  "tapped",
  "tried",
  "tried-loose",
  "squared",
  "aligned",
  "held",
  "rechecked",
];

const middleOf = (values: Mm[]): Mm => tidy((Math.max(...values) + Math.min(...values)) / 2);

/** Folds the records of one piece into the state of each begun operation, in the order they began. */
export function foldProgress(records: Record[], piece: number): Map<OperationKey, Progress> {
  const all = new Map<OperationKey, Progress>();
  for (const record of effective(records)) {
    if (record.piece !== piece || !("op" in record) || record.op === null || !isFaceKey(record.op)) continue;
    if (record.type === "begun") {
      if (!all.has(record.op)) all.set(record.op, begin(record.told));
      continue;
    }
    const state = all.get(record.op);
    if (state) applyRecord(state, record);
  }
  return all;
}

function applyRecord(state: Progress, record: Record): void {
  const last = state.cuts.at(-1);
  switch (record.type) {
    case "tick":
      state.ticks.add(record.tick);
      break;
    case "touched":
      state.zeroed = true;
      state.stale = null;
      state.sizeAtZero = record.sizeAtZero;
      break;
    case "stale":
      state.zeroed = false;
      state.stale = record.cause;
      state.ticks.delete("zero-z");
      if (record.cause === "moved") {
        state.moves++;
        clampTicks.forEach((tick) => state.ticks.delete(tick));
      }
      break;
    case "cut":
      state.present = tidy(state.sizeAtZero + record.stop);
      state.cuts.push({
        pass: record.pass,
        stop: record.stop,
        last: record.last,
        expected: state.present,
      });
      break;
    case "reading": {
      if (record.of === "squareness") break;
      const passes = state.cuts.length;
      const here = [...(state.readings.get(passes) ?? []), record.value];
      state.readings.set(passes, here);
      // Zero and what is read belong together: how far the part is off, the zero is off.
      state.sizeAtZero = tidy(state.sizeAtZero + middleOf(here) - state.present);
      state.present = middleOf(here);
      if (!last) break;
      state.corrections = state.corrections.filter((c) => c.afterPass !== passes);
      state.corrections.push({
        afterPass: passes,
        readings: here,
        expected: last.expected,
        off: tidy(middleOf(here) - last.expected),
      });
      break;
    }
    case "measured":
      state.measured.add(record.after);
      if (record.skipped) state.skipped.add(record.after);
      break;
    case "cleanup":
      state.cleanups.push({ clean: record.clean, after: state.cuts.length });
      break;
  }
}

/** Largest size read after the newest pass; null without a reading there. */
export function largestReading(state: Progress): Mm | null {
  const here = state.readings.get(state.cuts.length);
  return here && state.cuts.length > 0 ? Math.max(...here) : null;
}

/** What the route needs to know of an operation that was begun. */
export function begunOf(state: Progress, moreAllowed: Mm): Begun {
  const notClean = state.cleanups.filter((c) => !c.clean).length;
  return {
    told: state.told,
    moreOff: tidy(Math.min(notClean * cleanUpPass, moreAllowed)),
    clean: state.cleanups.at(-1)?.clean ?? true,
    measured: largestReading(state),
  };
}
