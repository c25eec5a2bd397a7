import { cylinderStairs, pocketMoves, slotStops } from "../recipes/index.ts";
import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { extentOfOutline } from "../frame/index.ts";
import { sideReadings } from "../locate/index.ts";
import {
  bossPlaces,
  type Figure,
  pocketPlaces,
  type Shape,
  slotPlaces,
  stairPlaces,
  touchAtEdge,
  touchAtTop,
} from "./index.ts";

const size = fc.integer({ min: 60, max: 900 }).map((n) => n / 10);
const cutter = fc.integer({ min: 20, max: 200 }).map((n) => n / 10);

const pathsOf = (figure: Figure, ink: string) =>
  figure.shapes.filter((s): s is Shape & { kind: "path" } => s.kind === "path" && s.ink === ink);
const boxOf = (shape: Shape & { kind: "path" }) => extentOfOutline(shape.outlines[0]!);

/** Every place drawn lies in the frame. */
function inFrame(figure: Figure) {
  for (const shape of figure.shapes) {
    const points: (readonly [number, number])[] =
      shape.kind === "line"
        ? shape.points
        : shape.kind === "path"
          ? [
              [boxOf(shape).x[0], boxOf(shape).y[0]],
              [boxOf(shape).x[1], boxOf(shape).y[1]],
            ]
          : shape.kind === "text" || shape.kind === "rect"
            ? [[shape.x, shape.y]]
            : [];
    for (const [x, y] of points) {
      expect(x).toBeGreaterThanOrEqual(-1e-6);
      expect(x).toBeLessThanOrEqual(figure.width + 1e-6);
      expect(y).toBeGreaterThanOrEqual(-1e-6);
      expect(y).toBeLessThanOrEqual(figure.height + 1e-6);
    }
  }
  expect(figure.title.length).toBeGreaterThan(20);
}

describe("places of the spindle, drawn", () => {
  test("the tool stands outside the part with the paper between, on the side that is said", () => {
    for (const side of ["minus", "plus"] as const) {
      const figure = touchAtEdge(side);
      inFrame(figure);
      const [part, sheet, tool] = ["part", "parallel", "cutter"].map(
        (ink) => boxOf(pathsOf(figure, ink)[0]!).x,
      );
      if (side === "minus") expect([tool![1], sheet![1]]).toEqual([sheet![0], part![0]]);
      else expect([part![1], sheet![1]]).toEqual([sheet![0], tool![0]]);
    }
    inFrame(touchAtTop());
  });

  test("the cutter at both stops touches the ends of the slot and leaves it nowhere", () => {
    fc.assert(
      fc.property(size, size, cutter, (long, width, d) => {
        const stops = slotStops(5, long, width, d, 0);
        if (!stops) return;
        const figure = slotPlaces(stops, 5, long, width, d);
        inFrame(figure);
        const slot = boxOf(pathsOf(figure, "void")[0]!);
        const [low, high] = pathsOf(figure, "cutter").map(boxOf);
        expect(low!.x[0]).toBeCloseTo(slot.x[0], 6);
        expect(high!.x[1]).toBeCloseTo(slot.x[1], 6);
        expect(low!.y[0]).toBeGreaterThanOrEqual(slot.y[0] - 1e-6);
      }),
    );
  });

  test("the last ring of a pocket brings the cutter to its walls, the way round a boss keeps it outside", () => {
    fc.assert(
      fc.property(size, size, cutter, (x, y, d) => {
        const moves = pocketMoves({ x, y }, d, 0.2);
        if (moves) {
          const figure = pocketPlaces(moves, { x, y }, d);
          inFrame(figure);
          const [pocket, tool] = ["void", "cutter"].map((ink) => boxOf(pathsOf(figure, ink)[0]!));
          expect(tool!.x[1]).toBeCloseTo(pocket!.x[1], 6);
          expect(tool!.y[1]).toBeCloseTo(pocket!.y[1], 6);
        }
        const figure = bossPlaces(sideReadings({ x, y }, d, 0, "center", "outside")!, { x, y }, d);
        inFrame(figure);
        const [boss, tool] = ["part", "cutter"].map((ink) => boxOf(pathsOf(figure, ink)[0]!));
        expect(tool!.x[0]).toBeCloseTo(boss!.x[1], 6);
        expect(tool!.y[0]).toBeCloseTo(boss!.y[1], 6);
      }),
    );
  });

  test("steps are drawn inside the frame, however coarse", () => {
    fc.assert(
      fc.property(
        size,
        cutter,
        fc.integer({ min: 2, max: 10 }),
        fc.integer({ min: 1, max: 20 }),
        (radius, d, share, cusp) => {
          const stairs = cylinderStairs(radius, d, (radius * share) / 10, (radius * cusp) / 100);
          if (stairs) inFrame(stairPlaces(stairs, radius, d));
        },
      ),
    );
  });
});
