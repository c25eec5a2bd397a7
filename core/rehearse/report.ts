import type { Mm } from "../quantity/index.ts";
import type { Finding, FindingSort } from "./finding.ts";
import type { Pose, Vec } from "./solid.ts";
import type { Told } from "./told.ts";

/** A stroke that was made, for whoever asks later what cut here: the box it lies in, in the frame of its pose. */
export interface Stroke {
  op: string;
  step: string;
  setup: number;
  body: { low: Vec; high: Vec };
  pose: Pose;
}

/** What is found while steps are obeyed, each once in a step. */
export class Report {
  readonly findings: Finding[] = [];
  readonly strokes: Stroke[] = [];
  readonly #said = new Set<string>();
  #now: Told | null = null;

  /** The instruction that is obeyed. */
  get now(): Told {
    if (!this.#now) throw new Error("nothing was told yet");
    return this.#now;
  }
  set now(told: Told) {
    this.#now = told;
  }

  find(sort: FindingSort, size: number, what: string, at: Vec | null = null, more: { told?: Mm } = {}): void {
    const { op, step, setup } = this.now;
    const key = `${sort} ${op} ${step} ${what}`;
    if (this.#said.has(key)) return;
    this.#said.add(key);
    this.findings.push({ sort, op, step, setup, size: Math.abs(size), what, at, ...more });
  }

  stroke(body: Stroke["body"], pose: Pose): void {
    const { op, step, setup } = this.now;
    this.strokes.push({ op, step, setup, body, pose });
  }
}
