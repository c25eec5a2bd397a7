import { axisOf } from "../../frame/index.ts";
import { say, words } from "../../working/index.ts";
import { clearWork, wallWorks } from "../mill-area.ts";
import { aimOf, areaOfBox, depthsFrom, type Measured, type OfKind, type Recipe } from "../recipe.ts";

/** A step along an edge, from its face or from its side: roughed, then side and bottom finished together. */
export const stepRecipe: Recipe<OfKind<"step">> = (feature, place) => {
  const { box, opens } = place.cutout;
  const ups = [feature.face, feature.side].filter((up) => up === feature.face || opens.includes(up));
  return ups.map((up) => {
    const area = areaOfBox(up, box, place.sizes);
    const depths = depthsFrom(up, box[axisOf(up)], place.sizes);
    // From the side its width is the depth.
    const across = up === feature.face ? "width" : "depth";
    const deep = up === feature.face ? "depth" : "width";
    const aim = aimOf(feature, across, place.part)!;
    const floor = aimOf(feature, deep, place.part)!.target + depths.top;
    const measure: Measured = {
      size: deep,
      name: words("the step, from the face above it"),
      ...aimOf(feature, deep, place.part)!,
      before: false,
      grows: true,
    };
    const asked = {
      up,
      area,
      what: "step",
      corner: null,
      top: depths.top,
      floor,
      measure,
      halfTolerance: (aim.limits.upper - aim.limits.lower) / 2,
      exact: 0.02,
    };
    return {
      name: up === feature.face ? "from its face" : "from its side",
      why:
        up === feature.face
          ? say`With the ${up} face up, the wall is cut with the side of the cutter and the floor with its end.`
          : say`With the ${up} face up, what is the wall on the drawing becomes the floor.`,
      up,
      works: [clearWork(asked), ...wallWorks(asked)],
    };
  });
};
