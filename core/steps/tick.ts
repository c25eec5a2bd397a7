import type { Phrase, Warning } from "../working/index.ts";

/** One thing of a step that is ticked when it is done. */
export interface Tick {
  id: string;
  phrase: Phrase;
  done: boolean;
  /** The other honest answer, where the thing can turn out otherwise. */
  other?: OtherAnswer;
}

export interface OtherAnswer {
  id: string;
  says: Phrase;
  /** What is to be done then. */
  then: Warning;
  /** It was answered so, and nothing was ticked since. */
  given: boolean;
}

export type MakeTick = (id: string, phrase: Phrase) => Tick;

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
