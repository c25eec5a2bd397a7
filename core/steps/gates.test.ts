import { describe, expect, test } from "vitest";
import { cheekBlock, cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { appended, walk } from "../../tests/support/walker.ts";
import { type Override } from "../job/index.ts";
import { plan } from "../plan/index.ts";
import { demoShop, type Shop } from "../shop/index.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import { phraseText } from "../working/index.ts";
import { eventsOfPress, isFaceStep, type Record, type Step } from "./index.ts";

const whole = walk(cheekBlockWithFeatures());
const said = (step: Step) => step.ticks.map((t) => phraseText(t.phrase, "mm"));
const withOverride = (more: Omit<Override, "id" | "reason" | "since">, job = cheekBlock()) => ({
  ...job,
  overrides: {
    byId: { ...job.overrides.byId, own: { id: "own", reason: "own", since: "", ...more } as Override },
    order: [...job.overrides.order, "own"],
  },
});
const planOf = (job = cheekBlock(), records: Record[] = [], shop: Shop = demoShop) =>
  plan({ job, records, shop, piece: 1 });

describe("before the first part is placed", () => {
  test("clothes, brush and stop are asked once, at the first setup only", () => {
    const ready = whole.done.filter((s) => s.id === "ready");
    expect(ready.map((s) => s.setup)).toEqual([1]);
    expect(ready[0]).toBe(whole.done[0]);
    expect(said(ready[0]!).join(" ")).toMatch(/glasses.*stop button/i);
  });

  test("a job that was begun before this was asked is not sent back to it", () => {
    const old = whole.records.filter((r) => !(r.type === "tick" && ["dressed", "in-reach"].includes(r.tick)));
    const upTo = old.slice(0, 20);
    expect(planOf(cheekBlockWithFeatures(), upTo).steps.find((s) => s.id === "ready")?.done).toBe(true);
  });
});

describe("locked before the feed", () => {
  const cuts = whole.done.filter((s) => s.pass);
  test("every pass over a face asks for the axes that are not fed, and only then is it cut", () => {
    expect(cuts.length).toBeGreaterThan(8);
    for (const step of cuts) {
      const [lock] = step.ticks;
      expect(lock?.id).toBe(`locked-${step.pass!.number}`);
      expect(said(step)[0]).toMatch(/Set there, then [XY], knee and quill locked/);
      const open = { ...step, ticks: step.ticks.map((t) => ({ ...t, done: false })) };
      expect(eventsOfPress(open).map((e) => e.type)).toEqual(["tick"]);
      const locked = { ...step, ticks: step.ticks.map((t) => ({ ...t, done: true })) };
      expect(eventsOfPress(locked).map((e) => e.type)).toEqual(["cut"]);
    }
  });

  test("a feature asks at the first feed of every level, not at each side of a ring", () => {
    const moves = whole.done.filter((s) => s.move);
    let before: Step | null = null;
    let asked = 0;
    for (const step of moves) {
      const locks = step.ticks.some((t) => t.id.startsWith("locked-"));
      if (locks) {
        asked++;
        expect(step.move!.move.kind).toBe(step.move!.quill ? "down" : "feed");
        expect(before?.op === step.op && before.move!.move.kind === "feed").toBe(false);
      }
      before = step;
    }
    expect(asked).toBeGreaterThan(3);
  });

  test("with a head that is lowered a loose head is named", () => {
    const shop = {
      ...demoShop,
      machines: demoShop.machines.map((m) => ({ ...m, depthBy: "head" as const })),
    };
    const first = planOf(cheekBlock(), [], shop).steps.find((s) => s.pass);
    expect(said(first!)[0]).toMatch(/head and quill locked\. A loose head drops/);
  });

  test("from a zero that is taken anew the next pass is locked anew, those cut stay cut", () => {
    const { records } = walk(cheekBlock(), { until: (s) => s.id === "cut-2" });
    const { op } = planOf(cheekBlock(), records)
      .steps.filter(isFaceStep)
      .find((s) => s.id === "cut-2")!;
    const ticked = appended(records, { type: "tick", op, tick: "locked-2" });
    const cut = (list: Record[], id: string) =>
      planOf(cheekBlock(), list).steps.find((s) => s.op === op && s.id === id)!;
    expect(cut(ticked, "cut-2").ticks[0]!.done).toBe(true);
    const anew = appended(
      ticked,
      { type: "stale", op, cause: "knee" },
      { type: "touched", op, sizeAtZero: 63, medium: 0.05 },
    );
    expect(cut(anew, "cut-2").ticks[0]!.done).toBe(false);
    expect(cut(anew, "cut-1").ticks[0]!.done).toBe(true);
  });
});

describe("holes go down by the quill", () => {
  const zOf = (steps: readonly Step[], op: string) =>
    steps.find((s) => s.op === op && s.pickup?.axis === "z");
  const downs = (made: { steps: readonly Step[] }) => made.steps.filter((s) => s.move?.move.kind === "down");
  const withQuill = (quillTravel: number | null): Shop => ({
    ...demoShop,
    machines: demoShop.machines.map((m) => ({ ...m, quillTravel })),
  });

  test("its scale is set at the touch, its stop is a figure of that scale, and knee, X and Y are locked first", () => {
    const quills = downs(whole.plan).filter((s) => s.move!.quill);
    expect(quills.length).toBeGreaterThan(4);
    for (const step of quills) {
      const [target] = step.move!.targets;
      expect(target!.settled.stop / 0.05).toBeCloseTo(Math.round(target!.settled.stop / 0.05), 6);
    }
    const first = quills[0]!;
    expect(said(first).at(-1)).toMatch(/X, Y and knee locked, the quill free/);
    const zero = zOf(whole.plan.steps, first.op)!;
    expect(phraseText(zero.title, "mm")).toMatch(/by the quill/);
    expect(zero.pickup!.by).toBe("readout");
  });

  test("what is milled goes down by the knee, from a zero of its own", () => {
    for (const step of downs(whole.plan).filter((s) => !s.move!.quill)) {
      expect(/drill|ream|tap|spot|bore/i.test(step.op)).toBe(false);
      const zero = whole.plan.steps
        .slice(0, whole.plan.steps.indexOf(step))
        .findLast((s) => s.pickup?.axis === "z" && s.setup === step.setup);
      expect(phraseText(zero!.title, "mm")).not.toMatch(/quill/);
    }
  });

  test.each([[null], [11]])("with a quill of %s mm they go down by the knee", (travel) => {
    const made = planOf(cheekBlockWithFeatures(), [], withQuill(travel));
    const holes = downs(made).filter((s) => /drill|ream|tap/i.test(s.op));
    expect(holes.length).toBeGreaterThan(2);
    expect(holes.some((s) => s.move!.quill)).toBe(false);
  });
});

describe("after a stop to measure", () => {
  test("the spindle is looked at again before it cuts, with the answer that stops", () => {
    let measured = false;
    let asked = 0;
    for (const step of whole.done) {
      if (step.kind === "measure") measured = true;
      if (step.kind === "check" || step.kind === "touch" || step.kind === "takeOut") measured = false;
      if (!step.pass && step.move?.move.kind !== "feed") continue;
      const again = step.ticks.find((t) => t.id.startsWith("rotation-"));
      if (step.pass) expect(again !== undefined).toBe(measured);
      if (again) {
        asked++;
        expect(again.other?.then.severity).toBe("stop");
      }
      measured = false;
    }
    expect(asked).toBeGreaterThan(2);
  });
});

describe("what a cutter goes in with", () => {
  const asks = whole.done.flatMap(said).filter((text) => text.startsWith("Spindle stopped, brake on"));
  test("its holder, how far it stands out, and how tight", () => {
    expect(asks.length).toBeGreaterThan(3);
    for (const text of asks)
      expect(text).toMatch(/mm out of its holder; drawbar by hand first, then with the wrench/);
  });

  test("as tight as the shop says of the holder", () => {
    const shop = {
      ...demoShop,
      holders: demoShop.holders.map((h) => ({ ...h, tightness: "firm and a quarter turn" })),
    };
    const check = planOf(cheekBlock(), [], shop).steps.find((s) => s.id === "check")!;
    expect(said(check)[0]).toMatch(/then firm and a quarter turn$/);
  });
});

describe("paper as it was measured", () => {
  const stops = (value: number | null) => {
    const job = value === null ? cheekBlock() : withOverride({ at: "route", what: "paper", value });
    const made = planOf(job);
    return {
      reports: made.overrides.map((o) => o.state),
      touch: made.steps.find((s) => s.touch)!.touch!,
      first: made.steps.find((s) => s.pass)!.pass!,
    };
  };
  test("moves every stop by what it is thicker than was guessed", () => {
    const [usual, own] = [stops(null), stops(0.11)];
    expect([usual.touch.medium, own.touch.medium]).toEqual([0.05, 0.11]);
    expect(own.touch.sizeAtZero - usual.touch.sizeAtZero).toBeCloseTo(0.06, 9);
    expect(usual.first.stop - own.first.stop).toBeCloseTo(0.06, 1);
    expect(own.reports).toContain("applied");
  });
});

describe("what is left for the last pass", () => {
  const passes = (value: number) => {
    const key = planOf().steps.find((s) => s.pass)!.op;
    const made = planOf(withOverride({ at: key, what: "finish", value }));
    return {
      report: made.overrides[0]!,
      last: made.steps.filter((s) => s.op === key && s.pass).at(-1)!.pass!,
    };
  };
  test("is as the person wants it", () => {
    const { report, last } = passes(0.3);
    expect(report.state).toBe("applied");
    expect(last.depth).toBeCloseTo(0.3, 6);
  });
  test("but no more than a pass may take", () => {
    const { report } = passes(9);
    expect(report.state).toBe("impossible");
    expect(phraseText(report.why, "mm")).toMatch(/more than one pass may take/);
  });
});

describe("a zero taken anew in the middle of features", () => {
  test("is tried on a hole that is made, and waits where it is off", () => {
    const job = cheekBlockWithFeatures();
    const drilled = new Set<string>();
    const { records, plan: made } = walk(job, {
      until: (s) => {
        if (s.move && s.id === "move-2") drilled.add(s.op);
        return Boolean(
          s.move && s.id === "move-1" && drilled.size > 1 && /bore|drill|ream|chamfer/i.test(s.op),
        );
      },
    });
    const op = made.steps[made.current]!.op;
    const anew = planOf(job, appended(records, { type: "stale", op, cause: "restarted" }));
    const tries = anew.steps.filter((s) => s.id.startsWith("try-"));
    for (const step of tries) {
      expect(step.done).toBe(false);
      expect(step.ticks.at(-1)!.other?.then.severity).toBe("stop");
      expect(said(step)[0]).toMatch(/X -?[−\d.]+ mm Y/);
    }
    expect(tries.length).toBeGreaterThan(0);
  });
});

describe("a pass after which nothing came off", () => {
  /** The walk up to a reading between two passes, that reading changed by so much of what should have come off. */
  const readAfter = (share: number) => {
    const isCut = (r: Record) => r.type === "cut";
    const at = whole.records.findIndex(
      (r, i) =>
        r.type === "reading" &&
        whole.records.slice(0, i).some((c) => c.type === "cut" && c.op === r.op) &&
        whole.records.slice(i).some((c) => c.type === "cut" && c.op === r.op),
    );
    const { op, value } = whole.records[at] as Extract<Record, { type: "reading" }>;
    const cuts = whole.records
      .slice(0, at)
      .filter((r): r is Extract<Record, { type: "cut" }> => isCut(r) && "op" in r && r.op === op);
    const last = cuts.at(-1)!;
    const before = cuts.at(-2);
    const meant = Math.abs(last.stop - (before?.stop ?? 0));
    const records = [
      ...whole.records.slice(0, at),
      { ...whole.records[at]!, value: value + meant * (1 - share) } as Record,
      { ...whole.records[at]!, seq: at + 2, type: "measured", after: cuts.length, skipped: false } as Record,
    ];
    const made = planOf(cheekBlockWithFeatures(), records);
    return { meant, step: made.steps[made.current]!, records };
  };

  test.each([
    [0, true],
    [0.1, true],
    [0.6, false],
    [1, false],
  ])("with %d of it gone the next one waits for the reason: %s", (share, waits) => {
    const { meant, step } = readAfter(share);
    expect(meant).toBeGreaterThan(0.3);
    expect(step.ticks.some((t) => t.id.startsWith("unchanged-") && !t.done)).toBe(waits);
    expect(step.notes.some((n) => n.phrase.id === "surprise.unchanged" && n.severity === "stop")).toBe(waits);
  });
});

describe("the second face is tried against the first before anything hangs on it", () => {
  const asks = (step: Step) => step.ticks.some((t) => t.id === "squared-2");

  test("once, as face 2 comes out, with what to do where light shows; the walk waits for it", () => {
    const asked = whole.done.filter(asks);
    expect(asked.map((s) => s.kind)).toEqual(["takeOut"]);
    const [tick] = asked[0]!.ticks.filter((t) => t.id === "squared-2");
    expect(phraseText(tick!.other!.then.phrase, "mm")).toMatch(
      /chip at the fixed jaw.*Turn the square round/s,
    );
    const before = whole.records.findIndex((r) => r.type === "tick" && r.tick === "squared-2");
    const given = appended(whole.records.slice(0, before), {
      type: "tick",
      op: asked[0]!.op,
      tick: "squared-2-light",
    });
    const now = planOf(cheekBlockWithFeatures(), given);
    expect(asks(now.steps[now.current]!)).toBe(true);
  });

  test("not where the drawing asks for no squareness, nor of a job that went on before it was asked", () => {
    const plain = cheekBlock();
    const free = { ...plain, part: { ...plain.part, squareness: null } };
    expect(planOf(free).steps.filter(asks)).toEqual([]);
    const old = whole.records.filter((r) => !(r.type === "tick" && r.tick === "squared-2"));
    const { steps, current } = planOf(cheekBlockWithFeatures(), old);
    expect(current).toBe(steps.length);
  });
});

test.each([
  ["wide limits leave the indicator 0.02", 0.1, /within 0\.02/],
  ["close ones a quarter of them", 0.01, /within 0\.005/],
])("%s", (_what, half, within) => {
  const plain = cheekBlock();
  const height = { ...plain.part.sizes.height!, upper: half, lower: -half };
  const job = { ...plain, part: { ...plain.part, sizes: { ...plain.part.sizes, height } } };
  const { records } = walk(job);
  const made = faceSetupsOf(planOf(job).setups).map(faceOf);
  const { key } = made.find((f) => f.axis === "height" && f.sized)!;
  const at = records.findLastIndex((r) => r.type === "cut" && r.op === key);
  const moved = appended(records.slice(0, at), { type: "stale", op: key, cause: "moved" });
  const texts = planOf(job, moved).steps.flatMap((s) =>
    s.ticks.filter((t) => t.id === "rechecked").map((t) => phraseText(t.phrase, "mm")),
  );
  expect(texts.join(" ")).toMatch(within);
});
