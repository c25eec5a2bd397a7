import { describe, expect, test } from "vitest";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { cheekBlock, cheekBlockWithFeatures, dim, read } from "../../tests/support/cheek-block.ts";
import { appended, walk } from "../../tests/support/walker.ts";
import { isFaceKey } from "../route/index.ts";
import {
  effective,
  foldRecords,
  type Record,
  type RecordEvent,
  recordSchema,
  type StaleCause,
  inOrder,
  upgradeRecords,
} from "./index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

const op = "back/face" as const;
/** Records of the demo block up to its second pass. */
const atSecondPass = () => walk(cheekBlock(), { until: (s) => s.id === "cut-2" }).records;
const current = (records: Record[]) => {
  const made = plan({ job: cheekBlock(), records, shop: demoShop, piece: 1 });
  return made.steps[made.current]!;
};
const after = (...events: RecordEvent[]) => current(appended(atSecondPass(), ...events));

describe("records", () => {
  test("a withdrawal takes back, and can be taken back", () => {
    const records = appended(
      [],
      { type: "note", text: "a" },
      { type: "note", text: "b" },
      { type: "withdrawn", of: "walk.1" },
    );
    expect(effective(records).map((r) => r.seq)).toEqual([2]);
    expect(effective(appended(records, { type: "withdrawn", of: "walk.3" })).map((r) => r.seq)).toEqual([
      1, 2,
    ]);
  });

  test("the order is the sequence, never the clock", () => {
    const [a, b] = appended([], { type: "note", text: "a" }, { type: "note", text: "b" });
    const late = { ...a!, at: "2030-01-01T00:00:00.000Z" };
    expect(effective([b!, late]).map((r) => r.seq)).toEqual([1, 2]);
  });

  test("the begin of a feature as older versions kept it counts as a begin like any other, read once or twice", () => {
    const { records } = walk(cheekBlockWithFeatures(), {
      until: (step) => step.op.startsWith("slot") && step.kind === "move",
    });
    const now = foldRecords(records, 1);
    expect(now.features.size).toBeGreaterThan(0);
    const kept = records.map((r) =>
      r.type === "begun" && !isFaceKey(r.op) ? { ...r, type: "featureBegun" } : r,
    );
    expect(kept.some((r) => r.type === "featureBegun")).toBe(true);
    const read = inOrder(upgradeRecords(upgradeRecords(kept)).map((r) => recordSchema.parse(r)));
    expect([...foldRecords(read, 1).features]).toEqual([...now.features]);
  });

  test("records of another piece do not count", () => {
    const other = atSecondPass().map((r) => ({ ...r, piece: 2 }));
    expect([foldRecords(other, 1).faces.size, foldRecords(other, 2).faces.size]).toEqual([0, 1]);
  });
});

describe("where am I", () => {
  test("the demo block stands at its second pass", () => expect(current(atSecondPass()).id).toBe("cut-2"));

  test.each([
    ["moved", "clamp"],
    ["cutter", "touch"],
    ["knee", "touch"],
    ["restarted", "touch"],
  ] as [StaleCause, string][])("a zero stale because of %s leads back to %s", (cause, step) => {
    expect(after({ type: "stale", op, cause }).id).toBe(step);
  });

  test("after touching off again the stops count from the new zero, the pass keeps its number", () => {
    const step = after(
      { type: "stale", op, cause: "knee" },
      { type: "touched", op, sizeAtZero: 62.8, medium: 0.05 },
    );
    expect([step.id, step.pass?.number]).toEqual(["cut-2", 2]);
    expect(step.pass!.stop).toBeCloseTo(step.pass!.sizeAfter - 62.8, 1);
  });

  test("taking back the cut leads back to it", () => {
    const records = atSecondPass();
    const cut = records.findLast((r) => r.type === "cut")!;
    expect(current(appended(records, { type: "withdrawn", of: cut.id })).id).toBe("cut-1");
  });

  test("not clean all over plans one more pass where there is metal, and asks again", () => {
    const { records } = walk(cheekBlock(), { until: (s) => s.id === "clean" });
    const before = plan({ job: cheekBlock(), records, shop: demoShop, piece: 1 });
    const more = appended(records, { type: "cleanup", op, clean: false });
    const again = plan({ job: cheekBlock(), records: more, shop: demoShop, piece: 1 });
    expect(again.steps[again.current]!.kind).toBe("cut");
    expect(faceCuts(again)[0]!.to).toBeCloseTo(faceCuts(before)[0]!.to - 0.3, 6);
    const { done } = walk(cheekBlock(), { until: (s) => s.id === "deburr" }, demoShop, more);
    expect(done.map((s) => s.kind)).toEqual(["cut", "cut", "cleanup"]);
  });

  test("measuring may be left out between passes, the plan goes on", () => {
    const { records } = walk(cheekBlock(), { until: (s) => s.setup === 4 && s.id === "measure-1" });
    const step = current(appended(records, { type: "measured", op: "front/face", after: 1, skipped: true }));
    expect(step.id).toBe("cut-2");
  });

  test("a first reading too large does not send anyone back before measuring is finished", () => {
    const { records } = walk(cheekBlock(), { until: (s) => s.setup === 4 && s.id === "measure" });
    const reading: RecordEvent = {
      type: "reading",
      op: "front/face",
      of: "width",
      value: 60.2,
      written: { text: "60.2", unit: "mm" },
      instrument: "caliper",
      questioned: [],
    };
    const once = appended(records, reading);
    expect(current(once).id).toBe("measure");
    const made = plan({
      job: cheekBlock(),
      records: appended(once, { type: "measured", op: "front/face", after: 3, skipped: false }),
      shop: demoShop,
      piece: 1,
    });
    const step = made.steps[made.current]!;
    // Never all that remains in one cut after a surprise.
    expect([step.kind, step.pass?.last]).toEqual(["cut", false]);
    expect(step.pass!.depth).toBeCloseTo(0.1, 6);
  });
});

test("a pass thinner than the dial can set is taken with the next one, and the walk ends", () => {
  const job = cheekBlock();
  job.machine = "bench";
  job.part.sizes.length = dim("4.094 ±0.002", "in");
  for (const [point, value] of [
    ["p1", 104.19],
    ["p2", 103.69],
  ] as const)
    job.stock.measured.length[point] = read(value);
  job.stock.conditions = {
    left: "cast",
    right: "ground",
    front: "sawn",
    back: "sawn",
    bottom: "sawn",
    top: "sawn",
  };
  const { plan: made } = walk(job, { light: 0.02 });
  expect(made.current).toBe(made.steps.length);
  for (const ladder of Object.values(made.ladders)) {
    for (const [i, pass] of ladder.entries()) if (i > 0) expect(pass.stop).toBeLessThan(ladder[i - 1]!.stop);
  }
});

describe("the order of steps", () => {
  const made = plan({ job: cheekBlock(), records: [], shop: demoShop, piece: 1 });

  test.each([1, 2, 3, 4, 5, 6])(
    "setup %d: placed, clamped, checked where a tool goes in, zeroed, cut, cleaned, deburred, measured, taken out",
    (setup) => {
      const kinds = made.steps.filter((s) => s.setup === setup).map((s) => s.kind);
      const { cutter, rpm } = faceCuts(made)[setup - 1]!.cut;
      const before = faceCuts(made)[setup - 2]?.cut;
      const goesIn = before?.cutter !== cutter || before.rpm !== rpm;
      expect(kinds.includes("check")).toBe(goesIn);
      const order = ["place", "clamp", ...(goesIn ? ["check"] : []), "touch", "cut", "cleanup", "deburr"];
      const firsts = [...order, "measure", "takeOut"].map((kind) =>
        kinds.indexOf(kind as (typeof kinds)[number]),
      );
      expect(firsts.every((at) => at >= 0)).toBe(true);
      expect(kinds.indexOf("deburr")).toBeGreaterThan(kinds.lastIndexOf("cut"));
      expect(kinds.lastIndexOf("measure")).toBeGreaterThan(kinds.indexOf("deburr"));
      expect(kinds.at(-1)).toBe("takeOut");
    },
  );

  test("a size is measured before its last two passes, a first face is not", () => {
    const between = (setup: number) =>
      made.steps.filter((s) => s.setup === setup && s.measure && !s.measure.final).length;
    expect(between(1)).toBe(0);
    expect(between(4)).toBe(2);
  });

  test("every step and tick has an id of its own within its setup", () => {
    for (const setup of faceCuts(made)) {
      const steps = made.steps.filter((s) => s.op === setup.key);
      expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
      const ticks = steps.flatMap((s) => s.ticks.map((t) => t.id));
      expect(new Set(ticks).size, ticks.join(" ")).toBe(ticks.length);
    }
  });
});

describe("a zero taken again in the middle of a face", () => {
  const front = "front/face" as const;
  const size = (value: number): RecordEvent => ({
    type: "reading",
    op: front,
    of: "width",
    value,
    written: { text: String(value), unit: "mm" },
    instrument: "caliper",
    questioned: [],
  });
  const upTo = (id: string) => walk(cheekBlock(), { until: (s) => s.op === front && s.id === id }).records;
  const planned = (records: Record[]) => plan({ job: cheekBlock(), records, shop: demoShop, piece: 1 });

  test("stands on what was read, and the passes that were left stay", () => {
    const read = appended(upTo("measure-1"), size(60.6), {
      type: "measured",
      op: front,
      after: 1,
      skipped: false,
    });
    const before = planned(read).ladders[front]!.filter((p) => !p.done);
    const stale = appended(read, { type: "stale", op: front, cause: "cutter" });
    const touch = planned(stale).steps.find((s) => s.op === front && s.touch)!.touch!;
    expect(touch.sizeAtZero).toBeCloseTo(60.6 + 0.05, 6);
    const again = appended(stale, { type: "touched", op: front, sizeAtZero: touch.sizeAtZero, medium: 0.05 });
    const after = planned(again).ladders[front]!.filter((p) => !p.done);
    expect(after.map((p) => p.sizeAfter)).toEqual(before.map((p) => p.sizeAfter));
    // From the fresh zero the stops are the paper and what comes off, no more.
    for (const p of after) expect(p.stop).toBeCloseTo(p.sizeAfter - 60.65, 1);
  });

  test("a reading before the first pass moves every stop", () => {
    const zeroed = upTo("cut-1");
    const plain = planned(zeroed).ladders[front]!;
    const moved = planned(appended(zeroed, size(faceCuts(planned(zeroed))[3]!.from + 0.4))).ladders[front]!;
    expect(moved.at(-1)!.sizeAfter).toBe(plain.at(-1)!.sizeAfter);
    expect(moved.at(-1)!.stop).toBeCloseTo(plain.at(-1)!.stop - 0.4, 1);
  });
});
