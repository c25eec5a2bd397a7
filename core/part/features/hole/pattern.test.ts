import { describe, expect, test } from "vitest";
import { dim, featureOf } from "../../../../tests/support/cheek-block.ts";
import { demoJobs } from "../../../../tests/support/demo-jobs.ts";
import { faceNames } from "../../../frame/index.ts";
import { axesAcross } from "../../../frame/index.ts";
import { demoShop } from "../../../shop/index.ts";
import { checkDrawing } from "../../index.ts";
import { cornersAsRows, holeMiddles } from "./pattern.ts";
import type { Hole } from "./schema.ts";

const sizes = { length: 100, width: 60, height: 40 };
const site = { sizes };
const hole = (given: Partial<Hole>): Hole => ({
  ...featureOf<"hole">("hole", "h", "top", {
    sizes: { diameter: "6" },
    first: "left 10",
    second: "front 8",
  }),
  pattern: "corners",
  ...given,
});
const sorted = (points: readonly (readonly [number, number])[]) =>
  [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);

describe("a hole at every corner", () => {
  test.each(faceNames)("of the %s face: as far in from each edge as the one that is placed", (face) => {
    const [a, b] = axesAcross(face);
    for (const at of [
      [10, 8],
      [sizes[a] - 10, 8],
      [10, sizes[b] - 8],
    ] as const)
      expect(sorted(holeMiddles(hole({ face }), at, site)!)).toEqual(
        sorted([
          [10, 8],
          [sizes[a] - 10, 8],
          [10, sizes[b] - 8],
          [sizes[a] - 10, sizes[b] - 8],
        ]),
      );
  });

  test.each([
    ["in the middle of the length", [50, 8], 2],
    ["in the middle of both", [50, 30], 1],
  ] as const)("%s no hole is told twice", (_what, at, count) => {
    expect(holeMiddles(hole({}), at, site)).toHaveLength(count);
  });

  test.each([
    [10, 8],
    [90, 8],
    [90, 52],
    [50, 8],
  ] as const)("placed at %i, %i it is the same holes as rows, whatever block they are in", (x, y) => {
    const rows = cornersAsRows(hole({}), [x, y], site, "mm");
    expect(rows.pattern).toBe("grid");
    const other = { sizes: { length: 500, width: 400, height: 40 } };
    expect(sorted(holeMiddles(rows, [x, y], other)!)).toEqual(sorted(holeMiddles(hole({}), [x, y], site)!));
  });

  test("any other pattern stays what it is", () => {
    const grid = hole({ pattern: "grid", sizes: { ...hole({}).sizes, pitchFirst: dim("10") } });
    expect(cornersAsRows(grid, [10, 8], site, "mm")).toBe(grid);
  });
});

test("a shaft has no corners: the drawing check stops it", () => {
  const shaft = demoJobs().find((job) => job.part.shaft)!;
  const { part } = shaft;
  const drawn = {
    ...part,
    features: { byId: { h: hole({ id: "h", form: "drilled" }) }, order: ["h"] },
  };
  const ids = checkDrawing(drawn, demoShop).map((f) => [f.severity, f.phrase.id]);
  expect(ids).toContainEqual(["stop", "drawing.corners"]);
});
