import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  cutAsTold,
  type Cut,
  type CutPlace,
  cutWith,
  mayClimb,
  settingFor,
  forceAt,
} from "../core/cutting/index.ts";
import { materialsWith, noOwnValues, suggestedShare } from "../core/handbook/index.ts";
import { classForce, classSpring, leastFaceDepth, roughBending } from "../core/handbook/index.ts";
import { demoShop, forceBorne, pickSetting, speedSpan, springOf } from "../core/shop/index.ts";
import * as any from "./arbitraries.ts";

/** In the check 10 000 cases; the bench asks for more. */
const numRuns = Number(process.env.LAW_RUNS ?? 10_000);
const almost = 1 + 1e-6;
const placed = fc.record({
  cutter: any.cutter,
  machine: any.machine,
  material: any.material,
  task: any.cutAsked,
});
/** Holders are left out: what goes into what has its own tests. */
const place = (machine: CutPlace["machine"], material: CutPlace["material"]): CutPlace => ({
  machine,
  material,
  shop: { holders: [], houseRules: [] },
});
const ids = (cut: Cut) => cut.warnings.map((w) => w.phrase.id);

const compromises = new Set(["M22.rub", "skin.depth", "skin.rough", "feed.below"]);

describe("suggestions over random machines, cutters, materials and cuts", () => {
  test("none rubs where a slower spindle would make a chip (M22)", () => {
    let rubbed = 0;
    fc.assert(
      fc.property(placed, fc.constantFrom(0.75, 0.5, 0.3), ({ cutter, machine, material, task }, slower) => {
        const asked = { ...task, own: { ...task.own, rpm: null, vf: null, depth: null } };
        const on = place(machine, material);
        const usual = cutWith(asked, cutter, on);
        if (!usual.ok || !ids(usual.value).includes("M22.rub")) return;
        rubbed++;
        const { rpm } = pickSetting(machine, usual.value.rpm * slower, usual.value.rpm * slower);
        if (rpm >= usual.value.rpm) return;
        const other = cutWith({ ...asked, own: { ...asked.own, rpm } }, cutter, on);
        // What a slower one gains is less than a tenth of the thinnest chip there is.
        if (other.ok) expect(other.value.hex).toBeLessThan(usual.value.hex + 0.001);
      }),
      { numRuns: Math.min(numRuns, 3000) },
    );
    expect(rubbed).toBeGreaterThan(0);
  });

  test("none exceeds any of its limits, or leaves the handbook's range without saying so", () => {
    let done = 0;
    fc.assert(
      fc.property(placed, ({ cutter, machine, material, task }) => {
        const outcome = cutWith(task, cutter, place(machine, material));
        if (!outcome.ok) {
          expect(outcome.reason.parts.length).toBeGreaterThan(0);
          expect(outcome.suggestion.parts.length).toBeGreaterThan(0);
          return;
        }
        done++;
        const cut = outcome.value;
        const share = task.aim === "quick" ? 1 : suggestedShare;
        const least = Math.min(...cut.limits.map((l) => l.allows.value));
        expect(cut.depth).toBeLessThanOrEqual(least * almost);
        expect(cut.depth).toBeGreaterThanOrEqual(leastFaceDepth - 1e-9);
        for (const pass of cut.passes) expect(pass.depth).toBeLessThanOrEqual(cut.depth * almost);
        expect(cut.passes.at(-1)!.cumulative).toBe(task.total);
        expect(cut.power).toBeLessThanOrEqual(share * cut.spindlePower * almost);
        expect(cut.force.peak).toBeLessThanOrEqual(share * forceBorne(machine) * almost);
        const mayBend = Math.min(roughBending.mm, roughBending.ofDiameter * cutter.diameter);
        expect(cut.bending).toBeLessThanOrEqual(mayBend * almost);
        const [slow, fast] = cut.vcRange;
        const told = ids(cut);
        if (cut.vc > fast * almost) expect(told).toContain("M21.tooFast");
        if (cut.vc < slow / almost) expect(told.some((id) => id?.startsWith("speed."))).toBe(true);
        const [low, high] = cut.fzRange;
        if (cut.fz < low / almost)
          expect(told.some((id) => id === "feed.below" || id === "M22.rub")).toBe(true);
        // Above the range only where the cut is narrow, and then no chip is thicker than the range has it.
        if (cut.fz > high * almost) {
          expect(cut.thinning).toBeLessThanOrEqual(2.5 * almost);
          expect(cut.hex).toBeLessThanOrEqual(high * almost);
        }
        expect(Number.isFinite(cut.minutes) && cut.minutes > 0).toBe(true);
        // The spindle only runs at what the machine has.
        const [slowest, fastest] = speedSpan(machine);
        expect(cut.rpm).toBeGreaterThanOrEqual(slowest);
        expect(cut.rpm).toBeLessThanOrEqual(fastest);
      }),
      { numRuns },
    );
    expect(done).toBeGreaterThan(numRuns / 10);
  });

  test("a stiffer machine is never slower, nor refuses what a softer one does", () => {
    fc.assert(
      fc.property(placed, fc.integer({ min: 11, max: 40 }), ({ cutter, machine, material, task }, tenths) => {
        const soft = cutWith(task, cutter, place(machine, material));
        // A cut that rubs, stays in the skin or crawls below the range is no yardstick: the stiffer machine need not.
        if (!soft.ok || ids(soft.value).some((id) => compromises.has(id!))) return;
        const stiffer = {
          ...machine,
          ownForce: (classForce[machine.class] * tenths) / 10,
          ownSpring: (classSpring[machine.class] * tenths) / 10,
        };
        const stiff = cutWith(task, cutter, place(stiffer, material));
        expect(stiff.ok && stiff.value.minutes).toBeLessThanOrEqual(soft.value.minutes * almost);
      }),
      { numRuns },
    );
  });

  test("deeper is never less force, faster feed never less", () => {
    fc.assert(
      fc.property(
        placed,
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        ({ cutter, machine, material, task }, tenths, more) => {
          const setting = settingFor({
            task,
            cutter,
            holder: null,
            machine,
            material,
            rules: [],
            spindle: pickSetting(machine, 500),
            width: task.across,
          });
          const at = (depth: number, fz: number) => forceAt(setting, depth, fz);
          const here = at(tenths / 10, 0.05);
          expect(at((tenths + more) / 10, 0.05).peak).toBeGreaterThanOrEqual(here.peak / almost);
          expect(at(tenths / 10, 0.08).peak).toBeGreaterThanOrEqual(here.peak / almost);
          expect(here.mean).toBeLessThanOrEqual(here.peak * almost);
        },
      ),
      { numRuns },
    );
  });

  test("what was told stays as told, whatever stands in the shop", () => {
    fc.assert(
      fc.property(placed, ({ cutter, machine, material, task }) => {
        const first = cutWith(task, cutter, place(machine, material));
        if (!first.ok) return;
        const {
          cutter: id,
          rpm,
          setting,
          vf,
          finishVf,
          feedBy,
          pace,
          width,
          lanes,
          depth,
          finish,
        } = first.value;
        const told = { cutter: id, rpm, setting, vf, finishVf, feedBy, pace, width, lanes, depth, finish };
        const weak = { ...machine, motorPower: 0.1, ownForce: 10 };
        expect(cutAsTold(task, cutter, place(weak, material), told)).toMatchObject(told);
      }),
      { numRuns: 300 },
    );
  });

  test("a house rule moves soft limits only: power is never exceeded", () => {
    fc.assert(
      fc.property(
        placed,
        fc.constantFrom("depth", "force", "feed", "speed"),
        ({ cutter, machine, material, task }, what) => {
          const rule = {
            id: "r",
            name: "r",
            retired: false,
            machine: null,
            material: null,
            cutterKind: null,
            what: what as "depth",
            factor: 3,
          };
          const shop = { holders: [], houseRules: [rule] };
          const cut = cutWith(task, cutter, { machine, material, shop });
          if (!cut.ok) return;
          const hard = cut.value.limits.filter((l) => l.hardAt !== null);
          for (const limit of hard) expect(cut.value.depth).toBeLessThanOrEqual(limit.hardAt! * almost);
          expect(cut.value.power).toBeLessThanOrEqual(cut.value.spindlePower * almost);
        },
      ),
      { numRuns: 500 },
    );
  });

  test("slack above the chip of a turn forbids climbing but for a tenth", () => {
    const part = fc.integer({ min: 1, max: 500 }).map((n) => n / 500);
    fc.assert(
      fc.property(part, part, part, (depth, backlash, perTurn) => {
        expect(mayClimb(depth, backlash, perTurn).ok).toBe(backlash <= perTurn || depth <= 0.1 + 1e-9);
      }),
    );
  });

  test("every machine of the demo has a spring and every material a whole row", () => {
    for (const machine of demoShop.machines) expect(springOf(machine)).toBeGreaterThan(0);
    for (const material of materialsWith(noOwnValues)) {
      for (const [low, high] of Object.values(material.speeds)) expect(low).toBeLessThan(high);
      expect(material.kc11 * material.density * material.expansion).toBeGreaterThan(0);
    }
  });
});
