import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import * as any from "../../tests/arbitraries.ts";
import { materialById } from "../handbook/index.ts";
import { demoShop, type Cutter } from "../shop/index.ts";
import { type Cut, type CutTask, cutTask, cutWith, feedForRa, feedMarkRa } from "./index.ts";

const [knee] = demoShop.machines;
const steel = materialById("steel-low-drawn")!;
const stainless = materialById("stainless-304")!;
const endMill = demoShop.cutters.find((c) => c.id === "em-20")!;
const wall = (more: Partial<CutTask>) =>
  cutTask({ kind: "side", length: 60, across: 38, total: 3, halfTolerance: 0.05, ...more });

function cutOf(task: CutTask, cutter: Cutter = endMill, material = steel): Cut {
  const outcome = cutWith(task, cutter, { machine: knee!, material, shop: { holders: [], houseRules: [] } });
  if (!outcome.ok) throw new Error("refused");
  return outcome.value;
}
const ids = (cut: Cut) => cut.warnings.map((w) => w.phrase.id);

describe("the last pass", () => {
  test("of a wall bends no further than a quarter of half the tolerance, or runs once more", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.005, 0.01, 0.05, 0.2),
        fc.integer({ min: 5, max: 60 }),
        (halfTolerance, height) => {
          const { finishBending, spring } = cutOf(wall({ across: height, halfTolerance }));
          expect(finishBending!.may).toBeCloseTo(halfTolerance / 4, 9);
          expect(spring).toBe(finishBending!.is > finishBending!.may);
        },
      ),
    );
  });

  test("a lighter one is taken where it saves the second run", () => {
    const [loose, tight] = [cutOf(wall({ halfTolerance: 0.5 })), cutOf(wall({ halfTolerance: 0.012 }))];
    expect(tight.finish).toBeLessThanOrEqual(loose.finish);
    expect(tight.finishBending!.is).toBeLessThanOrEqual(loose.finishBending!.is);
  });

  test("never runs twice in what hardens when rubbed: it says so instead", () => {
    const hard = cutOf(wall({ halfTolerance: 0.003 }), endMill, stainless);
    expect([hard.spring, ids(hard).includes("spring.hardens")]).toEqual([false, true]);
    const soft = cutOf(wall({ halfTolerance: 0.003 }));
    expect([soft.spring, ids(soft).includes("spring.pass")]).toEqual([true, true]);
  });

  test("the wanted Ra slows it, and the feed it gives leaves that Ra", () => {
    const face = (ra: number | null) =>
      cutOf(cutTask({ kind: "face", length: 100, across: 40, total: 2, ra }), demoShop.cutters[0]);
    expect(face(0.1).finishVf).toBeLessThan(face(null).finishVf);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 2, max: 300 }), (tenths, radius) => {
        const feed = feedForRa(tenths / 10, radius / 10)!;
        expect(feedMarkRa(feed, radius / 10)).toBeCloseTo(tenths / 10, 9);
      }),
    );
    for (const none of [feedForRa(0, 1), feedForRa(1, 0), feedMarkRa(0.1, -1)]) expect(none).toBeNull();
  });
});

test("a plan's times are those of its passes, and the last one keeps what it says", () => {
  fc.assert(
    fc.property(any.cutter, any.material, any.cutAsked, (cutter, material, task) => {
      const outcome = cutWith(task, cutter, {
        machine: knee!,
        material,
        shop: { holders: [], houseRules: [] },
      });
      if (!outcome.ok) return;
      const { passes, finish, depth } = outcome.value;
      const last = passes.at(-1)!;
      expect(passes.reduce((sum, p) => sum + p.depth, 0)).toBeCloseTo(task.total, 6);
      // Alone it takes all there is; after others just what was kept for it.
      if (last.kind === "finish")
        expect(last.depth).toBeCloseTo(passes.length === 1 ? task.total : finish, 9);
      expect(finish).toBeLessThanOrEqual(depth + 1e-9);
    }),
    { numRuns: 400 },
  );
});
