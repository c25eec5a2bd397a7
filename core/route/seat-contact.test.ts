import { describe, expect, test } from "vitest";
import { rectangle } from "../frame/index.ts";
import type { Seat } from "../holding/index.ts";
import type { Prism } from "../part/index.ts";
import { contactIn, leastSupport } from "./seat-contact.ts";

const sizes = { length: 100, width: 60, height: 40 };
const at = { up: "top", fixed: "back" } as const;
const vise = { jawWidth: 125, jawChamfer: 1 };
const seat = { grip: 20, parallels: { id: "p", height: 12, thickness: 8, inset: 0, single: false } } as Seat;
const onBed = { grip: 20, parallels: null } as Seat;
/** A prism along the length over so much of width and height. */
const along = (width: readonly [number, number], height: readonly [number, number]): Prism => ({
  axis: "length",
  outline: rectangle(width, height, 0),
  span: [0, 100],
});
const touched = (gone: Prism[], held: Seat = seat) => contactIn({ seat: held, at }, gone, sizes, vise, 125);

describe("what of a block is touched", () => {
  test("a plain block all over", () => {
    const { fixed, moving, supports } = touched([]);
    expect([fixed, moving]).toEqual([19, 19]);
    expect(supports.map((s) => [s.at, Math.round(s.area)])).toEqual([
      ["fixed", 800],
      ["moving", 800],
    ]);
  });

  test.each([
    [
      "a step out of the lower back edge carries nothing at the fixed jaw",
      [along([50, 60], [0, 10])],
      "fixed",
      "moving",
    ],
    [
      "a step out of the lower front edge carries nothing at the moving jaw",
      [along([0, 10], [0, 10])],
      "moving",
      "fixed",
    ],
  ] as const)("%s", (_name, gone, empty, whole) => {
    const { supports, ...jaws } = touched([...gone]);
    expect(supports.find((s) => s.at === empty)!.area).toBeLessThan(leastSupport);
    expect(supports.find((s) => s.at === whole)!.area).toBeGreaterThan(700);
    // The jaw holds what stands above the step.
    expect(jaws[empty]).toBeLessThan(10);
    expect(jaws[whole]).toBe(19);
  });

  test("a slot in the middle of the lower face leaves both parallels whole, and the bed what is beside it", () => {
    const slot = along([20, 40], [0, 5]);
    expect(touched([slot]).supports.every((s) => s.area > 700)).toBe(true);
    const [bed] = touched([slot], onBed).supports;
    expect(bed!.area).toBeGreaterThan(3000);
    expect(bed!.area).toBeLessThan(5000);
  });

  test("a slot above the jaws takes no grip away", () => {
    expect(touched([along([0, 60], [30, 40])]).fixed).toBe(19);
  });
});
