import { tidy } from "../../quantity/index.ts";
import { note, rule, say, words } from "../../working/index.ts";
import { grooveRun } from "../groove-run.ts";
import { clearWork, wallWorks } from "../mill-area.ts";
import { aimOf, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";
import type { Area } from "../sweep.ts";

/** A stem left standing: both shoulders from one setup, the stem measured before its last wall. */
export const tShapeRecipe: Recipe<OfKind<"tShape">> = (feature, place) => {
  const up = feature.face;
  const stem = aimOf(feature, "stem", place.part)!;
  const depth = aimOf(feature, "depth", place.part)!;
  const { run, across, middle } = grooveRun(feature, place);
  const whole = place.sizes[across];
  const measure: Measured = {
    size: "stem",
    name: words(stem.mate ? `the stem, for ${stem.mate}` : "the stem"),
    target: stem.target,
    limits: stem.limits,
    before: false,
    grows: false,
  };
  const sides = [
    { span: [0, tidy(middle - stem.target / 2)], wall: "High", word: "low" },
    { span: [tidy(middle + stem.target / 2), whole], wall: "Low", word: "high" },
  ] as const;
  const areas = sides
    .filter(({ span }) => span[1] - span[0] > 1e-6)
    .map(({ span, wall, word }) => {
      const cross = run.along === "x" ? "y" : "x";
      const area: Area = {
        x: [run.from, run.to],
        y: [run.from, run.to],
        walls: { xLow: false, xHigh: false, yLow: false, yHigh: false, [`${cross}${wall}`]: true },
        boss: null,
        corner: 0,
        [cross]: span,
      };
      return {
        area,
        word,
        asked: {
          up,
          area,
          what: `${word} shoulder`,
          corner: null,
          top: 0,
          floor: depth.target,
          measure: null,
          halfTolerance: (stem.limits.upper - stem.limits.lower) / 2,
          exact: 0.02,
          prefix: `${word}-`,
        },
      };
    });
  const walls = areas.flatMap(({ asked }) =>
    wallWorks(asked).map((w): Work => ({ ...w, task: `${asked.prefix}wall` })),
  );
  const works = [
    ...areas.map(({ asked }) => clearWork(asked)),
    ...walls.map((w, i) => ({
      ...w,
      measure: i === walls.length - 1 ? measure : { ...measure, before: true },
      notes:
        i === walls.length - 1
          ? [
              note(
                rule(
                  "fit.left",
                )`Measure the stem before this wall: what is over ${stem.mate ? "the size for its mate" : "its size"} is what this wall takes.`,
              ),
            ]
          : [],
    })),
  ];
  return [
    {
      name: "both shoulders in one setup",
      why: say`Both sides of the stem are cut from one zero, so that it is parallel and where it should be.`,
      up,
      works,
    },
  ];
};
