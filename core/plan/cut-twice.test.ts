import { expect, test } from "vitest";
import {
  appended,
  eventsToFinish,
  inOrder,
  type KeptRecord,
  type Record as JobRecord,
  recordId,
  type RecordEvent,
  unplaced,
} from "../steps/index.ts";
import { phraseText } from "../working/index.ts";
import { cheekBlock, cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";
import { demoShop } from "../shop/index.ts";
import { plan } from "./make-plan.ts";

const planned = (job: ReturnType<typeof cheekBlock>, records: JobRecord[]) =>
  plan({ job, records, shop: demoShop, piece: 1 });

/** The same events written by two devices, neither of which has seen the other's. */
function twice(before: JobRecord[], events: RecordEvent[]): JobRecord[] {
  const on = (device: string): KeptRecord[] =>
    events.map((event, i) => ({
      id: recordId(device, i + 1),
      follows: i === 0 ? (before.at(-1)?.id ?? null) : recordId(device, i),
      at: `2026-11-25T09:0${i}:00.000Z`,
      by: device,
      piece: 1,
      ...event,
    }));
  return inOrder([...before.map(unplaced), ...on("desk"), ...on("phone")]);
}

test.each([
  [
    "a pass of a face",
    cheekBlock(),
    (id: string, op: string) => op.endsWith("/face") && id === "cut-1",
    /Pass 1/,
  ],
  ["a move of a feature", cheekBlockWithFeatures(), (id: string) => id === "move-2", /./],
] as const)("%s recorded on two devices is told, until one is taken back", (_what, job, is, title) => {
  const { records, plan: made } = walk(job, { until: (s) => is(s.id, s.op) });
  const step = made.steps[made.current]!;
  const both = twice(records, eventsToFinish(step));
  const now = planned(job, both);
  expect(now.twice.map((t) => [t.op, t.records.map((r) => r.by).sort()])).toEqual([
    [step.op, ["desk", "phone"]],
  ]);
  expect(phraseText(now.twice[0]!.title, "mm")).toMatch(title);
  expect(now.rechecks.map((w) => w.phrase.id)).toContain("records.twice");
  expect(now.current).toBeGreaterThan(made.current);
  const back = planned(job, appended(both, { type: "withdrawn", of: now.twice[0]!.records[1]!.id }));
  expect(back.twice).toEqual([]);
  expect(back.current).toBe(now.current);
});

test("a pass cut again on one device, or where the other was known, is no cut recorded twice", () => {
  const { records, plan: made } = walk(cheekBlock(), { until: (s) => s.id === "cut-1" });
  const events = eventsToFinish(made.steps[made.current]!);
  expect(planned(cheekBlock(), appended(records, ...events, ...events)).twice).toEqual([]);
});
