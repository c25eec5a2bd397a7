import { describe, expect, test } from "vitest";
import { applyChanges, changeOf, type Job } from "../job/index.ts";
import { demoShop, type Shop } from "../shop/index.ts";
import { appended, type RecordEvent } from "../steps/index.ts";
import { cheekBlock, dim, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { readingEvent } from "../../tests/support/reading-event.ts";
import { phraseText } from "../working/index.ts";
import { adviceFor, asBuilt, builtOf, plan, verdictOf } from "./index.ts";

const made = (...changes: [path: string, to: unknown][]): Job =>
  changes.reduce((job, [path, to]) => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(`${path} could not be set`);
    return applied.job;
  }, cheekBlock());

const form = (kind: string, face: string, to: string | null, limit: number, feature: string | null = null) =>
  ["part/form", { byId: { f: { id: "f", kind, face, to, feature, limit } }, order: ["f"] }] as [
    string,
    unknown,
  ];
const tapped = featureOf("hole", "bolt", "top", {
  sizes: { depth: "20", threadDepth: "14" },
  first: "left 30 ±0.05",
  choices: { form: "tapped", screw: "M6" },
});
const job = made(
  form("square", "top", "front", 0.03),
  ["part/faces/top/ra", 1.6],
  ["part/features", featureList([tapped])],
);

const judged = (events: RecordEvent[], shop: Shop = demoShop, of = job) =>
  new Map(
    plan({ job: of, records: appended([], ...events), shop, piece: 1 }).requirements.map((r) => [r.of, r]),
  );
type Of = `${string}/${string}`;
const read = (of: string, value: number, more: object = {}) =>
  readingEvent(of, value, "lever-indicator", more);
const tried = (of: string, answer: "passes" | "tight" | "loose"): RecordEvent => ({
  type: "gauged",
  of: of as Of,
  answer,
  instrument: "",
});

describe("what the drawing asks beside its sizes", () => {
  test("each has its row; what only follows from how it is made may be left unread", () => {
    const all = judged([]);
    expect([...all].map(([of, r]) => [of, r.required])).toEqual([
      ["length", true],
      ["width", true],
      ["height", true],
      ["parallelism", true],
      ["squareness", true],
      ["form/f", true],
      ["bolt/place-first", true],
      ["bolt/thread", false],
      ["ra/top", true],
    ]);
  });

  test("a place without limits of its own has none", () => {
    const plain = made([
      "part/features",
      featureList([featureOf("hole", "bolt", "top", { sizes: { diameter: "6" }, first: "left 30" })]),
    ]);
    expect([...judged([], demoShop, plain).keys()].filter((of) => of.includes("place"))).toEqual([]);
  });

  test.each([
    ["a face square to another by name", read("form/f", 0.01), "form/f", "good"],
    ["too far out of it", read("form/f", 0.05), "form/f", "rework"],
    ["no light under the square", read("form/f", 0.003, { atMost: true }), "form/f", "good"],
    [
      "a place within",
      read("bolt/place-first", 30.01, { instrument: "readout" }),
      "bolt/place-first",
      "good",
    ],
    [
      "a place past its limit is past saving",
      read("bolt/place-first", 30.2, { instrument: "readout" }),
      "bolt/place-first",
      "over",
    ],
    [
      "and so below it",
      read("bolt/place-first", 29.8, { instrument: "readout" }),
      "bolt/place-first",
      "under",
    ],
    [
      "a caliper cannot tell a place so close",
      read("bolt/place-first", 30.04, { instrument: "caliper" }),
      "bolt/place-first",
      "withinU",
    ],
    ["a gauge goes", tried("bolt/thread", "passes"), "bolt/thread", "good"],
    ["it does not go", tried("bolt/thread", "tight"), "bolt/thread", "rework"],
    ["the no-go goes", tried("bolt/thread", "loose"), "bolt/thread", "over"],
    ["rougher than the plate", tried("ra/top", "tight"), "ra/top", "rework"],
  ])("%s", (_what, event, of, verdict) => {
    expect(judged([event]).get(of as Of)!.verdict!.verdict).toBe(verdict);
  });

  test("how far a hole lies off the middle is judged by its two walls, and says how far to move it", () => {
    const middle = made(form("symmetric", "left", "right", 0.05, "bolt"), [
      "part/features",
      featureList([tapped]),
    ]);
    const r = judged([read("form/f", 0.12)], demoShop, middle).get("form/f")!;
    expect([phraseText(r.name!, "mm"), r.verdict!.verdict]).toEqual([
      "hole 1 in the middle between left and right",
      "rework",
    ]);
    const asked = {
      setups: [],
      sizes: { length: 96, width: 60, height: 38 },
      shop: demoShop,
      parallel: null,
    };
    const said = adviceFor(r, { ...asked, form: "symmetric" }).map((phrase) => phraseText(phrase, "mm"));
    expect(said.join(" ")).toContain("0.060 mm off the middle");
    const place = adviceFor(r, { ...asked, form: "position" }).map((phrase) => phraseText(phrase, "mm"));
    expect(place.join(" ")).toContain("bored from the true place");
    const gone = made(form("symmetric", "left", "right", 0.05, "gone"));
    expect(judged([], demoShop, gone).has("form/f")).toBe(false);
  });

  test("a hole in its place is judged by the diameter it lies in, and anew once it is cut again", () => {
    const placed = made(form("position", "top", null, 0.2, "bolt"), ["part/features", featureList([tapped])]);
    const r = judged([read("form/f", 0.1)], demoShop, placed).get("form/f")!;
    expect([phraseText(r.name!, "mm"), r.verdict!.verdict]).toEqual([
      "hole 1 in its place, true position",
      "good",
    ]);
    const again: RecordEvent = { type: "tick", op: "bolt/drill", tick: "move-1" };
    expect(judged([read("form/f", 0.1), again], demoShop, placed).get("form/f")!.verdict).toBeNull();
  });

  test("a face cut anew is to be read anew", () => {
    const again: RecordEvent = { type: "cut", op: "top/face", pass: 1, stop: 0, last: true };
    const after = judged([read("form/f", 0.01), tried("ra/top", "passes"), again]);
    expect([after.get("form/f")!.verdict, after.get("ra/top")!.verdict]).toEqual([null, null]);
  });

  test("an answer given anew counts; taken back, none does", () => {
    const events = appended([], tried("ra/top", "tight"), tried("ra/top", "passes"));
    const last = events.at(-1)!;
    const verdict = (records: typeof events) =>
      plan({ job, records, shop: demoShop, piece: 1 }).requirements.find((r) => r.of === "ra/top")!.verdict;
    expect(verdict(events)?.verdict).toBe("good");
    expect(verdict(appended(events, { type: "withdrawn", of: last.id }))?.verdict).toBe("rework");
  });

  test("a part is good without what is not required, not with what is not good", () => {
    const thread = judged([tried("bolt/thread", "loose")]).get("bolt/thread")!;
    const untried = judged([]).get("bolt/thread")!;
    const good = judged([read("form/f", 0.01)]).get("form/f")!;
    expect(verdictOf({ requirements: [good, untried], missing: [] })).toBe("good");
    expect(verdictOf({ requirements: [good, thread], missing: [] })).toBe("notGood");
  });
});

describe("how much hangs on a feature", () => {
  const matters = (which: string) =>
    made([
      "part/features",
      featureList([featureOf("hole", "bolt", "top", { ...bolt, choices: { matters: which } })]),
    ]);
  const bolt = { sizes: { diameter: "6 +0.1/0", depth: "20" }, first: "left 30 ±0.05" };
  const place = (which: string, u: number) => {
    const shop: Shop = {
      ...demoShop,
      instruments: demoShop.instruments.map((i) => (i.id === "caliper" ? { ...i, uncertainty: u } : i)),
    };
    return judged([read("bolt/place-first", 30, { instrument: "caliper" })], shop, matters(which)).get(
      "bolt/place-first",
    )!;
  };

  test.each([
    ["drawing", true, false],
    ["critical", true, true],
    ["looks", false, false],
  ])("%s: required %j, critical %j", (which, required, critical) => {
    const r = place(which, 0.005);
    expect([r.required, r.critical]).toEqual([required, critical]);
  });

  test.each([
    ["drawing", 0.02, "good"],
    ["critical", 0.02, "cannotTell"],
    ["critical", 0.0125, "good"],
  ])("%s, read with ±%d of limits 0.1 apart: %s", (which, u, verdict) =>
    expect(place(which, u).verdict!.verdict).toBe(verdict),
  );

  test("a critical size is not skipped at the machine, and the drawing asks for an instrument that proves it", () => {
    const of = matters("critical");
    const made = plan({ job: of, records: [], shop: demoShop, piece: 1 });
    const ofBolt = made.steps.filter((step) => step.measure?.of.startsWith("bolt/"));
    expect(ofBolt.length).toBeGreaterThan(0);
    for (const { measure } of ofBolt) expect(measure!.required).toBe(measure!.final);
    const coarse: Shop = {
      ...demoShop,
      instruments: demoShop.instruments.map((i) => ({ ...i, uncertainty: Math.max(i.uncertainty, 0.02) })),
    };
    const ids = (which: string) =>
      plan({ job: matters(which), records: [], shop: coarse, piece: 1 }).findings.map((f) => f.phrase.id);
    expect([ids("critical").includes("M35.critical"), ids("drawing").includes("M35.critical")]).toEqual([
      true,
      false,
    ]);
  });
});

describe("worked by hand", () => {
  const sanded: RecordEvent = { type: "byHand", of: "height", how: "sanded" };
  test("what was read before is history, and what came off shows once it is read again", () => {
    const before = [read("height", 38.04), read("height", 38.02)];
    const none = judged([...before, sanded]).get("height")!;
    expect([none.verdict, none.byHand!.how, none.byHand!.before]).toEqual([null, "sanded", 38.03]);
    const again = judged([...before, sanded, read("height", 38)]).get("height")!;
    expect(again.readings.map((q) => q.value)).toEqual([38]);
    expect(judged([sanded, read("height", 38)]).get("height")!.byHand).toBeNull();
  });

  test("an answer given and an acceptance before it fall too; taken back, all count again", () => {
    const events = appended(
      [],
      tried("ra/top", "tight"),
      { type: "accepted", of: "ra/top", reason: "will do" },
      { type: "byHand", of: "ra/top", how: "stoned" },
    );
    const r = (records: typeof events) =>
      plan({ job, records, shop: demoShop, piece: 1 }).requirements.find((q) => q.of === "ra/top")!;
    expect([r(events).verdict, r(events).accepted]).toEqual([null, null]);
    const back = r(appended(events, { type: "withdrawn", of: events.at(-1)!.id }));
    expect([back.verdict?.verdict, back.accepted?.reason]).toEqual(["rework", "will do"]);
  });
});

describe("a fit that was tried", () => {
  const mated = made([
    "part/mates",
    {
      byId: {
        m: {
          id: "m",
          kind: "fits",
          size: "sizes/width",
          other: "the channel",
          mate: dim("60"),
          measured: false,
          outer: false,
          gap: "slide",
          by: "",
          on: "",
        },
      },
      order: ["m"],
    },
  ]);
  const asked = { setups: [], sizes: { length: 96, width: 60, height: 38 }, shop: demoShop, parallel: null };
  test.each([
    ["tight", {}, "both walls in turn"],
    ["tight", { where: "one end" }, "at one end: deburr, blue it"],
    ["loose", {}, "Find the play with a feeler"],
    ["loose", { play: 0.12, where: "the middle" }, "shakes by 0.120 mm at the middle; 0.010 mm to 0.060 mm"],
    ["loose", { play: 0.135 }, "0.100 mm larger"],
    ["passes", { play: 0.1 }, "shakes by 0.100 mm: 0.060 mm at most"],
  ] as const)("%s %j: %s", (answer, more, said) => {
    const r = judged([{ ...tried("fit/m", answer), ...more }], demoShop, mated).get("fit/m")!;
    const advice = adviceFor(r, asked).map((phrase) => phraseText(phrase, "mm"));
    expect(advice.join(" ")).toContain(said);
    expect([r.gauge!.answer!.play, r.gauge!.answer!.where]).toEqual([
      "play" in more ? more.play : null,
      "where" in more ? more.where : null,
    ]);
  });
  test("one that goes and does not shake asks for nothing", () => {
    const r = judged([{ ...tried("fit/m", "passes"), play: 0.05 } as RecordEvent], demoShop, mated).get(
      "fit/m",
    )!;
    expect(adviceFor(r, asked)).toEqual([]);
  });
});

describe("as built", () => {
  test("sizes and places that were read stand as they came out, the others as drawn", () => {
    const { requirements } = plan({
      job,
      records: appended(
        [],
        read("length", 96.04),
        read("length", 96.02),
        read("bolt/place-first", 30.02, { instrument: "readout" }),
      ),
      shop: demoShop,
      piece: 1,
    });
    const part = asBuilt(job.part, requirements);
    expect(part.sizes.length!.nominal).toBe(96.03);
    expect(part.features.byId.bolt!.first.at!.nominal).toBe(30.02);
    expect([part.sizes.width, part.features.byId.bolt!.sizes]).toEqual([
      job.part.sizes.width,
      job.part.features.byId.bolt!.sizes,
    ]);
    expect(requirements.filter((r) => builtOf(r) !== null).map((r) => r.of)).toEqual([
      "length",
      "bolt/place-first",
    ]);
  });
});

describe("what is left for a next process", () => {
  const left = (leave: number, leaveWithin: number | null) =>
    made(["part/faces/top/leave", leave], ["part/faces/top/leaveWithin", leaveWithin]);
  test.each([
    ["as closely as the drawing says", 0.3, null, 38.25, 38.35],
    ["closer by its own limits", 0.3, 0.02, 38.28, 38.32],
  ])("%s", (_what, leave, within, lower, upper) => {
    const { limits } = judged([], demoShop, left(leave, within)).get("height")!;
    expect([limits.lower, limits.upper]).toEqual([lower, upper]);
  });
  test.each([
    [0.05, true],
    [0.04, false],
  ])("0.05 left within ±%d: told %j that nothing may be left", (within, told) => {
    const { findings } = plan({ job: left(0.05, within), records: [], shop: demoShop, piece: 1 });
    expect(findings.some((f) => f.phrase.id === "drawing.leftNothing")).toBe(told);
  });
});

describe("what a reading is worth", () => {
  const size = (events: RecordEvent[], shop = demoShop) => judged(events, shop).get("height")!;
  const mic = { instrument: "mic-25-50" };
  const withMic = (more: object): Shop => ({
    ...demoShop,
    instruments: demoShop.instruments.map((i) => (i.id === "mic-25-50" ? { ...i, ...more } : i)),
  });

  test("an overdue check weakens it, and is said", () => {
    const overdue = size([read("height", 38, mic)], withMic({ lastCheck: "1968-01-01" }));
    expect([overdue.readings[0]!.overdue, overdue.u]).toEqual([true, 0.0075]);
    expect(size([read("height", 38, mic)]).u).toBe(0.005);
  });

  test("the error known of an instrument is taken off", () => {
    const { readings } = size([read("height", 38.06, mic)], withMic({ error: 0.02 }));
    expect([readings[0]!.read, readings[0]!.value]).toEqual([38.06, 38.04]);
  });

  test("a warm part is judged at 20 °C, and less surely", () => {
    const warm = size([read("height", 38, { ...mic, temperatures: { part: 60, instrument: 20 } })]);
    expect(warm.readings[0]!.value).toBeLessThan(37.99);
    expect(warm.u).toBeGreaterThan(0.005);
  });

  test("free it counts, clamped it is only shown", () => {
    const { readings, verdict } = size([
      read("height", 38, { ...mic, held: "clamped" }),
      read("height", 38.04, { ...mic, held: "free" }),
    ]);
    expect(readings.map((r) => r.counts)).toEqual([false, true]);
    expect(verdict!.smallest).toBe(38.04);
  });

  test("compared with a gauge block, the block is in doubt too", () => {
    const blocks = {
      ...demoShop.instruments[0]!,
      id: "blocks",
      kind: "gaugeBlocks" as const,
      uncertainty: 0.012,
    };
    const shop = { ...demoShop, instruments: [...demoShop.instruments, blocks] };
    expect(size([read("height", 38, { ...mic, against: "blocks" })], shop).u).toBeCloseTo(0.013, 6);
  });

  test("clamped one thing, free another: it sprang, and what to do is said; within U nothing is", () => {
    const advice = (free: number) => {
      const events = [
        read("height", 38, { ...mic, held: "clamped" }),
        read("height", free, { ...mic, held: "free" }),
      ];
      const made = plan({ job, records: appended([], ...events), shop: demoShop, piece: 1 });
      const r = made.requirements.find((q) => q.of === "height")!;
      return adviceFor(r, { setups: made.setups, sizes: made.target!, shop: demoShop, parallel: null })
        .map((p) => phraseText(p, "mm"))
        .join(" ");
    };
    expect(advice(38.03)).toMatch(/sprang 0\.030 mm/);
    expect(advice(38.004)).not.toMatch(/sprang/);
  });

  test("where no instrument of the shop tells, a way round it is named", () => {
    const [caliper] = demoShop.instruments;
    const shop = { ...demoShop, instruments: [caliper!] };
    const close = made(["part/sizes/height", dim("38 ±0.02")]);
    const one = plan({
      job: close,
      records: appended([], read("height", 38, { instrument: caliper!.id })),
      shop,
      piece: 1,
    });
    const r = one.requirements.find((q) => q.of === "height")!;
    const said = adviceFor(r, { setups: one.setups, sizes: one.target!, shop, parallel: null });
    expect(said.map((p) => phraseText(p, "mm")).join(" ")).toMatch(/No instrument.*gauge blocks of the size/);
  });
});
