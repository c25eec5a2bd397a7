import { describe, expect, test } from "vitest";
import { cheekBlock, cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { appended, eventsFor, walk } from "../../tests/support/walker.ts";
import type { Job } from "../job/index.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import {
  beginningOf,
  briefCard,
  type BriefCard,
  eventsFolded,
  eventsOfBriefPress,
  type Record,
  type RecordEvent,
  type Step,
} from "./index.ts";

/** Presses of a person who does all of a step in full: every tick, then the cut, the zero, each reading and that it is done. */
const pressesInFull = (step: Step): number =>
  step.ticks.filter((t) => !t.done).length +
  (step.measure ? 2 : ["cleanup", "cut", "touch", "pickup", "move"].includes(step.kind) ? 1 : 0);

/** Walks a job by the cards of Brief to its end. */
function walkBriefly(job: Job): { records: Record[]; cards: BriefCard[]; presses: number } {
  let records: Record[] = [];
  const cards: BriefCard[] = [];
  let presses = 0;
  for (let i = 0; i < 900; i++) {
    const made = plan({ job, records, shop: demoShop, piece: 1 });
    const card = briefCard(made.steps, made.current);
    if (!card) return { records, cards, presses };
    cards.push(card);
    const pressed = eventsOfBriefPress(card);
    const events =
      pressed.length > 0 ? pressed : [...eventsFolded(card), ...eventsFor(card.last, records, {}, 0)];
    presses += card.last.measure ? 2 : 1;
    expect(events.length).toBeGreaterThan(0);
    for (const event of events) {
      const begins = "op" in event && event.op ? beginningOf(made.setups, event.op, records) : [];
      records = appended(records, ...begins, event);
    }
  }
  throw new Error("the brief walk does not end");
}

const said = (records: readonly Record[]) =>
  records.map(
    ({ id: _, at: __, seq: ___, order: ____, ...event }: Record & { order?: unknown }) =>
      event as RecordEvent,
  );

describe("brief", () => {
  test.each([
    ["plain cheek block", cheekBlock()],
    ["cheek block with features", cheekBlockWithFeatures()],
  ] as const)("%s: what is recorded is what the full walk records, in its order", (_, job) =>
    expect(said(walkBriefly(job).records)).toEqual(said(walk(job).records)),
  );

  test("at most 40 % of the presses, and no question, cut, zero of a tool, reading or warning is lost", () => {
    const job = cheekBlockWithFeatures();
    const full = walk(job).done;
    const brief = walkBriefly(job);
    const presses = full.reduce((sum, step) => sum + pressesInFull(step), 0);
    expect(presses).toBeGreaterThan(300);
    expect(brief.presses / presses).toBeLessThanOrEqual(0.4);
    for (const { folded, before } of brief.cards) {
      expect(before.filter((t) => t.other)).toEqual([]);
      expect(folded.flatMap((s) => s.ticks.filter((t) => !t.done && t.other))).toEqual([]);
      expect(folded.filter((s) => s.pass ?? s.touch ?? s.measure)).toEqual([]);
      expect(folded.flatMap((s) => s.notes.filter((n) => n.severity === "stop"))).toEqual([]);
    }
    const questions = (steps: readonly Step[]) =>
      new Set(steps.flatMap((s) => s.ticks.flatMap((t) => (t.other ? [`${s.op} ${s.id} ${t.id}`] : []))));
    const asked = new Set(
      brief.cards.flatMap(({ last, hold }) => (hold ? [`${last.op} ${last.id} ${hold.id}`] : [])),
    );
    expect(asked).toEqual(questions(full));
  });
});
