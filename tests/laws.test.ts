import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { passesForRest, passSchedule } from "../core/cutting/index.ts";
import { axisOf, faceNames, opposite } from "../core/frame/index.ts";
import { fitDeviations } from "../core/handbook/index.ts";
import { applyChanges, type Change, changeOf, reversed } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { dialMove, roundedSteps } from "../core/locate/index.ts";
import { convertedText, parseDimension, showDimension } from "../core/quantity/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { isReference, squareAsBought } from "../core/stock/index.ts";
import { readJobFile, writeJobFile } from "../core/exchange/index.ts";
import * as any from "./arbitraries.ts";
import { walk } from "./support/walker.ts";
import { faceCuts } from "./support/faces.ts";
import { extentOf } from "../core/squaring/index.ts";
import { isGlued } from "../core/holding/index.ts";

const plainPlan = (job: Parameters<typeof plan>[0]["job"]) =>
  plan({ job, records: [], shop: demoShop, piece: 1 });

describe("numbers and text", () => {
  test("what is shown in its own unit reads back as the same size", () => {
    fc.assert(
      fc.property(any.dimensionText, ({ text, unit }) => {
        const read = parseDimension(text, unit, fitDeviations);
        expect(read.ok, text).toBe(true);
        if (!read.ok) return;
        const again = parseDimension(showDimension(read.value, unit), unit, fitDeviations);
        expect(again.ok && { ...again.value, written: null }).toEqual({ ...read.value, written: null });
      }),
    );
  });

  test("what is shown in the other unit reads back within what it shows", () => {
    fc.assert(
      fc.property(any.dimensionText, ({ text, unit }) => {
        const read = parseDimension(text, unit, fitDeviations);
        if (!read.ok) throw new Error(text);
        for (const other of ["mm", "in"] as const) {
          const again = parseDimension(convertedText(read.value, other), other, fitDeviations);
          expect(again.ok && Math.abs(again.value.nominal - read.value.nominal)).toBeLessThan(
            other === "mm" ? 0.0006 : 0.0014,
          );
        }
      }),
    );
  });

  test("a text no person means is refused, never turned into a number", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (text) => {
        const read = parseDimension(text, "mm", fitDeviations);
        if (read.ok) expect(Number.isFinite(read.value.nominal) && /\d|[½¼¾⅛⅜⅝⅞]/.test(text)).toBe(true);
        else expect(read.problem.id).toBeTruthy();
      }),
    );
  });

  test("dial positions rounded from zero never add up what rounding leaves", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 1, max: 30 }),
        (thousandths, count) => {
          const { datumErrorWorst } = roundedSteps(thousandths / 1000, count, 0.02);
          expect(datumErrorWorst).toBeLessThanOrEqual(0.01 + 1e-9);
          const move = dialMove((thousandths * count) / 1000, 2.5, 0.02);
          expect(move.ok && Math.abs(move.value.residual)).toBeLessThanOrEqual(0.01 + 1e-9);
        },
      ),
    );
  });
});

describe("passes", () => {
  test("sum up to the stock, stay below the limit, end on the target by assignment", () => {
    const mm = (max: number) => fc.integer({ min: 1, max }).map((n) => n / 100);
    fc.assert(
      fc.property(mm(2000), mm(400), mm(60), mm(200), (stock, largest, finish, first) => {
        const outcome = passSchedule(stock, largest, Math.min(finish, largest), Math.min(first, largest));
        if (!outcome.ok) throw new Error("refused");
        const passes = outcome.value;
        expect(passes.at(-1)!.cumulative).toBe(stock);
        expect(passes.reduce((sum, p) => sum + p.depth, 0)).toBeCloseTo(stock, 8);
        for (const pass of passes) expect(pass.depth).toBeLessThanOrEqual(largest + 1e-9);
        for (const pass of passesForRest(stock, largest, Math.min(finish, largest)))
          expect(pass.depth).toBeLessThanOrEqual(largest + 1e-9);
      }),
    );
  });
});

describe("plans of random blocks", () => {
  test("every face is cut as often as planned, held as the rules say, or there is a reason", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        const made = plainPlan(job);
        if (made.refusal) expect(made.refusal.reason.parts.length).toBeGreaterThan(0);
        else {
          // A face without a setup was measured, has nothing to come off, and stays as it was bought.
          const last = faceCuts(made).at(-1)?.after ?? made.raw!;
          for (const face of faceNames.filter((f) => !faceCuts(made).some((s) => s.face === f))) {
            expect(last.faces[face].condition).toBe(last.faces[face].bought);
            expect(made.spares![axisOf(face)].verdict).not.toBe("unmeasured");
          }
          expect(
            faceCuts(made).every((s) => s.from > s.to || made.spares![s.axis].verdict === "unmeasured"),
          ).toBe(true);
          // Nothing is left standing that a first cut did not reach.
          expect(faceNames.filter((f) => last.faces[f].rest)).toEqual([]);
        }
        expect(new Set(faceCuts(made).map((s) => s.key)).size).toBe(faceCuts(made).length);
        for (const setup of faceCuts(made)) {
          const ladder = made.ladders[setup.key]!;
          if (ladder.length > 0) expect(ladder.at(-1)!.sizeAfter).toBe(setup.to);
        }
      }),
      { numRuns: 80 },
    );
  });

  test("a part in the vise has packing at what is not machined, and no cut comes to jaw or parallel", () => {
    const vise = demoShop.vises[0]!;
    fc.assert(
      fc.property(any.job, (job) => {
        for (const { key, seat, before, cut, task, entry, stays } of faceCuts(plainPlan(job))) {
          if (seat.table) continue;
          const machined = isReference(before, seat.fixed) && isReference(before, opposite(seat.fixed));
          if (entry === "placed") {
            const parallel =
              before.uneven[axisOf(seat.fixed)] <= 0.1 && squareAsBought(before, axisOf(seat.fixed));
            expect(seat.rod === null).toBe(machined && parallel);
            const below = opposite(seat.up);
            // An end that a square sets is tapped down on a face that was cut here alone.
            const square = !seat.square || before.faces[below].order !== null;
            expect(seat.tap).toBe(isReference(before, below) && square);
          }
          expect(seat.effectiveGrip).toBeGreaterThanOrEqual(3);
          if (cut.kind === "face") expect(seat.projection).toBeGreaterThanOrEqual(2 - 1e-9);
          const free = (seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth;
          if (cut.kind === "side" && seat.overhang === null)
            expect(free - task.across).toBeGreaterThanOrEqual(2 - 1e-9);
          if (stays && extentOf(key) !== "rough") expect(seat.square).toBe(false);
          expect(seat.between + (seat.rod?.diameter ?? 0)).toBeLessThanOrEqual(vise.opening);
        }
      }),
      { numRuns: 80 },
    );
  });

  test("on the table no cut comes to a strap, there are two of them, and they press on what stays", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        for (const { seat, cut, task, face } of faceCuts(plainPlan(job))) {
          if (!seat.table || isGlued(seat)) continue;
          expect(seat.table.straps).toBeGreaterThanOrEqual(2);
          if (cut.kind === "side") expect(face).not.toBe(seat.table.over);
          else expect(task.across + seat.table.reach).toBeLessThanOrEqual(seat.between + 1e-9);
        }
      }),
      { numRuns: 80 },
    );
  });

  test("what comes off both faces closes the size", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        const made = plainPlan(job);
        for (const spare of Object.values(made.spares ?? {})) {
          const comesOff = Math.max(0, spare.largest - spare.target);
          const both = faceCuts(made).filter((s) => s.axis === spare.axis && !s.key.endsWith("/rest"));
          const sum = both.reduce((off, s) => off + s.from - s.to, 0);
          if (both.length === 2 && made.refusal === null && comesOff > 0.1)
            expect(sum).toBeCloseTo(comesOff, 6);
          for (const first of Object.values(spare.first)) expect(first).toBeLessThanOrEqual(comesOff + 1e-9);
        }
      }),
    );
  });

  test("the unit it is written in does not matter, and the same inputs give the same plan", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        const core = ({ setups, spares, steps }: ReturnType<typeof plainPlan>) =>
          JSON.stringify({ setups, spares, steps });
        const once = core(plainPlan(job));
        expect(core(plainPlan(job))).toBe(once);
        expect(core(plainPlan(any.rewritten(job, "in")))).toBe(once);
      }),
      { numRuns: 25 },
    );
  });

  test("walked to the end, light cuts included, every size that had the metal ends inside its limits", () => {
    fc.assert(
      fc.property(any.job, fc.constantFrom(0, 0.02, 0.04), (job, light) => {
        const { plan: made, done } = walk(job, { light });
        if (made.refusal) return;
        expect(made.current).toBe(made.steps.length);
        for (const setup of faceCuts(made).filter((s) => s.sized && s.cut.passes.length > 0)) {
          const requirement = made.requirements.find((r) => r.of === axisOf(setup.face))!;
          const last = requirement.verdict;
          if (made.spares![axisOf(setup.face)].verdict === "enough")
            expect(["good", "withinU", "cannotTell"]).toContain(last?.verdict);
        }
        // What was put in is ticked out in the same clamping, before the next one begins.
        for (const clamping of new Set(faceCuts(made).map((s) => s.clamping))) {
          const ops = faceCuts(made)
            .filter((s) => s.clamping === clamping)
            .map((s) => s.key);
          const ticks = done
            .filter((s) => ops.some((key) => key === s.op))
            .flatMap((s) => s.ticks.map((t) => t.id));
          for (const thing of ["rod", "parallels", "paper", "straps", "packing", "points"])
            expect(ticks.includes(`out-${thing}`)).toBe(ticks.includes(thing));
        }
      }),
      { numRuns: 20 },
    );
  });
});

describe("decisions and files", () => {
  test("a change and its reverse leave the job as it was", () => {
    fc.assert(
      fc.property(any.job, any.job, (job, other) => {
        const changes: Change[] = ["part/sizes/length", "stock/conditions", "part/material", "name"].map(
          (path) => changeOf(job, path, path === "name" ? "Another" : changeOf(other, path, null).from),
        );
        const there = applyChanges(job, changes);
        expect(there.ok).toBe(true);
        if (!there.ok) return;
        const back = applyChanges(there.job, reversed(changes));
        expect(back.ok && back.job).toEqual(job);
      }),
      { numRuns: 30 },
    );
  });

  test("export of an imported file is the same bytes", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        const { records } = walk(job, { until: (step) => step.setup > 2 });
        const text = writeJobFile(job, records, demoShop);
        const read = readJobFile(text);
        expect(
          read.ok &&
            writeJobFile(read.value.job, read.value.records, read.value.shopUsed, read.value.ownUsed),
        ).toBe(text);
      }),
      { numRuns: 15 },
    );
  });
});
