import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  betweenPins,
  chamfer,
  chordHeight,
  drillForPercent,
  keyseatFromCrown,
  keyseatFromWall,
  narrowWidth,
  overPins,
  pinInV,
  sineAngle,
  sineHeight,
  threadPercent,
  vGroove,
  vWidth,
  vWidthFromPin,
  woodruffLength,
  woodruffSide,
} from "./index.ts";

const size = fc.integer({ min: 20, max: 1000 }).map((n) => n / 10);
const angle = fc.integer({ min: 20, max: 150 });

describe("keyseats", () => {
  test("a depth from the crown and the same one from the wall are one seat", () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0.05, max: 0.7, noNaN: true }), (shaft, share) => {
        const width = shaft * share;
        const crown = keyseatFromCrown(shaft, width, shaft * 0.4)!;
        if (crown.atWall <= 0) return;
        const wall = keyseatFromWall(shaft, width, crown.atWall)!;
        expect(wall.fromCrown).toBeCloseTo(crown.fromCrown, 9);
        expect(wall.overOpposite).toBeCloseTo(crown.overOpposite, 9);
        expect(crown.fromCrown - crown.atWall).toBeCloseTo(chordHeight(shaft, width)!, 9);
      }),
    );
  });

  test("a seat sunk to the middle of its cutter is as long as the cutter; a half key is a half round", () => {
    fc.assert(
      fc.property(size, (d) => {
        expect(woodruffLength(d, d / 2)).toBeCloseTo(d, 9);
        const side = woodruffSide(d, d / 2)!;
        expect(side.area).toBeCloseTo((Math.PI * d ** 2) / 8, 6);
        expect(side.arc).toBeCloseTo((Math.PI * d) / 2, 6);
        expect(side.chord).toBeCloseTo(d, 9);
      }),
    );
  });

  test.each([
    ["wider than the shaft", chordHeight(10, 11)],
    ["no shaft", chordHeight(0, 1)],
    ["through the shaft", keyseatFromCrown(10, 3, 10)],
    ["deeper than the cutter", woodruffLength(10, 11)],
  ])("refused: %s", (_what, made) => expect(made).toBeNull());
});

describe("threads", () => {
  test("the drill of a percentage leaves that percentage", () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 95 }), fc.integer({ min: 3, max: 24 }), (percent, diameter) => {
        const pitch = diameter / 7;
        const drill = drillForPercent(diameter, pitch, percent)!;
        expect(threadPercent(diameter, pitch, drill)!.full).toBeCloseTo(percent, 8);
      }),
    );
  });
});

describe("angles", () => {
  test("a V gives back its width, from its depth and from a pin over it", () => {
    fc.assert(
      fc.property(size, angle, size, (width, a, pin) => {
        expect(vWidth(vGroove(width, a)!.depth, a)).toBeCloseTo(width, 8);
        const over = pinInV(width, a, pin)!.over;
        expect(vWidthFromPin(over, a, pin)).toBeCloseTo(width, 8);
      }),
    );
  });

  test("a tongue in a slot of its own size: over pins is between pins and twice a pin and its reach", () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 85 }), size, (a, wide) => {
        const narrow = narrowWidth(wide, wide / 20, a);
        const pin = wide / 40;
        const between = betweenPins(wide, a, pin);
        if (narrow === null || between === null) return;
        // Each pin reaches d (1 + cot(a/2)) from its corner, inwards in the slot and outwards at the tongue.
        expect(overPins(narrow, a, pin)! - narrow).toBeCloseTo(wide - between, 8);
      }),
    );
  });

  test("sine and its angle undo one another; a 45° chamfer has two like legs", () => {
    fc.assert(
      fc.property(size, fc.integer({ min: 0, max: 89 }), (bar, a) => {
        expect(sineAngle(bar, sineHeight(bar, a)!)).toBeCloseTo(a, 6);
        const made = chamfer(bar, 45)!;
        expect(made.other).toBeCloseTo(bar, 9);
        expect(made.face).toBeCloseTo(bar * Math.SQRT2, 9);
      }),
    );
  });
});
