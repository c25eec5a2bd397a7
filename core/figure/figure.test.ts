import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import * as any from "../../tests/arbitraries.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { siteOf } from "../part/index.ts";
import { referenceChain } from "../route/index.ts";
import {
  faceNet,
  faceView,
  type Figure,
  jawSection,
  referenceGraph,
  type Shape,
  threeViews,
} from "./index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

const vise = demoShop.vises[0]!;
const planOf = (job: Parameters<typeof plan>[0]["job"]) =>
  plan({ job, records: [], shop: demoShop, piece: 1 });
const cutterOf = (id: string) => demoShop.cutters.find((c) => c.id === id)!;

function pointsOf(shape: Shape): [number, number][] {
  switch (shape.kind) {
    case "rect":
      return [
        [shape.x, shape.y],
        [shape.x + shape.w, shape.y + shape.h],
      ];
    case "circle":
      return [
        [shape.x - shape.r, shape.y - shape.r],
        [shape.x + shape.r, shape.y + shape.r],
      ];
    case "line":
      return shape.points;
    case "path":
      return shape.outlines.flatMap((outline) => outline.map(({ x, y }): [number, number] => [x, y]));
    case "text":
      return [[shape.x, shape.y]];
    case "dimension":
      return [shape.from, shape.to];
  }
}

/** Every point lies in the frame, every size is a number. */
function inFrame(figure: Figure) {
  for (const shape of figure.shapes) {
    for (const [x, y] of pointsOf(shape)) {
      expect(Number.isFinite(x) && Number.isFinite(y), JSON.stringify(shape)).toBe(true);
      expect(x).toBeGreaterThanOrEqual(-0.5);
      expect(x).toBeLessThanOrEqual(figure.width + 0.5);
      expect(y).toBeGreaterThanOrEqual(-0.5);
      expect(y).toBeLessThanOrEqual(figure.height + 0.5);
    }
  }
  expect(figure.title.length).toBeGreaterThan(10);
}

const inks = (figure: Figure, ink: string) => figure.shapes.filter((s) => "ink" in s && s.ink === ink);

describe("drawn things", () => {
  test("every setup of any block is drawn inside its frame, with what is really there", () => {
    fc.assert(
      fc.property(any.job, (job) => {
        const made = planOf(job);
        for (const setup of faceCuts(made)) {
          for (const small of [true, false]) {
            const figure = jawSection(setup, vise, cutterOf(setup.cut.cutter), { small });
            inFrame(figure);
            if (setup.cut.kind === "face" && !setup.seat.table && !setup.seat.points) {
              expect(inks(figure, "rod").length).toBe(setup.seat.rod ? 1 : 0);
              expect(inks(figure, "parallel").length).toBe(
                setup.seat.parallels ? (setup.seat.parallels.single ? 1 : 2) : 0,
              );
              expect(inks(figure, "remove").length).toBe(setup.from - setup.to > 0.005 ? 1 : 0);
            }
          }
          for (const { strokes } of made.steps.filter((s) => s.op === setup.key))
            inFrame(faceView(setup, strokes, vise));
          inFrame(referenceGraph(referenceChain(faceCuts(made))));
          inFrame(faceNet(setup.before, setup.at));
        }
      }),
      { numRuns: 30 },
    );
  });

  test("the part is drawn to scale and the dimensions say what the plan says", () => {
    const setup = faceCuts(planOf(cheekBlock()))[2]!;
    const figure = jawSection(setup, vise, cutterOf(setup.cut.cutter), { small: false });
    const part = inks(figure, "part")[0] as Shape & { kind: "rect" };
    expect([part.w, part.h]).toEqual([setup.seat.between, setup.to]);
    const dims = figure.shapes.filter((s) => s.kind === "dimension");
    expect(dims.map((d) => [d.label, d.value.value])).toEqual([
      ["above", setup.seat.projection],
      ["grip", setup.seat.grip],
      ["to size", setup.to],
    ]);
    // A dimension is as long as what it measures.
    for (const d of dims.slice(1)) expect(Math.abs(d.from[1] - d.to[1])).toBeCloseTo(d.value.value, 6);
  });

  test("the face net tells condition, order and references", () => {
    const setups = faceCuts(planOf(cheekBlock()));
    const net = faceNet(setups[3]!.after, setups[3]!.at);
    expect(
      net.shapes
        .filter((s) => s.kind === "text" && /^[1-6]$/.test(s.text))
        .map((s) => (s as { text: string }).text)
        .sort(),
    ).toEqual(["1", "2", "3", "4"]);
    expect(inks(net, "face-milled")).toHaveLength(4);
    expect(inks(net, "face-sawn")).toHaveLength(2);
    expect(net.title).toMatch(/left sawn/);
  });

  test.each([
    [96, 60, 38],
    [300, 20, 5],
    [25, 25, 25],
    [10, 80, 60],
  ])(
    "three views of %d × %d × %d keep their proportions and their entries inside",
    (length, width, height) => {
      const { figure, entries } = threeViews(siteOf([], { length, width, height }));
      inFrame(figure);
      const views = inks(figure, "part") as (Shape & { kind: "rect" })[];
      expect(views.map((v) => [v.w, v.h])).toEqual([
        [length, width],
        [length, height],
        [width, height],
      ]);
      for (const { x, y } of Object.values(entries)) expect(x > 0 && x < 1 && y > 0 && y < 1).toBe(true);
    },
  );
});
