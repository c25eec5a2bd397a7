import { axisOf, opposite } from "../../frame/index.ts";
import { mm, tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import { fileWork } from "../hand-work.ts";
import { aimOf, depthsFrom, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";
import { throughBy } from "../slot/index.ts";

/** What plunges leave standing on a round, to be filed, mm. */
const cusp = 0.1;
/** A radius no larger than this is filed alone, mm (guess). */
const filedUpTo = 6;

/** Outside corners rounded: plunges tangent to the arc, then the cusps filed to a template; small ones by file alone. */
export const cornerRadiusRecipe: Recipe<OfKind<"cornerRadius">> = (feature, place) => {
  const radius = feature.sizes.radius!.nominal;
  const through = feature.sizes.depth === null;
  const { cutout, sizes } = place;
  const corners = cutout.prisms.length;
  const measure: Measured = {
    size: "radius",
    name: words("the corner, by a radius gauge"),
    ...aimOf(feature, "radius", place.part)!,
    before: false,
    grows: false,
  };
  const ups = through ? [feature.face, opposite(feature.face)] : [feature.face];
  return ups.flatMap((up) => {
    const { top, floor: nominal } = depthsFrom(up, cutout.box[axisOf(up)], sizes);
    const floor = through ? tidy(nominal + throughBy) : nominal;
    const thick = floor - top;
    const works = cutout.prisms.map(({ outline }, i): Work => ({
      task: corners === 1 ? "stairs" : `stairs-${i + 1}`,
      title: say`${corners === 1 ? "The corner" : `Corner ${i + 1}`} round, plunge by plunge`,
      // The arc is the second of its three ways; the metal that stays lies within it.
      sweep: { kind: "contour", outline, metal: "outside", cusp, ways: [1] },
      top,
      floor,
      tool: {
        by: "mill",
        kind: "side",
        most: null,
        least: null,
        plunges: false,
        total: tidy(radius * (1 - Math.SQRT1_2)),
        halfTolerance: null,
        tilt: null,
      },
      exact: 0.05,
      measure: null,
      notes: [],
    }));
    const filed = (minutes: number) =>
      fileWork("file", say`File the corners to R ${mm(radius)}`, minutes, measure, { top, floor });
    return [
      ...(radius <= filedUpTo
        ? [
            {
              name: "filed",
              why: words("Small corners are filed to a radius gauge."),
              up,
              works: [filed(corners * (1 + (radius * thick) / 30))],
            },
          ]
        : []),
      {
        name: "stepped, then filed",
        why: words("Plunges tangent to the arc leave cusps that a file takes off."),
        up,
        works: [...works, filed(corners * (0.5 + thick / 40))],
      },
    ];
  });
};
