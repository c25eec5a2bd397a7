import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { facePasses, faceStrokes, type FaceSweep, lanesOver, strokeMinutes } from "./index.ts";

const edges = { from: "front", to: "back", whole: true } as const;

/** A face of so much, cut with so wide a cutter in lanes that are at most 0.7 of it. */
const faceCase = fc
  .record({
    x: fc.double({ min: 5, max: 400, noNaN: true }),
    y: fc.double({ min: 5, max: 400, noNaN: true }),
    diameter: fc.double({ min: 10, max: 125, noNaN: true }),
    fromFront: fc.boolean(),
    toward: fc.constantFrom<1 | -1>(1, -1),
    depths: fc.array(fc.double({ min: 0.05, max: 3, noNaN: true }), { minLength: 1, maxLength: 5 }),
  })
  .map(({ x, y, diameter, fromFront, toward, depths }) => {
    const count = Math.ceil(y / (0.7 * diameter));
    const sides = fromFront ? edges : ({ from: "back", to: "front", whole: true } as const);
    const sweep: FaceSweep = {
      by: "end",
      along: "x",
      toward,
      lastToward: toward,
      size: { x, y },
      lanes: lanesOver([0, y], { count, width: y / count }, diameter, sides),
      cutter: { diameter, wide: diameter },
      side: null,
      down: 0,
    };
    const passes = depths.map((takes, i) => ({
      number: i + 1,
      takes,
      cumulative: depths.slice(0, i + 1).reduce((a, b) => a + b),
      last: i === depths.length - 1,
    }));
    return { sweep, passes, diameter };
  });

describe("a face, lane by lane", () => {
  test("the cutter goes over all of it, and out past every edge of it", () => {
    fc.assert(
      fc.property(faceCase, ({ sweep, diameter }) => {
        const swept = sweep.lanes
          .map(({ middle }) => [middle - diameter / 2, middle + diameter / 2] as const)
          .sort((a, b) => a[0] - b[0]);
        let reached = 0;
        for (const [from, to] of swept) {
          expect(from).toBeLessThanOrEqual(reached + 1e-6);
          reached = Math.max(reached, to);
        }
        expect(reached).toBeGreaterThanOrEqual(sweep.size.y - 1e-6);
      }),
    );
  });

  test("no lane takes more than its width, in the order they are cut", () => {
    fc.assert(
      fc.property(faceCase, ({ sweep }) => {
        const width = sweep.size.y / sweep.lanes.length;
        for (const { covers } of sweep.lanes) expect(covers[1] - covers[0]).toBeCloseTo(width, 4);
      }),
    );
  });

  test("every pass goes down clear of the part and feeds out past its end, all lanes the same way", () => {
    fc.assert(
      fc.property(faceCase, ({ sweep, passes, diameter }) => {
        const strokes = faceStrokes(sweep, facePasses({ vf: 100, finishVf: 50, spring: false }, passes));
        expect(strokes.filter((s) => s.kind === "feed")).toHaveLength(passes.length * sweep.lanes.length);
        let x = NaN;
        for (const { kind, to, vf, level } of strokes) {
          const clear = (at: number) => at <= -diameter / 2 || at >= sweep.size.x + diameter / 2;
          if (to.x !== undefined) {
            expect(clear(to.x)).toBe(true);
            if (kind === "feed") {
              expect(Math.sign(to.x - x)).toBe(sweep.toward);
              expect(vf).toBe(level === passes.length ? 50 : 100);
            }
            x = to.x;
          }
        }
      }),
    );
  });

  test("pass by pass takes as long as all together", () => {
    fc.assert(
      fc.property(faceCase, ({ sweep, passes }) => {
        const fed = facePasses({ vf: 100, finishVf: 50, spring: true }, passes);
        const all = strokeMinutes(faceStrokes(sweep, fed), 100, 0);
        const each = passes.map((p) =>
          strokeMinutes(
            faceStrokes(
              sweep,
              fed.filter((f) => f.number === p.number),
            ),
            100,
            0,
          ),
        );
        expect(each.reduce((a, b) => a + b)).toBeCloseTo(all, 6);
      }),
    );
  });

  test.each([
    // The side, where it lies for a wall 2 mm inside it with a cutter of 20, and how it is cut to the back.
    ["left", -8, "climb"],
    ["right", 108, "conventional"],
  ] as const)("a wall on the %s side lies at %d", (side, at, cuts) => {
    const sweep: FaceSweep = {
      by: "side",
      along: "y",
      toward: 1,
      lastToward: 1,
      size: { x: 100, y: 40 },
      lanes: [],
      cutter: { diameter: 20, wide: 20 },
      side,
      down: 31,
    };
    const [go, down, feed] = faceStrokes(
      sweep,
      facePasses({ vf: 100, finishVf: 50, spring: false }, [
        { number: 1, takes: 2, cumulative: 2, last: true },
      ]),
    );
    expect(go!.to).toEqual({ x: at, y: -12 });
    expect(down!.to).toEqual({ z: -31 });
    expect(feed).toMatchObject({ to: { y: 52 }, cuts, vf: 50 });
  });
});
