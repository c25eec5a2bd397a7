import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { AxisScrew } from "../shop/index.ts";
import { Handle } from "./handle.ts";

const screw = (backlash: number, readout: number | null): AxisScrew => ({
  lead: 5,
  division: 0.02,
  backlash,
  readout,
  powerFeeds: [],
});

const places = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 1, maxLength: 12 });
const slack = fc.integer({ min: 2, max: 40 }).map((n) => n / 100);

describe("a handle with slack", () => {
  test.each([
    ["a readout shows where the cutter is", screw(0.3, 0.005), false],
    ["a weighted screw has its slack on one side", screw(0.3, null), true],
  ])("%s: no stop is ever off", (_what, given, weighted) => {
    fc.assert(
      fc.property(places, (list) => {
        const handle = new Handle(given, weighted);
        handle.moveTo(10);
        handle.set(0);
        for (const reading of list) {
          expect(handle.moveToReading(reading)).toBeCloseTo(0, 9);
          expect(handle.at).toBeCloseTo(10 + reading, 9);
        }
      }),
    );
  });

  test("on a dial a stop is off by nothing or by the slack, by the side it is come to against that of the zero", () => {
    fc.assert(
      fc.property(places, slack, fc.boolean(), (list, off, fromBelow) => {
        const handle = new Handle(screw(off, null), false);
        // The zero is taken after a move to one side, as at a touch.
        handle.moveTo(fromBelow ? -5 : 5);
        handle.moveTo(0);
        handle.set(0);
        const zeroed = handle.side;
        for (const reading of list) {
          const error = handle.moveToReading(reading);
          expect(handle.at).toBeCloseTo(reading + error, 9);
          if (handle.side === zeroed) expect(error).toBeCloseTo(0, 9);
          else expect(Math.abs(error)).toBeCloseTo(off, 9);
          expect(handle.reading).toBeCloseTo(reading, 9);
        }
      }),
    );
  });

  test("a turn back within the slack moves nothing", () => {
    const handle = new Handle(screw(0.4, null), false);
    handle.moveTo(10);
    handle.set(0);
    handle.moveToReading(-0.3);
    expect(handle.at).toBe(10);
  });
});
