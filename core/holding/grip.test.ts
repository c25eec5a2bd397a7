import * as fc from "fast-check";
import { expect, test } from "vitest";
import { demoShop } from "../shop/index.ts";
import { gripCapacity, restBears, type Seat, studLength, tipInJaws } from "./index.ts";

const vise = demoShop.vises[0]!;
const seat = (grip: number, above: number): Seat => ({
  up: "top",
  fixed: "front",
  vise: vise.id,
  parallels: null,
  rod: null,
  paper: false,
  tap: true,
  soft: false,
  square: false,
  grip,
  effectiveGrip: grip,
  projection: above,
  standing: vise.jawDepth + above,
  between: 60,
  along: 100,
  overhang: null,
  jack: false,
  stop: false,
  points: false,
  together: null,
  blocks: null,
  table: null,
});
const some = fc.integer({ min: 3, max: 40 });

test("more torque, a deeper grip, a lower cut never hold less; a rod never more", () => {
  fc.assert(
    fc.property(some, some, fc.integer({ min: 10, max: 80 }), (grip, above, pull) => {
      const at = (g: number, a: number, p: number) => gripCapacity(seat(g, a), { ...vise, pull: p }, "steel");
      const here = at(grip, above, pull);
      expect(at(grip, above, pull + 5).along).toBeGreaterThan(here.along);
      expect(at(grip + 1, above, pull).tipping).toBeGreaterThan(here.tipping);
      expect(at(grip, above + 1, pull).arm).toBeGreaterThan(here.arm);
      expect(at(grip, above + 1, pull).rest).toBeLessThan(here.rest);
      const rod = { id: "r", diameter: 12, height: 20 };
      expect(gripCapacity({ ...seat(grip, above), rod }, { ...vise, pull }, "steel").lift).toBeLessThan(
        here.lift,
      );
      expect(
        gripCapacity({ ...seat(grip, above), paper: true }, { ...vise, pull }, "steel").along,
      ).toBeGreaterThan(here.along);
    }),
  );
});

test("tipping: as much as the grip's lever, twice that at most", () => {
  fc.assert(
    fc.property(some, some, some, (force, above, grip) => {
      const tip = tipInJaws(1000 * force, 100 * force, above, grip)!;
      expect(tip.holds / tip.tips).toBeCloseTo(tip.safety, 9);
      expect(tip.atMost).toBeCloseTo(2 * tip.safety, 9);
    }),
  );
});

test("what stands out of the vise bends with the cube of its height and the thickness of the wall", () => {
  const wall = (above: number, between: number) => restBears({ ...seat(30, above), between }, vise, "steel");
  expect(wall(20, 6) / wall(40, 6)).toBeCloseTo(8, 6);
  expect(wall(20, 12) / wall(20, 6)).toBeCloseTo(8, 6);
  expect(restBears(seat(30, 0), vise, "steel")).toBe(Infinity);
});

test("a stud is what it passes, the nut, the T-nut and a little", () =>
  expect(
    studLength({
      passes: [12, 30, 16],
      nut: 10,
      tNut: 12,
      diameter: 12,
    }),
  ).toBeCloseTo(12 + 30 + 16 + 10 + 12 + 3.6, 9));
