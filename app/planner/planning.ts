import type { Job } from "../../core/job/index.ts";
import type { Plan, PlanInputs } from "../../core/plan/index.ts";
import type { Record } from "../../core/steps/index.ts";
import type { JobSession, SessionState } from "../session/job-session.ts";

/** What stations show: decisions and records with the plan made of them, changed together. */
export interface Shown {
  state: SessionState;
  piece: number;
  plan: Plan;
}

/** What is known of the planner's work. */
interface PlannerState {
  /** A newer plan is being worked. */
  working: boolean;
  /** What went wrong in the planner: a defect, not a refusal. */
  failed: string | null;
}

/** New decisions are shown without their plan only where the planner takes longer than this, ms. */
const usualPatience = 200;

/**
 * Keeps the plan of an open job up to date. The planner has one thing to do at a time and gets the newest state only; what it
 * answers is shown together with the decisions it was asked of, in one repaint.
 */
export class Planning {
  readonly #session: JobSession;
  readonly #ask: (inputs: PlanInputs) => Promise<Plan>;
  readonly #listeners = new Set<() => void>();
  #piece: number;
  #newest: PlanInputs;
  /** What the plan shown was made of. */
  #planned: PlanInputs | null = null;
  #asking = false;
  #shown: Shown | null = null;
  #planner: PlannerState = { working: true, failed: null };
  readonly #patience: number;
  #waiting: ReturnType<typeof setTimeout> | undefined;
  #stop: (() => void) | null = null;

  constructor(
    session: JobSession,
    piece: number,
    ask: (inputs: PlanInputs) => Promise<Plan>,
    patience = usualPatience,
  ) {
    this.#patience = patience;
    this.#session = session;
    this.#ask = ask;
    this.#piece = piece;
    this.#newest = this.#inputs();
  }

  readonly shown = (): Shown | null => this.#shown;
  /** What is shown at this moment: what a press goes by. */
  readonly inSight = (): { job: Job; records: Record[]; piece: number } => {
    const { state, piece } = this.#shown ?? { state: this.#session.state, piece: this.#piece };
    return { job: state.typed, records: state.records, piece };
  };
  readonly working = (): boolean => this.#planner.working;
  readonly failed = (): string | null => this.#planner.failed;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    this.#stop ??= this.#session.subscribe(this.#look);
    this.#look();
    return () => {
      this.#listeners.delete(listener);
      if (this.#listeners.size > 0) return;
      this.#stop?.();
      this.#stop = null;
      clearTimeout(this.#waiting);
    };
  };

  /** Plans another piece from now on. */
  of(piece: number): void {
    this.#piece = piece;
    this.#look();
  }

  #inputs(): PlanInputs {
    const { typed, records, equipment } = this.#session.state;
    return { job: typed, records, shop: equipment.shop, own: equipment.own, piece: this.#piece };
  }

  readonly #look = (): void => {
    const now = this.#inputs();
    const before = this.#newest;
    const same =
      now.job === before.job &&
      now.records === before.records &&
      now.shop === before.shop &&
      now.own === before.own &&
      now.piece === before.piece;
    if (!same) this.#newest = now;
    if (this.#newest !== this.#planned) void this.#work();
    // What no plan hangs on, such as when it was saved, is shown as it comes.
    else if (this.#shown && this.#shown.state !== this.#session.state)
      this.#show({ ...this.#shown, state: this.#session.state });
  };

  async #work(): Promise<void> {
    this.#say({ working: true });
    this.#waiting ??= setTimeout(() => {
      this.#waiting = undefined;
      if (this.#shown) this.#show({ ...this.#shown, state: this.#session.state });
    }, this.#patience);
    if (this.#asking) return;
    this.#asking = true;
    while (this.#newest !== this.#planned) {
      const of = this.#newest;
      const sent = performance.now();
      const answer = await this.#ask(of).then(
        (plan) => ({ plan, failed: null }),
        (error: unknown) => ({ plan: this.#shown?.plan ?? null, failed: String(error) }),
      );
      performance.measure("replan", { start: sent });
      // What was overtaken meanwhile is nobody's any more: shown, it would put back what a person has just changed.
      if (this.#newest !== of) continue;
      this.#planned = of;
      clearTimeout(this.#waiting);
      this.#waiting = undefined;
      this.#planner = { working: false, failed: answer.failed };
      if (answer.plan) this.#show({ state: this.#session.state, piece: of.piece, plan: answer.plan });
      else this.#tell();
    }
    this.#asking = false;
  }

  #show(shown: Shown): void {
    this.#shown = shown;
    this.#tell();
  }

  #say(some: Partial<PlannerState>): void {
    const next = { ...this.#planner, ...some };
    if (next.working === this.#planner.working && next.failed === this.#planner.failed) return;
    this.#planner = next;
    this.#tell();
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }
}
