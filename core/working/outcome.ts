import type { Phrase } from "./phrase.ts";

/** Why something cannot be done, and what the person can do about it. */
export interface Refusal {
  ok: false;
  reason: Phrase;
  suggestion: Phrase;
}

/** A result that can refuse. Exceptions mean a defect; expected failures are values. */
export type Outcome<T> = { ok: true; value: T } | Refusal;

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const refused = (reason: Phrase, suggestion: Phrase): Refusal => ({ ok: false, reason, suggestion });
