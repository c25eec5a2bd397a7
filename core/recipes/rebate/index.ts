import { axisOf, rectangle } from "../../frame/index.ts";
import { tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import { type AreaAsked, bossWork, clearWork } from "../mill-area.ts";
import { aimOf, areaOfBox, depthsFrom, type OfKind, type Recipe, type Work } from "../recipe.ts";
import { depthAim } from "../slot/index.ts";

/** What stairs of plunges leave on a rounded corner, mm. */
const cornerCusp = 0.05;

/** A rebate: rings round what stands in the middle, then its four sides, spindle at ±(S + D)/2 about the center. */
export const rebateRecipe: Recipe<OfKind<"rebate">> = (feature, place) => {
  const up = feature.face;
  const { part, cutout, sizes } = place;
  const width = aimOf(feature, "width", part)!;
  const { top, floor } = depthsFrom(up, cutout.box[axisOf(up)], sizes);
  const plain = areaOfBox(up, cutout.box, sizes);
  const w = width.target;
  const inner = {
    x: [tidy(plain.x[0] + w), tidy(plain.x[1] - w)],
    y: [tidy(plain.y[0] + w), tidy(plain.y[1] - w)],
  } as const;
  const stands = inner.x[1] > inner.x[0] && inner.y[1] > inner.y[0];
  const asked: AreaAsked = {
    up,
    area: { ...plain, boss: stands ? inner : null },
    what: "rebate",
    corner: null,
    top,
    floor: depthAim(feature, place, top, floor),
    measure: null,
    halfTolerance: (width.limits.upper - width.limits.lower) / 2,
    exact: 0.02,
  };
  const radius = feature.sizes.radius?.nominal ?? 0;
  const boss = bossWork(asked, {
    size: "width",
    name: words("what the rebate is wide"),
    ...width,
    before: false,
    grows: true,
  });
  const works: Work[] = [
    clearWork(asked),
    ...(stands ? [{ ...boss, task: "sides", title: say`Sides of what stands in the rebate` }] : []),
    ...(stands && radius > 0
      ? [
          {
            ...boss,
            task: "corners",
            title: say`Corners of what stands in the rebate`,
            measure: null,
            sweep: {
              kind: "contour" as const,
              outline: rectangle(inner.x, inner.y, radius),
              metal: "inside" as const,
              cusp: cornerCusp,
              ways: null,
            },
          },
        ]
      : []),
  ];
  return [
    {
      name: "rings round it",
      why: words("All four sides are cut from one zero, so what stands is centered on what was picked up."),
      up,
      works,
    },
  ];
};
