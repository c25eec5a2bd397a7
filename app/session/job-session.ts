import {
  applyChanges,
  type Change,
  type Conflict,
  type Job,
  sameJson,
  sharing,
  valueAt,
} from "../../core/job/index.ts";
import type { Record } from "../../core/steps/index.ts";
import {
  appendRecords,
  changeJob,
  type Database,
  type Equipment,
  getSetting,
  jobState,
  keepDraft as storeDraft,
  type KeptJob,
  loadEquipment,
  loadJob,
  undoJob,
  watchEquipment,
  watchJob,
  whyNotKept,
  type NotKept,
} from "../../store/index.ts";
import { type Answer, type JobIntent, whatOf } from "./intent.ts";
import { noteTyping, typingLeft } from "./unsaved-text.ts";

/** What could not be kept and has to be said, until the person has read or settled it. */
export type Trouble =
  | { what: "notKept"; why: NotKept; of: string }
  | { what: "conflict"; conflicts: Conflict[]; reason: string }
  | { what: "elsewhere"; of: string }
  | { what: "undo" }
  | { what: "invalid"; why: string };

/** All that is known of the open job, the same thing until something of it changes. */
export interface SessionState {
  /** The decisions as they are kept. */
  job: Job;
  /** The same with what is being typed. */
  typed: Job;
  rev: number;
  records: Record[];
  drafts: { [path: string]: string };
  /** ISO time of the last change. */
  changed: string;
  canUndo: boolean;
  canRedo: boolean;
  equipment: Equipment;
  trouble: Trouble | null;
  /** It was put away, here or in another tab. */
  gone: boolean;
}

/**
 * The open job: one place that holds its document, what is being typed, and its records, and through which all changes of them
 * go, one after another. What other tabs write comes in by itself.
 */
export class JobSession {
  #state: SessionState;
  readonly #db: Database;
  /** What is being typed, by path. */
  readonly #typing = new Map<string, Change["to"]>();
  readonly #listeners = new Set<() => void>();
  readonly #troubles: Trouble[] = [];
  readonly #answers = new Map<number, (answer: Answer) => void>();
  #tickets = 0;
  #queue: Promise<unknown> = Promise.resolve();
  readonly #stops: (() => void)[];

  private constructor(db: Database, kept: KeptJob, equipment: Equipment) {
    this.#db = db;
    this.#state = { ...kept, typed: kept.job, equipment, trouble: null, gone: false };
    const { id } = kept.job;
    this.#stops = [
      watchJob(db, id, (state) => void this.#after(() => this.#follow(state))),
      watchEquipment(db, (now) => this.#put({ equipment: sharing(this.#state.equipment, now) })),
    ];
  }

  /** Opens a job that is on the bench; null when there is none of this id. */
  static async open(db: Database, jobId: string): Promise<JobSession | null> {
    const left = typingLeft(jobId);
    if (left) {
      // From now on a draft like any other: what is typed next takes its place.
      await storeDraft(db, { jobId, ...left }).then(
        () => noteTyping(jobId, null),
        () => undefined,
      );
    }
    const kept = await loadJob(db, jobId);
    return kept ? new JobSession(db, kept, await loadEquipment(db)) : null;
  }

  get state(): SessionState {
    return this.#state;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Listens to nothing any more. What is being kept is still kept. */
  close(): void {
    for (const stop of this.#stops) stop();
  }

  /** A number for what is to be sent; `answered` tells by it what became of it. */
  ticket(): number {
    return ++this.#tickets;
  }

  answered(ticket: number): Promise<Answer> {
    return new Promise((resolve) => this.#answers.set(ticket, resolve));
  }

  /** Keeps what a person wants, after what was wanted before. Total: what goes wrong is an answer, and said in the frame. */
  commit(intent: JobIntent, ticket?: number): Promise<Answer> {
    return this.#after(async () => {
      const answer = await this.#write(intent).catch((error: unknown): Answer => {
        console.error(error);
        const notKept = whyNotKept(error);
        if (intent.intent === "change") this.#typed(intent.changes);
        this.#say({ what: "notKept", why: notKept, of: whatOf(intent) });
        return { ok: false, conflicts: [], notKept };
      });
      if (ticket !== undefined) {
        this.#answers.get(ticket)?.(answer);
        this.#answers.delete(ticket);
      }
      return answer;
    });
  }

  /** Plans with a value that is being typed, before it is kept; null takes it back. */
  readonly preview = (path: string, to: { value: unknown } | null): void => {
    if (to) this.#typing.set(path, to.value as Change["to"]);
    else if (!this.#typing.delete(path)) return;
    this.#put({});
  };

  /** Keeps typed text that was not understood; empty text forgets it. */
  readonly keepDraft = (path: string, text: string): void => {
    noteTyping(this.#state.job.id, null);
    if (text === (this.#state.drafts[path] ?? "")) return;
    const { [path]: _, ...others } = this.#state.drafts;
    this.#put({ drafts: text === "" ? others : { ...others, [path]: text } });
    void this.#after(() => storeDraft(this.#db, { jobId: this.#state.job.id, path, text })).catch(
      (error: unknown) => {
        // A draft that is only forgotten takes nothing with it.
        if (text !== "")
          this.#say({ what: "notKept", why: whyNotKept(error), of: `What you typed, "${text}",` });
      },
    );
  };

  /** Notes what is being typed, at once: a reload finds it again. */
  readonly typing = (path: string, text: string): void => noteTyping(this.#state.job.id, { path, text });

  readonly kept = (): Job => this.#state.job;

  /** The decisions once everything that was sent before is kept. */
  readonly newest = (): Promise<Job> => this.#after(() => Promise.resolve(this.#state.job));

  /** The person has read what could not be kept, or settled it: the next is told. */
  readonly settled = (): void => {
    this.#troubles.shift();
    this.#put({ trouble: this.#troubles[0] ?? null });
  };

  /** Says what could not be kept; what was said before stands until it was read. */
  #say(trouble: Trouble): void {
    this.#troubles.push(trouble);
    this.#put({ trouble: this.#troubles[0]! });
  }

  /** Does one thing after another, so that each sees what the one before has kept. */
  #after<T>(work: () => Promise<T>): Promise<T> {
    const done = this.#queue.then(work);
    this.#queue = done.catch(() => undefined);
    return done;
  }

  async #write(intent: JobIntent): Promise<Answer> {
    const { id } = this.#state.job;
    const stamp = { at: new Date().toISOString(), by: await getSetting(this.#db, "name") };
    switch (intent.intent) {
      case "change": {
        const changed = await changeJob(this.#db, id, intent.changes, intent.reason, stamp);
        this.#typed(intent.changes);
        if (changed.ok) {
          this.#take(changed.kept, new Set(intent.changes.map((c) => c.path)));
          return { ok: true };
        }
        const { conflicts, invalid } = changed;
        this.#say(
          invalid === undefined
            ? { what: "conflict", conflicts, reason: intent.reason }
            : { what: "invalid", why: invalid },
        );
        return changed;
      }
      case "undo":
      case "redo": {
        const undone = await undoJob(this.#db, id, intent.intent, stamp);
        if (undone?.ok) this.#take(undone.kept);
        else if (undone) this.#say({ what: "undo" });
        return undone?.ok ? { ok: true } : { ok: false, conflicts: undone?.conflicts ?? [], undone: true };
      }
      case "append": {
        // What this session wrote since was asked for by the same person, before: it goes after it.
        const seen = this.#ownSince(intent.seen);
        const kept = await appendRecords(this.#db, id, intent.events, seen, intent.piece, stamp);
        if (kept) {
          this.#take(kept);
          return { ok: true };
        }
        this.#say({ what: "elsewhere", of: whatOf(intent) });
        return { ok: false, conflicts: [], elsewhere: true };
      }
    }
  }

  /** What was typed has been sent, unless something else was typed since. */
  #typed(changes: readonly Change[]): void {
    for (const { path, to } of changes)
      if (this.#typing.has(path) && sameJson(this.#typing.get(path), to)) this.#typing.delete(path);
    if (this.#typing.size === 0) noteTyping(this.#state.job.id, null);
  }

  /** Records this session wrote, by the one each was put after. */
  readonly #own = new Map<string | null, string>();

  #ownSince(seen: string | null): string | null {
    let last = seen;
    for (let next = this.#own.get(last); next !== undefined; next = this.#own.get(last)) last = next;
    return last;
  }

  /** Takes over what this session has just kept. */
  #take(kept: KeptJob, sent: ReadonlySet<string> = new Set()): void {
    const before = this.#state.records.at(-1)?.id ?? null;
    const written = kept.records.at(-1)?.id ?? null;
    if (written !== null && written !== before) this.#own.set(before, written);
    this.#hold(kept, sent);
  }

  /** @param sent paths of which nothing is half typed any more */
  #hold(kept: KeptJob, sent: ReadonlySet<string>): void {
    const { job, records } = this.#state;
    // What is half typed here is this session's own, and newer than what the database has of it.
    const drafts = Object.entries(this.#state.drafts).filter(([path]) => !sent.has(path));
    this.#put({
      ...kept,
      job: sharing(job, kept.job),
      // Records are only ever added: as many as before are the same ones.
      records: records.length === kept.records.length ? records : kept.records,
      drafts: sharing(this.#state.drafts, Object.fromEntries(drafts)),
    });
  }

  /** Takes in what came from elsewhere. */
  async #follow(state: string): Promise<void> {
    const { rev, records, changed, job } = this.#state;
    if (state === jobState(rev, records.length, changed)) return;
    const kept = await loadJob(this.#db, job.id);
    if (kept) this.#hold(kept, new Set());
    else this.#put({ gone: true });
  }

  #put(some: Partial<SessionState>): void {
    const next = { ...this.#state, ...some };
    const changes = [...this.#typing].map(([path, to]) => ({ path, from: valueAt(next.job, path), to }));
    const applied = applyChanges(next.job, changes);
    const typed = applied.ok && changes.length > 0 ? applied.job : next.job;
    // What was typed and is now kept is the same decision: whoever planned it has planned it.
    const before = this.#state;
    const now: SessionState = { ...next, typed: sharing(before.typed, typed) };
    if ((Object.keys(now) as (keyof SessionState)[]).every((key) => now[key] === before[key])) return;
    this.#state = now;
    for (const listener of this.#listeners) listener();
  }
}
