import { axisOf, isConvex, mapOutline, opposite } from "../../frame/index.ts";
import { middleOn } from "../../part/index.ts";
import { tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import { fileWork } from "../hand-work.ts";
import { roughly, wallAllowance } from "../mill-area.ts";
import { aimOf, depthsFrom, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";
import { depthAim, throughBy } from "../slot/index.ts";

/** What plunges leave standing on a slanted or round way, to be filed, mm. */
export const outlineCusp = 0.1;

/** A free outline: rows, then along its straight ways, plunge by plunge along the others, and filed to a template. */
export const outlineRecipe: Recipe<OfKind<"outline">> = (feature, place) => {
  const { cutout, sizes } = place;
  const through = feature.sizes.depth === null;
  const at = middleOn(feature, place.site)!;
  const outline = mapOutline(feature.corners, (x, y) => [at[0] + x, at[1] + y]);
  const inside = feature.takes === "inside";
  const ups = through ? [feature.face, opposite(feature.face)] : [feature.face];
  const prism = cutout.prisms[0]!;
  return ups.flatMap((up) => {
    const { top, floor: nominal } = depthsFrom(up, prism.span, sizes);
    const floor = through ? tidy(nominal + throughBy) : depthAim(feature, place, top, nominal);
    const around = { x: cutout.box[axesOf(up)[0]], y: cutout.box[axesOf(up)[1]] };
    const xs = outline.map((c) => c.x);
    const ys = outline.map((c) => c.y);
    const narrow = Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
    const measure: Measured | null = aimOf(feature, "depth", place.part) && {
      size: "depth",
      name: words("the depth of the outline"),
      ...aimOf(feature, "depth", place.part)!,
      before: false,
      grows: true,
    };
    const rough: Work = {
      task: "rough",
      title: say`Rough out the outline in rows`,
      sweep: {
        kind: "region",
        outer: inside ? outline : null,
        around,
        islands: inside ? [] : [outline],
        leave: wallAllowance,
      },
      top,
      floor,
      tool: {
        by: "mill",
        kind: inside ? "slot" : "step",
        most: inside ? tidy(narrow * 0.6) : null,
        least: null,
        // Every row in an outline, or in a bay of it, begins in metal.
        plunges: inside || !isConvex(outline),
        total: null,
        halfTolerance: null,
        tilt: null,
      },
      exact: roughly,
      measure: null,
      notes: [],
    };
    const along: Work = {
      task: "along",
      title: say`Along the outline`,
      sweep: {
        kind: "contour",
        outline,
        metal: inside ? "outside" : "inside",
        cusp: outlineCusp,
        ways: null,
      },
      top,
      floor,
      tool: {
        by: "mill",
        kind: "side",
        most: inside ? tidy(narrow * 0.6) : null,
        least: null,
        plunges: false,
        total: wallAllowance,
        halfTolerance: null,
        tilt: null,
      },
      exact: 0.05,
      measure: null,
      notes: [],
    };
    const filed = fileWork("file", say`File the outline to a template`, 2 + (floor - top) / 3, measure, {
      top,
      floor,
    });
    return [
      {
        name: inside ? "plunged, in rows" : "in rows from outside",
        why: words("Rows leave a little everywhere; the ways along the outline are cut at full depth."),
        up,
        works: [rough, along, filed],
      },
    ];
  });
};

const axesOf = (up: Parameters<typeof axisOf>[0]) =>
  (["length", "width", "height"] as const).filter((a) => a !== axisOf(up)) as ["length", "width"];
