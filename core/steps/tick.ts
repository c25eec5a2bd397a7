import { type Mm, mm, tidy } from "../quantity/index.ts";
import { type Phrase, precise, say, type Warning } from "../working/index.ts";

/** One thing of a step that is ticked when it is done. */
export interface Tick {
  id: string;
  phrase: Phrase;
  done: boolean;
  /** How near an indicator run along it has to be, mm, and the runs that were noted; left out where none is asked for. */
  run?: { within: Mm; tries: readonly Try[] };
  /** The other honest answer, where the thing can turn out otherwise. */
  other?: OtherAnswer;
}

/** An indicator run as it was noted, mm at either end. */
export interface Try {
  start: Mm;
  end: Mm;
}

/** The last run noted was out by more than may be: how much; null where it was near enough, or none was noted. */
export function outOfLine({ run }: Pick<Tick, "run">): Mm | null {
  const last = run?.tries.at(-1);
  const out = last ? tidy(Math.abs(last.end - last.start)) : 0;
  return run && out > run.within + 1e-9 ? out : null;
}

/** What a run says, and what to do. */
export function runSaid({ start, end }: Try, within: Mm): Phrase {
  const out = tidy(end - start);
  return Math.abs(out) <= within + 1e-9
    ? say`${precise(mm(Math.abs(out)), 3)} from end to end: near enough.`
    : say`${precise(mm(Math.abs(out)), 3)} ${out > 0 ? "more" : "less"} at the far end. Snug only: tap the far end ${out > 0 ? "away from" : "toward"} the indicator by that much, tighten, and run it once more.`;
}

export interface OtherAnswer {
  id: string;
  says: Phrase;
  /** What is to be done then. */
  then: Warning;
  /** It was answered so, and nothing was ticked since. */
  given: boolean;
}

/** Makes a tick; `tries` are the runs noted for it. */
export type MakeTick = (id: string, phrase: Phrase) => Tick & { tries?: readonly Try[] };

/** A tick that an indicator run proves: its runs may be noted, and it is not given while the last was out. */
export function byIndicator({ tries, ...tick }: ReturnType<MakeTick>, within: Mm): Tick {
  return { ...tick, run: { within, tries: tries ?? [] } };
}

/**
 * A tick with another answer beside it.
 * @param serves with what is to be done then the step may go on; else it waits for the tick
 */
export function answered(
  tick: Tick,
  other: { id: string; says: Phrase; then: Warning; serves: boolean },
  make: MakeTick,
): Tick {
  const { done: given } = make(other.id, other.says);
  const { serves, ...answer } = other;
  return {
    ...tick,
    done: tick.done || (serves && given),
    other: { ...answer, given: given && !tick.done },
  };
}
