import { describe, expect, test } from "vitest";
import { demoShop } from "../shop/index.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import {
  appended,
  beginningOf,
  eventsToFinish,
  foldRecords,
  type Record,
  type RecordEvent,
} from "../steps/index.ts";
import { block, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { phraseText } from "../working/index.ts";
import { cleanShare, plan, stillGives } from "./index.ts";

const at = (job = block(), records: Record[] = []) => plan({ job, records, shop: demoShop, piece: 1 });

type Answer = Omit<RecordEvent & { type: "cleanup" }, "type" | "op">;

/** Walks a job to where its first face is looked at, and gives these answers while it is asked. */
function looked(job: ReturnType<typeof block>, answers: readonly Answer[]) {
  let records: Record[] = [];
  let given = 0;
  for (let i = 0; i < 200; i++) {
    const made = at(job, records);
    const step = made.steps[made.current]!;
    const looks = step.kind === "cleanup";
    if (given > 0 && (given === answers.length || step.kind === "deburr")) return { made, records };
    if (looks && given === answers.length) return { made, records };
    records = looks
      ? appended(records, { type: "cleanup", op: step.op, ...answers[given++] } as RecordEvent)
      : appended(records, ...beginningOf(made.setups, step.op, records), ...eventsToFinish(step));
  }
  throw new Error("never looked at");
}
const front = [
  { x: -1, y: -1 },
  { x: 0, y: -1 },
] as const;
const ids = (made: ReturnType<typeof at>) => made.rechecks.map((w) => w.phrase.id);

describe("a face with raw spots", () => {
  test.each([
    ["not said how deep", {}, 0.3],
    ["0.4 deep", { raw: [...front], deep: 0.4 }, 0.5],
  ])("%s: one more pass takes %d off", (_what, more, off) => {
    const before = faceOf(faceSetupsOf(looked(block(), []).made.setups)[0]!).to;
    const { made } = looked(block(), [{ clean: false, ...more }, { clean: true }]);
    expect(before - faceOf(faceSetupsOf(made.setups)[0]!).to).toBeCloseTo(off, 6);
    expect(ids(made)).toEqual([]);
  });

  test("what the size is said to give still is what the plan takes, however often it is asked", () => {
    let [before, given] = [Infinity, 0];
    for (let asked = 0; asked < 6; asked++) {
      const { made, records } = looked(
        block(),
        Array.from({ length: asked }, () => ({ clean: false })),
      );
      const setup = faceSetupsOf(made.setups)[0]!;
      const gives = stillGives(
        foldRecords(records, 1).faces.get(faceOf(setup).key)!,
        made.spares!,
        made.target!,
      );
      const { to } = faceOf(setup);
      if (asked > 0) expect(before - to).toBeCloseTo(Math.min(0.3, given), 6);
      [before, given] = [to, gives];
    }
  });

  test("while a pass is still to come nothing is told of what rests on it", () => {
    const { made } = looked(block(), [{ clean: false, raw: [...front] }]);
    expect(ids(made)).toEqual([]);
  });

  /** Answers until no more metal may come off. */
  const forGood = Array.from({ length: 30 }, () => ({ clean: false, raw: [...front] }));
  test("raw for good: how much is clean, where it is held and what rests on it are told until those setups are done", () => {
    const { made } = looked(block(), forGood);
    expect(ids(made)[0]).toBe("M10.rawSpot");
    expect(phraseText(made.rechecks[0]!.phrase, "mm")).toContain("clean to about 78 %");
    expect(phraseText(made.rechecks[0]!.phrase, "mm")).toContain("Raw for good: left front, front");
    const held = faceSetupsOf(made.setups).filter(
      (s) => s.number > 1 && s.at.fixed === faceOf(faceSetupsOf(made.setups)[0]!).face,
    );
    expect(held.length).toBeGreaterThan(0);
    for (const id of ids(made).slice(1)) expect(["M10.rawAtJaw", "M10.rawBelow"]).toContain(id);
  });

  test("what a feature cuts away is no fault", () => {
    const { face } = faceOf(faceSetupsOf(at().setups)[0]!);
    const everywhere = featureOf("pocket", "p", face, {
      sizes: { first: "80", second: "30", depth: "3", radius: "5" },
      first: "center",
      second: "center",
    });
    const made = looked(block(["part/features", featureList([everywhere])]), [
      ...Array.from({ length: 30 }, () => ({ clean: false, raw: [{ x: 0, y: 0 } as const] })),
    ]).made;
    const told = made.rechecks.find((w) => w.phrase.id === "M10.rawSpot")!;
    expect([told.severity, phraseText(told.phrase, "mm").includes("Cut away later: middle by")]).toEqual([
      "note",
      true,
    ]);
  });

  test.each([
    [0, 100],
    [1, 89],
    [9, 0],
  ])("%i of nine parts raw is clean to %i %%", (raw, share) => {
    const parts = [-1, 0, 1].flatMap((x) => [-1, 0, 1].map((y) => ({ x, y }))) as (typeof front)[number][];
    expect(cleanShare(parts.slice(0, raw))).toBe(share);
  });
});
