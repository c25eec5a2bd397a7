import { axesAcross } from "../../frame/index.ts";
import { fitDeviations } from "../../handbook/index.ts";
import { keywayOf, cutterRunOut, sectionAt } from "../../part/index.ts";
import { type Mm, mm, tidy } from "../../quantity/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { rule, say, warn, words } from "../../working/index.ts";
import type { AreaAsked } from "../mill-area.ts";
import {
  areaOfBox,
  depthsFrom,
  type Measured,
  type OfKind,
  type Recipe,
  type RecipePlace,
  type Way,
} from "../recipe.ts";
import { seatDepthLimits } from "../seat-depth.ts";
import { atWidth, slotWays } from "../slot/index.ts";

/** A keyseat: on the center of the shaft, each wall by itself, its width to its class; the floor from the crown. */
export const keywayRecipe: Recipe<OfKind<"keyway">> = (feature, place) => {
  const up = feature.face;
  const { box } = place.cutout;
  const across = axesAcross(up)[1];
  const wide = box[across][1] - box[across][0];
  const own = feature.sizes.width;
  const fit = fitDeviations(feature.fit, wide) ?? { lower: -0.02, upper: 0.02 };
  const limits =
    own && own.upper !== null && own.lower !== null
      ? { lower: wide + own.lower, upper: wide + own.upper }
      : { lower: tidy(wide + fit.lower), upper: tidy(wide + fit.upper) };
  const target = tidy((limits.lower + limits.upper) / 2);
  const { top, floor } = depthsFrom(
    up,
    box[up === "top" || up === "bottom" ? "height" : "width"],
    place.sizes,
  );
  const deep = seatDepthLimits(feature.sizes.depth, keywayOf(feature, place.site)?.key?.plus);
  const aimed = tidy((deep.lower + deep.upper) / 2);
  const measure: Measured = {
    size: "width",
    name: say`the seat width, ${own?.upper === null || !own ? feature.fit : "as drawn"}`,
    target,
    limits,
    before: false,
    grows: true,
  };
  const asked: AreaAsked = {
    up,
    area: atWidth(areaOfBox(up, box, place.sizes), target),
    what: "keyseat",
    corner: null,
    top,
    floor: tidy(floor + aimed),
    each: true,
    measure,
    halfTolerance: (limits.upper - limits.lower) / 2,
    exact: 0.02,
  };
  // What a caliper can get at: the floor over the far side (S, d − t1).
  const shaft = sectionAt(place.site.shaft!, (box.length[0] + box.length[1]) / 2)!.diameter;
  const over = tidy(shaft - (floor - top));
  const depth: Measured = {
    size: "depth",
    name: words("floor of the seat over the far side"),
    target: tidy(over - aimed),
    limits: { lower: tidy(over - deep.upper), upper: tidy(over - deep.lower) },
    before: false,
    grows: false,
  };
  const ways = slotWays(asked, { target, ...limits }, place).map((way) => ({
    ...way,
    works: way.works.map((w) => (w.task === "rough" ? { ...w, measure: depth } : w)),
  }));
  return feature.end === "closed" ? ways : [...ways, discWay(feature, asked, target, limits, place)];
};

/** Open at an end: a side-and-face cutter on the arbor, its run-out past the drawn end told. */
function discWay(
  feature: OfKind<"keyway">,
  asked: AreaAsked,
  target: Mm,
  limits: { lower: Mm; upper: Mm },
  { shop }: RecipePlace,
): Way {
  const depth = asked.floor - asked.top;
  // The cutter that is drawn, else the one owned that comes nearest to the width.
  const owned = shop.cutters
    .filter((c) => c.kind === "sideAndFace" && c.fluteLength <= target + 0.01)
    .sort((a, b) => b.fluteLength - a.fluteLength)[0];
  const cutter = feature.sizes.cutter?.nominal ?? (owned ? cuttingDiameter(owned) : null);
  const runsOn = cutter === null ? null : cutterRunOut(cutter, depth);
  return {
    name: "with a side-and-face cutter",
    why: words("A disc cutter stays narrow and stiff, where an end is open to let it out."),
    up: asked.up,
    works: [
      {
        task: "groove",
        title: say`Cut the keyseat with a side-and-face cutter`,
        sweep: { kind: "clear", area: asked.area, leave: 0 },
        top: asked.top,
        floor: asked.floor,
        tool: {
          by: "mill",
          kind: "groove",
          most: null,
          least: null,
          plunges: false,
          total: depth,
          halfTolerance: (limits.upper - limits.lower) / 2,
          tilt: null,
        },
        exact: 0.02,
        measure: asked.measure,
        notes: [
          warn(
            rule(
              "M28.disc",
            )`It cuts as wide as the cutter and its run-out: ${mm(target)} is needed.${runsOn === null ? say`` : say` Past the drawn end it runs out ${mm(runsOn)} more at this depth.`}`,
          ),
        ],
      },
    ],
  };
}
