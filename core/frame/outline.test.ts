import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  arcOf,
  chordsOf,
  circle,
  type Corner,
  extentOfOutline,
  mapOutline,
  type Outline,
  outlineArea,
  polygon,
  rectangle,
  spansWithin,
  swappedOutline,
  waysOf,
} from "./index.ts";

/** Outlines that wind once around their middle, with arcs bent either way. */
const outline: fc.Arbitrary<Outline> = fc
  .array(fc.tuple(fc.integer({ min: 30, max: 60 }), fc.integer({ min: -3, max: 8 })), {
    minLength: 3,
    maxLength: 10,
  })
  .map((spokes) =>
    spokes.map(([r, bulge], i): Corner => {
      const angle = (2 * Math.PI * i) / spokes.length;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle), bulge: bulge / 20 };
    }),
  );

describe("outlines", () => {
  test.each([
    ["a circle", circle(3, 4, 10), Math.PI * 100, [-7, 13], [-6, 14]],
    ["a rectangle", rectangle([0, 30], [5, 15]), 300, [0, 30], [5, 15]],
    ["round corners", rectangle([0, 30], [0, 20], 5), 600 - (4 - Math.PI) * 25, [0, 30], [0, 20]],
    ["round ends", rectangle([0, 30], [0, 10], 5), 200 + Math.PI * 25, [0, 30], [0, 10]],
    [
      "a triangle",
      polygon([
        [0, 0],
        [10, 0],
        [0, 10],
      ]),
      50,
      [0, 10],
      [0, 10],
    ],
  ] as const)("%s has its area and its extent", (_what, made, area, x, y) => {
    expect(outlineArea(made)).toBeCloseTo(area, 9);
    const extent = extentOfOutline(made);
    for (const [found, wanted] of [
      [extent.x, x],
      [extent.y, y],
    ] as const)
      found.forEach((value, i) => expect(value).toBeCloseTo(wanted[i]!, 9));
  });

  test("every point of an arc lies at its radius and within the extent; chords stay within their cusp", () => {
    fc.assert(
      fc.property(outline, (made) => {
        const { x, y } = extentOfOutline(made);
        for (const [px, py] of chordsOf(made, 0.01)) {
          expect(px).toBeGreaterThanOrEqual(x[0] - 1e-6);
          expect(px).toBeLessThanOrEqual(x[1] + 1e-6);
          expect(py).toBeGreaterThanOrEqual(y[0] - 1e-6);
          expect(py).toBeLessThanOrEqual(y[1] + 1e-6);
        }
        for (const [from, to] of waysOf(made)) {
          const arc = arcOf(from, to);
          if (!arc) continue;
          for (const end of [from, to])
            expect(Math.hypot(end.x - arc.x, end.y - arc.y)).toBeCloseTo(arc.r, 6);
        }
        const straight = polygon(chordsOf(made, 0.001));
        expect(outlineArea(straight)).toBeCloseTo(outlineArea(made), 0);
      }),
    );
  });

  test("spans across it add up to its area, either way", () => {
    fc.assert(
      fc.property(outline, fc.constantFrom("x" as const, "y" as const), (made, across) => {
        const [low, high] = extentOfOutline(made)[across];
        const slices = 4000;
        const step = (high - low) / slices;
        let area = 0;
        for (let i = 0; i < slices; i++)
          for (const [a, b] of spansWithin(made, across, low + (i + 0.5) * step)) area += (b - a) * step;
        expect(area / outlineArea(made)).toBeCloseTo(1, 2);
      }),
      { numRuns: 25 },
    );
  });

  test("mirrored or with its directions changed it keeps its area and turns the other way round", () => {
    fc.assert(
      fc.property(outline, (made) => {
        const mirrored = mapOutline(made, (x, y) => [-x, y], true);
        expect(outlineArea(mirrored)).toBeCloseTo(-outlineArea(made), 6);
        expect(outlineArea(swappedOutline(made))).toBeCloseTo(-outlineArea(made), 6);
        const { x, y } = extentOfOutline(made);
        const swapped = extentOfOutline(swappedOutline(made));
        swapped.x.forEach((value, i) => expect(value).toBeCloseTo(y[i]!, 9));
        swapped.y.forEach((value, i) => expect(value).toBeCloseTo(x[i]!, 9));
      }),
    );
  });
});
