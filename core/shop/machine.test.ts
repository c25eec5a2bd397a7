import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import * as any from "../../tests/arbitraries.ts";
import {
  demoShop,
  holderOf,
  type Machine,
  pickSetting,
  reachOf,
  spindlePowerAt,
  speedSpan,
  takes,
} from "./index.ts";

const knee = demoShop.machines[0]!;
const variable: Machine = {
  ...knee,
  ranges: [
    {
      name: "high",
      speeds: { kind: "variable", from: 500, to: 4200 },
      change: "running",
      reversed: false,
      baseRpm: 1200,
      slipTorque: null,
    },
  ],
};

describe("spindle speeds", () => {
  test.each([
    // wanted, top, rpm, what to set
    [300, Infinity, 325, "belt 4, low range"],
    [450, Infinity, 325, "belt 4, low range"],
    [470, Infinity, 660, "belt 1, high range"],
    [700, 650, 325, "belt 4, low range"],
    [10, 50, 80, "belt 1, low range"],
    [9000, Infinity, 2720, "belt 4, high range"],
  ])("%d wanted, at most %d: %d, %s", (wanted, top, rpm, setting) =>
    expect(pickSetting(knee, wanted, top)).toMatchObject({ rpm, setting }),
  );

  test.each([
    [1234, Infinity, 1230],
    [1238, 1235, 1230],
    [100, Infinity, 500],
    [9000, Infinity, 4200],
  ])("a span set to %d, at most %d: %d", (wanted, top, rpm) =>
    expect(pickSetting(variable, wanted, top).rpm).toBe(rpm),
  );

  test("is one the machine has, and above the top only when all are", () => {
    fc.assert(
      fc.property(
        any.machine,
        fc.integer({ min: 10, max: 6000 }),
        fc.integer({ min: 30, max: 6000 }),
        (machine, wanted, top) => {
          const { rpm } = pickSetting(machine, wanted, top);
          const [slowest, fastest] = speedSpan(machine);
          expect(rpm).toBeGreaterThanOrEqual(slowest);
          expect(rpm).toBeLessThanOrEqual(fastest);
          if (rpm > top) expect(slowest).toBeGreaterThan(top - 10);
        },
      ),
    );
  });

  test("an electronic drive loses power below its base speed, belts and gears do not", () => {
    const [slow, base, fast] = [600, 1200, 2400].map((n) =>
      spindlePowerAt(variable, pickSetting(variable, n)),
    );
    expect(slow).toBeCloseTo(base! / 2, 9);
    expect(fast).toBe(base);
    expect(spindlePowerAt(knee, pickSetting(knee, 80))).toBe(spindlePowerAt(knee, pickSetting(knee, 2720)));
  });
});

describe("holders", () => {
  test("every cutter of the demo drawer stands in one that takes it, and reaches from the nose", () => {
    for (const cutter of demoShop.cutters) {
      const holder = holderOf(cutter, demoShop);
      expect([cutter.id, holder.ok]).toEqual([cutter.id, true]);
      if (!holder.ok || !holder.value) continue;
      expect(takes(holder.value, cutter)).toBe(true);
      expect(reachOf(cutter, demoShop)).toBe(cutter.stickout + holder.value.reach);
    }
  });

  test("one that is retired is not offered, but one that was chosen stays", () => {
    const cutter = demoShop.cutters.find((c) => c.id === "em-12")!;
    const retired = { holders: demoShop.holders.map((h) => ({ ...h, retired: h.id === "collet-12" })) };
    expect(holderOf(cutter, retired)).toMatchObject({ ok: false, reason: { id: "M45.none" } });
    expect(holderOf({ ...cutter, holder: "collet-12" }, retired)).toMatchObject({
      ok: true,
      value: { id: "collet-12" },
    });
  });
});
