import { describe, expect, test } from "vitest";
import { type Face, faceNames } from "../frame/index.ts";
import { siteOf } from "../part/index.ts";
import { cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { featuresOf } from "../part/index.ts";
import { drawnCutouts, type Figure, projectionAngles, threeViews, viewPoint } from "./index.ts";

const { part } = cheekBlockWithFeatures();
const sizes = { length: 96, width: 60, height: 38 };
const site = siteOf(featuresOf(part), sizes);
const cutouts = drawnCutouts(part, site);

const within = ({ width, height, shapes }: Figure) =>
  shapes.flatMap((s) => {
    const points: readonly (readonly [number, number])[] =
      s.kind === "line"
        ? s.points
        : s.kind === "circle"
          ? [
              [s.x - s.r, s.y - s.r],
              [s.x + s.r, s.y + s.r],
            ]
          : s.kind === "dimension"
            ? [s.from, s.to]
            : s.kind === "text"
              ? [[s.x, s.y]]
              : [];
    return points.filter(([x, y]) => x < 0 || y < 0 || x > width || y > height);
  });

describe("three views", () => {
  test.each(projectionAngles)(
    "in %s angle each view lines up with the front, and none lies over another",
    (angle) => {
      const { views } = threeViews(site, cutouts, { angle });
      const [top, front, right] = views as [(typeof views)[0], (typeof views)[0], (typeof views)[0]];
      expect(top.x(0)).toBe(front.x(0));
      expect(right.y(0)).toBe(front.y(0));
      // Third angle: the top view above, the right one at the right; first angle: both beyond the part.
      expect(Math.sign(top.y(0) - front.y(0))).toBe(angle === "third" ? -1 : 1);
      expect(Math.sign(right.x(0) - front.x(0))).toBe(angle === "third" ? 1 : -1);
      const at = {
        third: [right.x(0) - front.beyond, front.y(38) - top.y(0)],
        first: [front.x(0) - right.beyond, top.y(60) - front.y(0)],
      }[angle];
      for (const clear of at) expect(clear).toBeGreaterThan(5);
      // A place pressed is found in the view it lies in.
      expect(viewPoint(views, sizes, top.x(10), top.y(20))).toEqual({
        face: "top",
        at: { length: 10, width: 20, height: 0 },
      });
    },
  );

  test.each(projectionAngles)(
    "in %s angle nothing is drawn off the sheet, with every place dimensioned and every face marked",
    (angle) => {
      const dimensioned = (["top", "front", "right"] as const).map((face) => ({
        id: face,
        face,
        places: (["length", "width", "height"] as const).map((axis) => ({
          axis,
          from: 0,
          to: sizes[axis] / 3,
        })),
      }));
      const finish = Object.fromEntries(faceNames.map((face) => [face, 1.6])) as Record<Face, number>;
      const plain = threeViews(site, cutouts, { angle });
      const { figure } = threeViews(site, cutouts, { angle, dimensioned, finish });
      expect(within(figure)).toEqual([]);
      const kinds = (f: Figure, kind: string) => f.shapes.filter((s) => s.kind === kind).length;
      expect(kinds(figure, "dimension") - kinds(plain.figure, "dimension")).toBe(6);
      expect(figure.shapes.filter((s) => s.kind === "text" && s.text === "1.6")).toHaveLength(6);
    },
  );

  test("every feature has the balloon of its line in the schedule", () => {
    const { figure } = threeViews(site, cutouts);
    const numbers = figure.shapes.flatMap((s) => (s.kind === "text" && s.of ? [[s.of, s.text]] : []));
    expect(numbers).toEqual(part.features.order.map((id, i) => [id, String(i + 1)]));
  });
});
