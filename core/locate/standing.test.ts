import { describe, expect, test } from "vitest";
import { rectangle } from "../frame/index.ts";
import { setupFrame } from "./setup-frame.ts";
import { type PartStanding, Standing, type Swath } from "./standing.ts";

const sizes = { length: 100, width: 60, height: 30 };
const block: PartStanding = { sizes, shaft: null, gone: [] };
/** A slot along the length, 20 to 40 across, 12 deep from the top. */
const slot: PartStanding["gone"][number] = {
  axis: "length",
  outline: rectangle([20, 40], [18, 30], 0),
  span: [0, 100],
};
const shaft: PartStanding = {
  sizes: { length: 100, width: 40, height: 40 },
  shaft: [
    { from: 0, to: 60, diameter: 40 },
    { from: 60, to: 100, diameter: 30 },
  ],
  gone: [],
};
const at = { up: "top", fixed: "back" } as const;
const standing = (part: PartStanding, crown = 0, swaths: Swath[] = []) =>
  new Standing(part, setupFrame(at, "back", part.sizes, { x: "left", y: "front" }), crown, swaths);

describe("where metal stands", () => {
  test.each([
    ["in the block", block, [50, 30], -10, true],
    ["beside it", block, [-1, 30], -10, false],
    ["above it", block, [50, 30], 1, false],
    ["below it", block, [50, 30], -31, false],
    ["in a slot cut before", { ...block, gone: [slot] }, [50, 30], -10, false],
    ["under that slot", { ...block, gone: [slot] }, [50, 30], -13, true],
    ["beside that slot", { ...block, gone: [slot] }, [50, 19], -10, true],
    ["in a shaft", shaft, [30, 20], -1, true],
    ["over its thinner end", shaft, [80, 20], -1, false],
    ["in its thinner end", shaft, [80, 20], -6, true],
  ] as const)("%s", (_name, part, [x, y], z, metal) => {
    expect(standing(part).metalAt([x, y], z)).toBe(metal);
  });

  test("Z counts from the crown that is touched", () => {
    expect(standing(shaft, 5).metalAt([80, 20], -1)).toBe(true);
  });

  test("from below the part is seen the other way up", () => {
    const frame = setupFrame({ up: "bottom", fixed: "back" }, "back", sizes, { x: "left", y: "front" });
    const part = new Standing({ ...block, gone: [slot] }, frame, 0);
    const middle = [frame.x.sign * 50, frame.y.sign * 30] as const;
    expect([part.metalAt(middle, -17), part.metalAt(middle, -19)]).toEqual([true, false]);
  });
});

describe("what a cutter meets", () => {
  const way = (y: number, z: number): Swath => ({ from: [-10, y], to: [110, y], radius: 5, z });
  test.each([
    ["a fresh way", [], way(30, -3), true],
    ["the same way again", [way(30, -3)], way(30, -3), false],
    ["the next level", [way(30, -3)], way(30, -6), true],
    ["a level above one that is cut", [way(30, -6)], way(30, -3), false],
    ["half a tenth beside", [way(30, -3)], way(30.05, -3), true],
    ["less than a chip beside", [way(30, -3)], way(30.01, -3), false],
    ["past the far side, the last of the metal", [way(30, -28)], way(30, -30.5), true],
    ["past the far side once more", [way(30, -30)], way(30, -30.5), false],
  ] as const)("%s", (_name, before, asked, meets) => {
    expect(standing(block, 0, [...before]).meets(asked)).toBe(meets);
  });

  test("straight down beside a wall it meets what is left of it", () => {
    const cleared: Swath = { from: [30, 30], to: [70, 30], radius: 10, z: -5 };
    const down = (y: number): Swath => ({ from: [50, y], to: [50, y], radius: 6, z: -5 });
    expect([
      standing(block, 0, [cleared]).meets(down(33)),
      standing(block, 0, [cleared]).meets(down(34.2)),
    ]).toEqual([false, true]);
  });
});
