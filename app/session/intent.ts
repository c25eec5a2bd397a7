import type { Change, Conflict } from "../../core/job/index.ts";
import type { RecordEvent } from "../../core/steps/index.ts";
import type { NotKept } from "../../store/index.ts";

/** What a person wants kept of the open job. */
export type JobIntent =
  | { intent: "change"; changes: Change[]; reason: string }
  | { intent: "undo" | "redo" }
  /** Things that happened to a piece, as seen after the record `seen`; null where there was none. */
  | { intent: "append"; events: RecordEvent[]; seen: string | null; piece: number };

/** What became of it: always one of these, whatever went wrong. */
export type Answer =
  | { ok: true }
  /** Another tab changed the same, or what is left would be no job. */
  | { ok: false; conflicts: Conflict[]; invalid?: string }
  /** Another tab wrote a record first. */
  | { ok: false; conflicts: []; elsewhere: true }
  /** Nothing to undo, or what was changed since stands in the way. */
  | { ok: false; conflicts: Conflict[]; undone: true }
  /** The browser did not keep it. */
  | { ok: false; conflicts: []; notKept: NotKept };

/** What an intent was to save, so that it can be entered again. */
export function whatOf(intent: JobIntent): string {
  if (intent.intent !== "append") return "Your last change";
  const told = intent.events.flatMap((e) =>
    e.type === "reading"
      ? [`The reading ${e.written.text} ${e.written.unit}`]
      : e.type === "note"
        ? [`The note "${e.text}"`]
        : [],
  );
  return told.length > 0 ? told.join(", ") : "Your last answer at the machine";
}
