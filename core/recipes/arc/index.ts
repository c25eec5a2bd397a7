import { mm, tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import { grooveRun } from "../groove-run.ts";
import { fileWork } from "../hand-work.ts";
import { aimOf, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";

/** What stairs leave standing out of the arc, to be filed or scraped, mm. */
export const arcCusp = 0.15;

/** A hollow or a crown by stairs, then filed to a template; a hollow of a ball cutter's own radius in one way. */
export const arcRecipe: Recipe<OfKind<"arc">> = (feature, place) => {
  const up = feature.face;
  const radius = aimOf(feature, "radius", place.part)!.target;
  const { run, across, middle, top, floor } = grooveRun(feature, place);
  const depth = feature.form === "hollow" ? aimOf(feature, "depth", place.part)!.target : floor - top;
  const measure: Measured = {
    size: "radius",
    name: words("the arc, by a template"),
    ...aimOf(feature, "radius", place.part)!,
    before: false,
    grows: feature.form === "hollow",
  };
  const half = Math.sqrt(depth * (2 * radius - depth));
  const stairs: Work = {
    task: "stairs",
    title: say`Stairs along the arc, ${mm(arcCusp)} at most left standing`,
    sweep: {
      kind: "arc",
      run,
      middle,
      edges: [0, place.sizes[across]],
      radius,
      depth,
      form: feature.form,
      cusp: arcCusp,
    },
    top: 0,
    floor: depth,
    tool: {
      by: "mill",
      kind: feature.form === "hollow" ? "slot" : "step",
      // The last stair of a hollow is as narrow as the cusp lets it be.
      most: feature.form === "hollow" ? tidy(Math.max(half * 0.6, 2)) : null,
      least: null,
      plunges: false,
      total: null,
      halfTolerance: null,
      tilt: null,
    },
    exact: 0.02,
    measure: null,
    notes: [],
  };
  const length = place.sizes[feature.along];
  const filed = fileWork(
    "file",
    say`File the stairs to the template`,
    3 + (length * Math.min(2 * half, place.sizes[across])) / 1500,
    measure,
    { top: 0, floor: depth },
    feature.form === "hollow" ? "a half-round file" : "a file",
  );
  return [
    {
      name: "stairs, then filed",
      why: words("The fewest stairs whose corners stand out by no more than the cusp."),
      up,
      works: [stairs, filed],
    },
  ];
};
