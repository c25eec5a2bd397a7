import { beforeAll, describe, expect, test } from "vitest";
import { block, cheekBlock, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { newJob } from "../job/index.ts";
import type { Part } from "../part/index.ts";
import { seenPart } from "./seen-part.ts";
import { openSolids, type SolidKit } from "./solid.ts";

let kit: SolidKit;
beforeAll(async () => {
  kit = await openSolids();
});

const edgesOf = (part: Part) => seenPart(part, kit)!.paths.find((p) => p.shade === "edge")!.d;
/** Length of all lines of a path. */
const long = (d: string) =>
  [...d.matchAll(/M(\d+) (\d+)L(\d+) (\d+)/g)].reduce(
    (sum, [, a, b, c, e]) => sum + Math.hypot(Number(c) - Number(a), Number(e) - Number(b)),
    0,
  );

describe("the part as it is seen", () => {
  test("a plain block: three faces, nine edges, nothing outside the picture", () => {
    const { width, height, paths } = seenPart(cheekBlock().part, kit)!;
    expect(paths.map((p) => p.shade)).toEqual(["top", "front", "side", "edge"]);
    const numbers = paths.flatMap(({ d }) => [...d.matchAll(/[ML](\d+) (\d+)/g)]);
    for (const [, x, y] of numbers) {
      expect(Number(x)).toBeLessThanOrEqual(width);
      expect(Number(y)).toBeLessThanOrEqual(Math.ceil(height));
    }
    // They run along three sizes, so in three directions.
    const directions = [...paths.at(-1)!.d.matchAll(/M(\d+) (\d+)L(\d+) (\d+)/g)].map(
      ([, a, b, c, e]) =>
        ((Math.atan2(Number(e) - Number(b), Number(c) - Number(a)) * 180) / Math.PI + 180) % 180,
    );
    const apart = directions.sort((a, b) => a - b).filter((d, i) => i === 0 || d - directions[i - 1]! > 5);
    expect(apart).toHaveLength(3);
  });

  test.each([
    ["top", true],
    ["right", true],
    ["front", true],
    ["bottom", false],
    ["left", false],
    ["back", false],
  ] as const)("a blind hole in the %s face is seen: %s", (face, isSeen) => {
    const hole = featureOf("hole", "h", face, { sizes: { diameter: "12", depth: "6" } });
    const drilled = block(["part/features", featureList([hole])]);
    expect(long(edgesOf(drilled.part)) > long(edgesOf(cheekBlock().part)) + 20).toBe(isSeen);
  });

  test("a drawing that is not whole has no picture", () => {
    expect(seenPart(newJob("n", "New", "knee", "vise-125").part, kit)).toBeNull();
  });
});
