import { describe, expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";
import { plan } from "../plan/index.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import { demoShop } from "../shop/index.ts";
import { appended, askToProve, canProve, type Record, type RecordEvent } from "./index.ts";

const job = cheekBlock();
const made = (records: Record[]) => plan({ job, records, shop: demoShop, piece: 1 });

/** The second face of the width, and what was recorded before its last pass. */
const op = faceOf(faceSetupsOf(made([]).setups).find((s) => faceOf(s).axis === "width" && faceOf(s).sized)!);
const all = walk(job).records;
const before = all.slice(
  0,
  all.findIndex((r) => r.type === "cut" && r.op === op.key && r.last),
);
const read = (value: number): RecordEvent => ({
  type: "reading",
  op: op.key,
  of: "width",
  value,
  written: { text: String(value), unit: "mm" },
  instrument: "mic-50-75",
  questioned: [],
});
const coming = (records: Record[]) => made(records).ladders[op.key]!.filter((p) => !p.done);
const notes = (records: Record[]) => {
  const { steps } = made(records);
  return steps
    .filter((s) => s.op === op.key && s.kind === "cut" && !s.done)[0]!
    .notes.map((n) => n.phrase.id);
};

describe("a setting is proved before all comes off", () => {
  test("a light pass asked for before the last, and a reading after it", () => {
    const [last] = coming(before);
    expect([last!.last, canProve(op, last!, coming(before))]).toEqual([true, true]);
    const asked = appended(before, askToProve(op.key, last!));
    const [light, rest] = coming(asked);
    expect(light).toMatchObject({ proves: true, last: false, depth: 0.08 });
    expect(rest).toMatchObject({ last: true, sizeAfter: op.to });
    expect(light!.depth + rest!.depth).toBeCloseTo(last!.depth, 6);
    expect(notes(asked)).toContain("prove.asked");
    const steps = made(asked)
      .steps.filter((s) => s.op === op.key)
      .map((s) => s.id);
    expect(steps.indexOf(`measure-${light!.number}`)).toBe(steps.indexOf(`cut-${light!.number}`) + 1);
    // It is no light pass twice: once cut, the next is the last again.
    const cut = appended(asked, {
      type: "cut",
      op: op.key,
      pass: light!.number,
      stop: light!.stop,
      last: false,
    });
    expect(coming(cut).map((p) => [p.proves, p.last])).toEqual([[false, true]]);
    expect(made(cut).steps.filter((s) => s.op === op.key && !s.done)[0]!.id).toBe(`measure-${light!.number}`);
  });

  test("after a surprise half of what is left, never all; after a reading as expected all of it", () => {
    const present = coming(before)[0]!.sizeAfter + coming(before)[0]!.depth;
    for (const off of [-0.16, 0.8]) {
      const surprised = appended(before, read(present + off));
      const [part, rest] = coming(surprised);
      expect([part!.proves, part!.last, rest!.last]).toEqual([true, false, true]);
      expect(notes(surprised)).toContain("prove.surprise");
      if (off < 0) expect(part!.depth).toBeCloseTo(rest!.depth, 6);
    }
    expect(coming(appended(before, read(present + 0.01))).map((p) => p.last)).toEqual([true]);
  });

  test("an axis that moves more than it shows is put right once three cuts prove it", () => {
    const rate = 1.05;
    let records = all.slice(
      0,
      all.findIndex((r) => r.type === "cut" && r.op === op.key),
    );
    // Four thin passes, each read: the fourth is the third cut between two readings.
    let size = op.from - 0.3;
    let stop = -0.3;
    const steps = [0, 0.4, 0.5, 0.45];
    steps.forEach((deeper, i) => {
      stop = Math.round((stop - deeper) * 1000) / 1000;
      size -= deeper * rate;
      records = appended(
        records,
        { type: "cut", op: op.key, pass: i + 1, stop, last: false },
        read(Math.round(size * 1000) / 1000),
      );
      const [next] = coming(records);
      const commanded = stop - next!.stop;
      const proven = i === steps.length - 1;
      expect(commanded).toBeCloseTo((size - next!.sizeAfter) / (proven ? rate : 1), 1.6);
      expect(notes(records).includes("surprise.scale")).toBe(proven);
    });
  });
});
