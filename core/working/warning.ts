import type { Phrase } from "./phrase.ts";

/** How much a warning asks: note is good to know, warn can spoil the part or hurt, stop blocks the step. */
export type Severity = "note" | "warn" | "stop";

export interface Warning {
  severity: Severity;
  /** Carries the id of its rule. */
  phrase: Phrase;
}

export const note = (phrase: Phrase): Warning => ({ severity: "note", phrase });
export const warn = (phrase: Phrase): Warning => ({ severity: "warn", phrase });
export const stop = (phrase: Phrase): Warning => ({ severity: "stop", phrase });
