import { describe, expect, test } from "vitest";
import { demoShop } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { cheekBlock, cheekBlockWithFeatures, dim, read } from "../../tests/support/cheek-block.ts";
import { appended, walk } from "../../tests/support/walker.ts";
import { applyChanges, changeOf, type Job, newJob, openDocument, sameJson, valueAt } from "./index.ts";
import { type Plan, plan, type Station, stations } from "../plan/index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

const planOf = (job: Job): Plan => plan({ job, records: [], shop: demoShop, piece: 1 });

function changed(...changes: [path: string, to: unknown][]): Job {
  return changes.reduce((job, [path, to]) => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(path);
    return applied.job;
  }, cheekBlock());
}

describe("changes by path", () => {
  const job = cheekBlock();

  test.each([
    ["part/sizes/length/nominal", 96],
    ["name", "Cheek block"],
    ["stock/measured/length/p3", null],
    ["nothing/here", null],
    ["overrides/byId/none", null],
    ["part/sizes/length/toString", null],
  ])("the value at %s", (path, value) => expect(valueAt(job, path)).toEqual(value));

  test.each([
    [{ a: 1, b: [1, { c: null }] }, { b: [1, { c: null }], a: 1 }, true],
    [{ a: 1 }, { a: 1, b: undefined }, false],
    [[1, 2], [2, 1], false],
    [[], {}, false],
    [null, {}, false],
    [Number.NaN, Number.NaN, true],
  ])("%o and %o are the same: %s", (a, b, same) => expect(sameJson(a, b)).toBe(same));

  test("a change both sides made alike is no conflict", () => {
    const there = changed(["name", "Same"]);
    expect(applyChanges(there, [{ path: "name", from: "Cheek block", to: "Same" }])).toMatchObject({
      ok: true,
    });
  });

  test("of several changes one conflict stops all, and every conflict is told", () => {
    const applied = applyChanges(job, [
      { path: "name", from: "Cheek block", to: "New" },
      { path: "sheet", from: "other", to: "x" },
      { path: "machine", from: "other", to: "y" },
    ]);
    expect(applied).toMatchObject({ ok: false, conflicts: [{ path: "sheet" }, { path: "machine" }] });
  });

  test("an entry of a collection is taken out, not set to null", () => {
    const made = { id: "a", at: "top/face", what: "depth", value: 1, reason: "", since: "" };
    const withOne = changed(["overrides/byId/a", made], ["overrides/order", ["a"]]);
    const applied = applyChanges(withOne, [changeOf(withOne, "overrides/byId/a", null)]);
    expect(applied.ok && applied.job.overrides.byId).toEqual({});
  });
});

test.each([
  ["part/form", { id: "x", kind: "flat", face: "top", to: null, limit: 0.02 }],
  ["stock/points", { id: "x", face: "bottom", first: 1, second: 2, reads: -1 }],
  [
    "part/mates",
    {
      id: "x",
      kind: "fits",
      size: "",
      other: "",
      mate: null,
      measured: false,
      outer: true,
      gap: "slide",
    },
  ],
])("what was added to %s can be taken out again", (path, item) => {
  const change = (job: Job, changes: [path: string, to: unknown][]) =>
    applyChanges(
      job,
      changes.map(([at, to]) => changeOf(job, at, to)),
    );
  const added = change(cheekBlock(), [
    [`${path}/byId/x`, item],
    [`${path}/order`, ["x"]],
  ]);
  if (!added.ok) throw new Error("it could not be added");
  const gone = change(added.job, [
    [`${path}/byId/x`, null],
    [`${path}/order`, []],
  ]);
  expect(gone.ok && sameJson(gone.job, cheekBlock())).toBe(true);
});

describe("overrides", () => {
  const override = (at: string, value: number): [string, unknown][] => [
    ["overrides/byId/a", { id: "a", at, what: "depth", value, reason: "tried", since: "" }],
    ["overrides/order", ["a"]],
  ];

  test.each([
    ["back/face", 0.5, "applied"],
    ["back/face", 4.5, "impossible"],
  ])("%s at %d is %s", (at, value, state) => {
    const made = planOf(changed(...override(at, value)));
    expect(made.overrides).toMatchObject([{ state }]);
    const setup = faceCuts(made).find((s) => s.key === at)!;
    expect([setup.cut.own.depth, setup.cut.depth === value]).toEqual(
      state === "applied" ? [true, true] : [false, false],
    );
  });

  test("an override survives a replan and finds its cut by its key, wherever it now stands", () => {
    const made = planOf(
      changed(
        ...override("front/face", 0.5),
        ["stock/conditions/front", "flameCut"],
        ["part/material", "aluminum-6061"],
      ),
    );
    expect(made.overrides[0]!.state).toBe("applied");
    expect(faceCuts(made).find((s) => s.key === "front/face")!.number).toBe(1);
  });

  test("without a plan an override waits, it is not dropped", () => {
    expect(
      planOf(changed(...override("back/face", 0.5), ["part/sizes/width", null])).overrides,
    ).toMatchObject([{ state: "withoutObject" }]);
  });
});

describe("plans of unfinished jobs", () => {
  test("a new job plans nothing and says what is missing", () => {
    const made = planOf(newJob("n", "New", "knee", "vise-125"));
    expect(made.findings.map((f) => f.phrase.id)).toEqual([
      "drawing.material",
      "drawing.missing",
      "drawing.missing",
      "drawing.missing",
    ]);
    expect([made.setups, made.steps, made.spares]).toEqual([[], [], null]);
  });

  test.each([
    ["limits below nothing", ["part/sizes/width", dim("0.05 ±0.1")], "drawing.zero"],
    ["finer than any instrument proves", ["part/sizes/width", dim("60 ±0.004")], "M35.prove"],
    ["longer than any instrument", ["part/sizes/length", dim("400 ±0.1")], "M35.range"],
  ] as [string, [string, unknown], string][])("the drawing check finds %s", (_what, change, id) => {
    expect(planOf(changed(change)).findings.map((f) => f.phrase.id)).toContain(id);
    expect(planOf(cheekBlock()).findings.map((f) => f.phrase.id)).not.toContain(id);
  });

  const statuses: [string, Job, Partial<Record<Station, RegExp>>][] = [
    [
      "new",
      newJob("n", "New", "knee", "vise-125"),
      { drawing: /4 still to fill in/, stock: /after the drawing/, machine: /no steps/ },
    ],
    ["short", changed(["stock/measured/height/p2", read(38)]), { stock: /not enough height/ }],
    [
      "planned",
      cheekBlock(),
      {
        drawing: /3 with own limits/,
        stock: /spare on the/,
        setups: /6 setups/,
        cuts: /passes/,
        machine: /not begun/,
        record: /0 of 5/,
      },
    ],
  ];
  test.each(statuses)("status lines of a %s job", (_what, job, expected) => {
    const made = planOf(job);
    for (const station of stations) expect(phraseText(made.status[station], "mm").length).toBeGreaterThan(3);
    for (const [station, pattern] of Object.entries(expected))
      expect(phraseText(made.status[station as Station], "mm")).toMatch(pattern);
  });

  test("a retarget is what the plan aims at, and a deviation of the record", () => {
    const made = planOf(changed(["retargets/height", { size: dim("36 ±0.05"), reason: "agreed" }]));
    expect(faceCuts(made).find((s) => s.axis === "height" && s.sized)!.to).toBe(36);
    expect(made.requirements.find((r) => r.of === "height")!.deviation).toEqual({
      drawn: { lower: 37.95, upper: 38.05 },
      reason: { parts: ["agreed"] },
    });
  });
});

describe("the record", () => {
  const { records, plan: made } = walk(cheekBlock());

  test("every size is judged by the readings after its last cut", () => {
    const sizes = made.requirements.filter((r) => r.drawn);
    expect(sizes.map((r) => r.verdict?.verdict)).toEqual(
      ["good", "withinU", "withinU"].map(() => expect.stringMatching(/good|withinU|cannotTell/) as string),
    );
    expect(sizes.every((r) => r.readings.length > 0)).toBe(true);
  });

  test("a reading at the inspection counts, parallelism is the spread of the worst pair", () => {
    const more = appended(
      records,
      ...[60.0, 60.03].map((value) => ({
        type: "reading" as const,
        op: null,
        of: "width" as const,
        value,
        written: { text: "", unit: "mm" as const },
        instrument: "mic-50-75",
        questioned: [],
      })),
    );
    const again = plan({ job: cheekBlock(), records: more, shop: demoShop, piece: 1 });
    expect(again.requirements.find((r) => r.of === "width")!.readings.length).toBeGreaterThan(2);
    expect(again.requirements.find((r) => r.of === "parallelism")!.verdict?.largest).toBeCloseTo(0.03, 6);
  });
});

describe("what cannot be is no job", () => {
  const whole = JSON.stringify(cheekBlockWithFeatures());
  /** A job file's job with one value at a path put in, or taken out where it is undefined. */
  const having = (path: string, value: unknown): unknown => {
    const job = JSON.parse(whole) as object;
    const steps = path.split("/");
    const last = steps.pop()!;
    const at = steps.reduce<Record<string, unknown>>((o, k) => o[k] as Record<string, unknown>, job as never);
    if (value === undefined) delete at[last];
    else at[last] = value;
    return job;
  };
  const first = cheekBlockWithFeatures().part.features.order[0]!;

  test.each<[what: string, path: string, value: unknown]>([
    ["a size of 1e308", "part/sizes/length/nominal", 1e308],
    ["an upper limit under the lower one", "part/sizes/length/upper", -5],
    ["one limit only", "part/sizes/length/upper", null],
    ["an order that names what is not there", "part/features/order/0", "nobody"],
    ["an order that names one twice", "part/features/order/1", first],
    ["a feature that no order names", "part/features/order/0", undefined],
    ["a feature under another's id", `part/features/byId/${first}/id`, "another"],
    ["a stock of nothing", "stock/measured/length/p1/value", 0],
    ["a stock of a tenth of a micron", "stock/measured/length/p1/value", 1e-4],
    ["a roughness of nothing", "part/faces/top/ra", 0],
    ["a version nobody wrote", "version", 99],
  ])("%s", (_what, path, value) => {
    expect(openDocument(JSON.parse(whole)).ok).toBe(true);
    expect(openDocument(having(path, value)).ok).toBe(false);
  });
});
