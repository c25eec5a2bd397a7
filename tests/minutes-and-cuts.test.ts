import { describe, expect, test } from "vitest";
import { setupSheet, type Shape } from "../core/figure/index.ts";
import { effectivePart, equipment, type Job } from "../core/job/index.ts";
import { type Plan, plan } from "../core/plan/index.ts";
import { cutoutOf, featuresOf, siteOfPart } from "../core/part/index.ts";
import {
  faceSetupsOf,
  featureSetupsOf,
  locatedIn,
  predictedErrors,
  referenceChain,
} from "../core/route/index.ts";
import { demoShop, type Shop } from "../core/shop/index.ts";
import { appended, cutsMetal, isCutTick } from "../core/steps/index.ts";
import { block, featureList, featureOf } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { randomJob } from "./support/random-jobs.ts";
import { faceCuts, firstZeros } from "./support/faces.ts";

const planOf = (job: Job, shop: Shop = demoShop) => plan({ job, records: [], shop, piece: 1 });
const jobs: [string, Job, Shop][] = [
  ...demoJobs().map((job): [string, Job, Shop] => [job.id, job, demoShop]),
  ...Array.from({ length: 24 }, (_, i): [string, Job, Shop] => {
    const { job, shop } = randomJob(i + 1);
    return [`seed ${i + 1}`, job, shop];
  }),
];
const sumOf = (made: Plan, op: string, kind: "cut" | "move" | "hand") =>
  made.steps.filter((s) => s.op === op && s.kind === kind).reduce((sum, s) => sum + s.minutes, 0);

describe("what is told and what it takes", () => {
  test.each(jobs)(
    "%s: minutes are the sum of the told strokes, of faces and of features",
    (_name, job, shop) => {
      const made = planOf(job, shop);
      for (const setup of faceCuts(made))
        expect([setup.key, sumOf(made, setup.key, "cut")]).toEqual([
          setup.key,
          expect.closeTo(setup.minutes.cutting, 6),
        ]);
      for (const { operations } of featureSetupsOf(made.setups))
        // With the head tilted no figure holds: the cut is told as one step, done by eye.
        for (const { key, by, minutes, tilt } of operations)
          if (by !== "hand")
            expect([key, sumOf(made, key, tilt === null ? "move" : "hand")]).toEqual([
              key,
              expect.closeTo(minutes.cutting, 6),
            ]);
    },
  );

  test("limits are printed on the page as they are, to a thousandth", () => {
    const job = block([
      "part/features",
      featureList([featureOf("slot", "slot", "top", { sizes: { width: "8 -0.005/-0.015", depth: "6" } })]),
    ]);
    const made = planOf(job);
    const site = siteOfPart(effectivePart(job))!;
    const { vise } = equipment(job, demoShop);
    const { shapes } = setupSheet({
      title: "page",
      setup: featureSetupsOf(made.setups)[0]!,
      locating: firstZeros(made),
      site,
      cutouts: new Map(
        featuresOf(job.part).flatMap((f) => {
          const cutout = cutoutOf(f, site);
          return cutout ? [[f.id, cutout] as const] : [];
        }),
      ),
      vise: vise!,
      unit: "mm",
    });
    const texts = shapes.flatMap((s: Shape) => (s.kind === "text" ? [s.text] : [])).join(" ");
    expect(texts).toContain("7.985");
    expect(texts).toContain("7.995");
  });

  test("the head out of tram along X tilts no face that is cut in one lane along X, across it does", () => {
    const job = demoJobs().find((j) => j.id === "wear-strip")!;
    const worst = (tram: Partial<Shop["machines"][number]>) => {
      const shop = {
        ...demoShop,
        machines: demoShop.machines.map((m) => ({ ...m, tramAlong: 0, tramAcross: 0, ...tram })),
      };
      const made = planOf(job, shop);
      const { machine, vise } = equipment(job, shop);
      const errors = predictedErrors(referenceChain(locatedIn(faceSetupsOf(made.setups)), vise), {
        ...effectivePart(job),
        target: made.target!,
        machine: machine!,
        vise: vise!,
        square: null,
      });
      // A wall made by the side of a cutter does lean with the head along X.
      const faced = (face: string) => faceCuts(made).some((s) => s.face === face && s.cut.kind === "face");
      return {
        oneLane: faceCuts(made).every((s) => s.cut.lanes === 1),
        total: Math.max(...errors.filter((e) => e.faces.every(faced)).map((e) => e.predicted)),
      };
    };
    const none = worst({});
    expect(none.oneLane).toBe(true);
    expect(worst({ tramAlong: 0.2 }).total).toBeCloseTo(none.total, 9);
    expect(worst({ tramAcross: 0.2 }).total).toBeGreaterThan(none.total);
  });

  test.each([
    ["cut", { type: "cut", op: "top/face", pass: 1, stop: -1, last: false }, true],
    ["a move of a feature", { type: "tick", op: "slot/rough", tick: "move-3" }, true],
    ["a cut once more by a reading", { type: "tick", op: "slot/wall-back", tick: "again-1-2" }, true],
    ["filed to the line", { type: "tick", op: "slot/file", tick: "filed" }, true],
    ["a zero", { type: "tick", op: "slot/rough", tick: "zero-x" }, false],
    ["the vise closed", { type: "tick", op: "top/face", tick: "tight" }, false],
  ] as const)("%s: one meaning of having cut", (_what, event, cut) => {
    expect(cutsMetal(appended([], event)[0]!)).toBe(cut);
    if (event.type === "tick") expect(isCutTick(event.tick)).toBe(cut);
  });
});
