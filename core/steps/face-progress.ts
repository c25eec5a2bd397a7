import { type Mm, tidy } from "../quantity/index.ts";
import { provenRate, type Spot } from "../inspect/index.ts";
import { type Begun, cleanUpPass, type FaceTold } from "../route/index.ts";
import { noteRun } from "./note-run.ts";
import type { Record, StaleCause } from "./record.ts";
import type { Try } from "./tick.ts";

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

/** Whether a face was found clean. */
interface Cleanup {
  clean: boolean;
  /** Passes that were cut by then. */
  after: number;
  /** Where it was still raw, seen from above as it lay, and how deep, mm, as far as it was said. */
  raw: Spot[];
  deep: Mm | null;
}

/** Past the bottom of the deepest raw spot, mm: enough that the cutter cuts there and does not rub. */
export const pastRaw: Mm = 0.1;

/** What one more pass takes off a face that is not clean: down past the raw spot where its depth is known, mm. */
export const moreFor = (deep: Mm | null): Mm => (deep === null ? cleanUpPass : tidy(deep + pastRaw));

/** Where the cut of a face that was begun stands. */
export interface FaceProgress {
  told: FaceTold;
  /** Ticks by their id, each with its place in the sequence. */
  ticks: Map<string, number>;
  /** Zero is good: touched, and nothing made it stale since. */
  zeroed: boolean;
  stale: StaleCause | null;
  stales: { cause: StaleCause; seq: number }[];
  /** Indicator runs by the tick they are for, each with its place in the sequence. */
  runs: Map<string, (Try & { seq: number })[]>;
  /** When the first pass was cut, as a place in the sequence; null before. */
  cutSince: number | null;
  /** Size the part would have with the cutter at zero, mm; put right by readings. */
  sizeAtZero: Mm;
  /** Size the part has now, mm: as read, else by where the cutter stood, else as it began. A new zero does not change it. */
  present: Mm;
  cuts: CutDone[];
  /** Readings taken after each number of passes. */
  readings: Map<number, Mm[]>;
  corrections: Correction[];
  /** Since the zero: after how many passes a size was read, where the cutter stood then, and the size; mm. */
  reads: { after: number; stop: Mm; size: Mm }[];
  /** Numbers of passes that a light one was asked for before the rest. */
  light: Set<number>;
  /** What comes off for each mm that is set: 1 until three cuts prove otherwise. */
  rate: number;
  /** Numbers of passes after which measuring was finished or left out. */
  measured: Set<number>;
  skipped: Set<number>;
  /** Answers to "is it clean all over?", each after how many passes, in order. */
  cleanups: Cleanup[];
}

export const beginFace = (told: FaceTold): FaceProgress => ({
  told,
  ticks: new Map(),
  zeroed: false,
  stale: null,
  stales: [],
  runs: new Map(),
  cutSince: null,
  sizeAtZero: told.from,
  present: told.from,
  cuts: [],
  readings: new Map(),
  corrections: [],
  reads: [],
  light: new Set(),
  rate: 1,
  measured: new Set(),
  skipped: new Set(),
  cleanups: [],
});

/** The tick by which a light pass is asked for before the pass of a number. */
export const provingTick = (pass: number): string => `prove-${pass}`;

const middleOf = (values: Mm[]): Mm => tidy((Math.max(...values) + Math.min(...values)) / 2);

/** From another zero every stop is set and locked anew, and the spindle was started since. */
function forgetSettings({ ticks, cuts }: FaceProgress): void {
  for (const tick of [...ticks.keys()]) {
    const number = /^(?:locked|rotation|wrong-way)-(\d+)$/.exec(tick)?.[1];
    if (number !== undefined && Number(number) > cuts.length) ticks.delete(tick);
  }
}

/** Where the cutter stands from zero at the present size, mm. */
export const standsAt = ({ present, sizeAtZero }: Pick<FaceProgress, "present" | "sizeAtZero">): Mm =>
  tidy(present - sizeAtZero);

/** A size read after a cut: three cuts between such readings tell whether the axis moves what it shows. */
function learnRate(state: FaceProgress, after: number): void {
  const read = { after, stop: standsAt(state), size: state.present };
  state.reads = [...state.reads.filter((r) => r.after !== after), read];
  const legs = state.reads.slice(1).map((r, i) => {
    const before = state.reads[i]!;
    return { commanded: tidy(before.stop - r.stop), took: tidy(before.size - r.size) };
  });
  state.rate = provenRate(legs) ?? state.rate;
}

/** Goes on by one record of the operation. */
export function applyToFace(state: FaceProgress, record: Record): void {
  const last = state.cuts.at(-1);
  switch (record.type) {
    case "tick":
      state.ticks.set(record.tick, record.seq);
      if (record.tick === provingTick(state.cuts.length + 1)) state.light.add(state.cuts.length + 1);
      break;
    case "touched":
      state.zeroed = true;
      state.stale = null;
      state.sizeAtZero = record.sizeAtZero;
      state.reads = [];
      forgetSettings(state);
      break;
    case "stale":
      state.zeroed = false;
      state.stale = record.cause;
      state.ticks.delete("zero-z");
      state.stales.push({ cause: record.cause, seq: record.seq });
      break;
    case "cut":
      // The same pass from another device is no further pass: the part was as deep after the first.
      if (state.cuts.some((c) => c.pass === record.pass)) break;
      state.cutSince ??= record.seq;
      state.present = tidy(state.present + (record.stop - standsAt(state)) * state.rate);
      state.sizeAtZero = tidy(state.present - record.stop);
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
      learnRate(state, passes);
      state.corrections = state.corrections.filter((c) => c.afterPass !== passes);
      state.corrections.push({
        afterPass: passes,
        readings: here,
        expected: last.expected,
        off: tidy(middleOf(here) - last.expected),
      });
      break;
    }
    case "aligned":
      noteRun(state, record);
      break;
    case "measured":
      state.measured.add(record.after);
      if (record.skipped) state.skipped.add(record.after);
      break;
    case "cleanup":
      state.cleanups.push({
        clean: record.clean,
        after: state.cuts.length,
        raw: record.raw ?? [],
        deep: record.deep ?? null,
      });
      break;
  }
}

/** Largest size read after the newest pass; null without a reading there. */
export function largestReading(state: FaceProgress): Mm | null {
  const here = state.readings.get(state.cuts.length);
  return here && state.cuts.length > 0 ? Math.max(...here) : null;
}

/** All that more passes were to take off a face that was not clean, mm. */
const moreWanted = ({ cleanups }: FaceProgress): Mm =>
  cleanups.reduce((sum, { clean, deep }) => sum + (clean ? 0 : moreFor(deep)), 0);

/** What another pass may still take off a face, mm. @param moreAllowed all that such passes may take together */
export const stillAllowed = (state: FaceProgress, moreAllowed: Mm): Mm =>
  Math.max(0, tidy(moreAllowed - moreWanted(state)));

/** What the route needs to know of an operation that was begun. */
export function begunOf(state: FaceProgress, moreAllowed: Mm): Begun {
  return {
    told: state.told,
    moreOff: tidy(Math.min(moreWanted(state), moreAllowed)),
    clean: state.cleanups.at(-1)?.clean ?? true,
    measured: largestReading(state),
  };
}
