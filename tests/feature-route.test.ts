import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyChanges, changeOf, effectivePart, type Job } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { setupFrame, sideInSetup } from "../core/locate/index.ts";
import { faceNames, orientation } from "../core/frame/index.ts";
import { featureKinds, featuresOf } from "../core/part/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { phraseText } from "../core/working/index.ts";
import { feature } from "./arbitraries.ts";
import { block, featureList, featureOf } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { appended, walk } from "./support/walker.ts";
import { featureSetupsOf } from "../core/route/index.ts";
import { faceCuts } from "./support/faces.ts";

const planOf = (job: Job, records = [] as Parameters<typeof plan>[0]["records"]) =>
  plan({ job, records, shop: demoShop, piece: 1 });

const onMachine = (job: Job, machine: string): Job => {
  const applied = applyChanges(job, [changeOf(job, "machine", machine)]);
  if (!applied.ok) throw new Error(machine);
  return applied.job;
};

describe.each(
  demoJobs().flatMap((job) =>
    (["knee", "bench"] as const).map((m) => [job.id, m, onMachine(job, m)] as const),
  ),
)("%s on the %s mill", (_id, _machine, job) => {
  test("plans: every feature once, or refused with a reason and what would help", () => {
    const { setups, features, refusal } = planOf(job);
    if (refusal) {
      expect(phraseText(refusal.suggestion, "in")).not.toBe("");
      return;
    }
    const made = featureSetupsOf(setups).flatMap((s) => s.features);
    const ids = featuresOf(effectivePart(job)).map((f) => f.id);
    expect([...made, ...features!.refused.map((r) => r.feature)].sort()).toEqual([...ids].sort());
    for (const r of features!.refused)
      for (const unit of ["mm", "in"] as const) {
        expect(phraseText(r.reason, unit)).not.toBe("");
        expect(phraseText(r.suggestion, unit)).not.toBe("");
      }
  });
});

test.each(demoJobs().map((job) => [job.id, job] as const))("%s is walked to its last step", (_id, job) => {
  const { plan: made, done } = walk(job);
  expect(made.features?.refused).toEqual([]);
  expect(made.current).toBe(made.steps.length);
  // No move before every zero of its setup was taken, no second tick of the same step.
  expect(new Set(done.map((s) => `${s.op} ${s.id}`)).size).toBe(done.length);
  for (const setup of featureSetupsOf(made.setups)) {
    const mine = done.filter((s) => setup.operations.some((o) => o.key === s.op));
    const firstMove = mine.findIndex((s) => s.move);
    if (firstMove === -1) continue;
    const zeros = mine.slice(0, firstMove).flatMap((s) => (s.pickup ? [s.pickup.axis] : []));
    expect(zeros.sort()).toEqual(["x", "y", "z"]);
    // What was put in is ticked out again (M08).
    const ticks = mine.flatMap((s) => s.ticks.map((t) => t.id));
    for (const thing of ["rod", "parallels", "paper", "stop", "blocks"])
      expect([thing, ticks.includes(`out-${thing}`)]).toEqual([thing, ticks.includes(thing)]);
  }
  const bad = made.requirements.filter(
    (r) => r.name && r.verdict && !["good", "withinU", "cannotTell"].includes(r.verdict.verdict),
  );
  expect(bad.map((r) => r.of)).toEqual([]);
});

describe("random parts", () => {
  test("up to twelve features of any kind: each exactly once, or refused with a reason", () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(fc.array(feature, { minLength: 1, maxLength: 12 }), (list) => {
        const features = list.map((f, i) => ({ ...f, id: `f-${i + 1}` }));
        const made = planOf(block(["part/features", featureList(features)]));
        const { refused } = made.features!;
        const cutIn = featureSetupsOf(made.setups);
        const cut = cutIn.flatMap((s) => s.features);
        expect([...cut, ...refused.map((r) => r.feature)].sort()).toEqual(features.map((f) => f.id).sort());
        cut.forEach((id) => seen.add(features.find((f) => f.id === id)!.kind));
        for (const r of refused) {
          expect(phraseText(r.reason, "mm").length).toBeGreaterThan(10);
          expect(phraseText(r.suggestion, "mm").length).toBeGreaterThan(4);
        }
        for (const setup of cutIn) expect(setup.operations.length).toBeGreaterThan(0);
      }),
      { numRuns: 80 },
    );
    expect(seen.size).toBeGreaterThan(featureKinds.length / 2);
  });

  test("a face lies where the frame of a setup says, whichever way the part stands", () => {
    const sizes = { length: 90, width: 60, height: 30 };
    for (const up of faceNames)
      for (const fixed of faceNames) {
        const at = orientation(up, fixed);
        if (!at) continue;
        for (const jaw of ["back", "front"] as const) {
          const frame = setupFrame(at, jaw, sizes, { x: "center", y: "center" });
          expect(sideInSetup(frame, fixed)).toBe(jaw);
          expect(sideInSetup(frame, up)).toBeNull();
        }
      }
  });
});

/** The shaft needs no squaring: its walk is short. */
const shaft = demoJobs().find((j) => j.id === "drum-shaft")!;

describe("what is read changes the rest", () => {
  const measuring = (off: number) =>
    walk(shaft, {
      until: (s) => s.op === "drum-key/wall-back" && s.id === "move-3",
      off: (s) => (s.measure?.fit?.measured.before ? off : 0),
    }).plan.steps.find((s) => s.op === "drum-key/wall-back" && s.id === "move-1")!.move!;
  test("the last wall moves by what the width was off before it", () => {
    const [asPlanned, wide] = [measuring(0), measuring(0.06)];
    const y = (m: typeof wide) => m.move.to.y!;
    expect(Math.abs(y(asPlanned) - y(wide))).toBeCloseTo(0.06, 3);
  });

  test("an operation once begun keeps its tool, whatever else is bought or chosen", () => {
    const op = "drum-key/rough";
    const { records, plan: before } = walk(shaft, { until: (s) => s.op === op && s.id === "move-4" });
    const operation = (made: typeof before) =>
      featureSetupsOf(made.setups)[0]!.operations.find((o) => o.key === op)!;
    const told = operation(before);
    const better = {
      ...demoShop.cutters.find((c) => c.id === "em-6")!,
      id: "em-7",
      name: "7 end mill",
      diameter: 7,
      material: "coatedCarbide" as const,
    };
    const shop = { ...demoShop, cutters: [better, ...demoShop.cutters] };
    const fresh = operation(plan({ job: shaft, records: [], shop, piece: 1 }));
    const now = operation(plan({ job: shaft, records, shop, piece: 1 }));
    expect(fresh.cutter).toBe("em-7");
    expect([now.cutter, now.set!.rpm, now.levels]).toEqual([told.cutter, told.set!.rpm, told.levels]);
  });

  test("a setup once begun stays as it was clamped, whatever holds the part now", () => {
    const { records, plan: before } = walk(shaft, { until: (s) => s.kind === "check" });
    const bare = { ...demoShop, aids: [] };
    expect(featureSetupsOf(plan({ job: shaft, records: [], shop: bare, piece: 1 }).setups)).toEqual([]);
    const [now] = featureSetupsOf(plan({ job: shaft, records, shop: bare, piece: 1 }).setups);
    const [then] = featureSetupsOf(before.setups);
    expect([now!.at, now!.seat, now!.device]).toEqual([then!.at, then!.seat, then!.device]);
  });

  test("a fit to a measured mate aims at the middle of the gap wanted, and says what is left", () => {
    const job = demoJobs().find((j) => j.id === "track-dogs")!;
    const { setups } = planOf(job);
    const last = featureSetupsOf(setups)
      .flatMap((s) => s.operations)
      .find((o) => o.key === "tongue/high-wall")!;
    // The channel measures 18.02; it slides without shake with 0.01 to 0.06.
    expect(last.measure!.target).toBeCloseTo(18.02 - 0.035, 6);
    const { plan: made } = walk(job, {
      until: (s) => s.op === "tongue/high-wall" && s.id === "move-1",
      off: () => 0.1,
    });
    const fit = made.steps.find((s) => s.op === "tongue/low-wall" && s.measure)!.measure!;
    expect(fit.fit!.left).toBeCloseTo(fit.expected + 0.1 - fit.fit!.measured.target, 2);
  });
});

test("depths on a shaft count from the crown that is touched: a thinner section has its own zero in Z", () => {
  const keys = [
    ["thick", "left 98"],
    ["thin", "right 20"],
  ].map(([id, first]) =>
    featureOf("keyway", id!, "top", { sizes: { length: "24", width: "8", depth: "4" }, first: first! }),
  );
  const applied = applyChanges(shaft, [changeOf(shaft, "part/features", featureList(keys))]);
  if (!applied.ok) throw new Error("not set");
  const { setups, steps } = planOf(applied.job);
  const rough = featureSetupsOf(setups)
    .flatMap((s) => s.operations)
    .filter((o) => o.key.endsWith("/rough"));
  expect(rough.map((o) => [o.crown, o.top, o.floor])).toEqual([
    [0, 0, 4.1],
    [2.5, 0, 4.1],
  ]);
  expect(steps.filter((s) => s.pickup?.axis === "z" && s.op === "thin/rough")).toHaveLength(1);
});

describe("a stale zero", () => {
  const op = "drum-key/rough";
  const until = (id: string) => walk(shaft, { until: (s) => s.op === op && s.id === id });
  test.each([
    ["moved", ["zero-x", "zero-y", "zero-z"]],
    ["restarted", ["zero-x", "zero-y", "zero-z"]],
    ["cutter", ["zero-z"]],
    ["knee", ["zero-x", "zero-y", "zero-z"]],
  ] as const)("after %s no move is made before %j", (cause, wanted) => {
    const { records } = until("move-4");
    const made = planOf(shaft, appended(records, { type: "stale", op, cause }));
    const open = made.steps.filter((s) => s.pickup && !s.done && s.op === op).map((s) => s.id);
    expect(open).toEqual(wanted);
    const now = made.steps[made.current]!;
    expect(now.move).toBeNull();
    expect(made.steps.find((s) => s.op === op && s.id === wanted[0])!.pickup!.stale).not.toBeNull();
  });
  test("none is crossed out while nothing was touched", () => {
    const { plan: made } = until("move-4");
    expect(made.steps.filter((s) => s.pickup?.stale)).toEqual([]);
    expect(made.steps[made.current]!.id).toBe("move-4");
  });
});

test("holes that follow one another are spotted together: one change of the tool less for each", () => {
  const holes = [20, 40, 60].map((at, i) =>
    featureOf("hole", `h-${i}`, "top", { sizes: { diameter: ["5", "6", "8.5"][i]! }, first: `left ${at}` }),
  );
  const { operations } = featureSetupsOf(planOf(block(["part/features", featureList(holes)])).setups)[0]!;
  expect(operations.slice(0, 3).map((o) => o.key)).toEqual(["h-0/spot", "h-1/spot", "h-2/spot"]);
  expect(operations.filter((o) => o.cutter === "spot-10" && !o.sameTool)).toHaveLength(1);
});

describe("what the drawing check blocks is not planned", () => {
  const sizes = { diameter: "6", depth: "10" };
  test.each([
    [
      "outside the block",
      featureOf("hole", "bad", "top", { sizes, first: "left 150" }),
      /runs off the block/,
    ],
    ["without its size", featureOf("hole", "bad", "top", { sizes: { depth: "10" } }), /is incomplete/],
    ["just inside", featureOf("hole", "bad", "top", { sizes, first: "left 90" }), null],
  ])("a hole %s", (_what, hole, reason) => {
    const good = featureOf("hole", "good", "top", { sizes, first: "left 30" });
    const made = planOf(block(["part/features", featureList([hole, good])]));
    const cut = featureSetupsOf(made.setups).flatMap((s) => s.features);
    expect(cut).toContain("good");
    expect(cut.includes("bad")).toBe(reason === null);
    const told = made.features!.refused.map((r) => phraseText(r.reason, "mm"));
    if (reason) expect(told.join()).toMatch(reason);
    else expect(told).toEqual([]);
    // The squaring of the block is not held up by it.
    expect(faceCuts(made)).toHaveLength(6);
  });
});
