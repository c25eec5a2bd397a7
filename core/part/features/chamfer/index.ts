import { axesAcross, axisOf, type Face, faceNames, faceSchema, facesOf } from "../../../frame/index.ts";
import { words } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { chamfer } from "../../angles.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, wedgeAlong } from "../cutout.ts";
import { angle, type FeatureRules, length } from "../rules.ts";

const sizes = ["leg"] as const;
const numbers = ["angle"] as const;
export const chamferSchema = featureShape("chamfer", sizes, numbers, {
  /** The edge to one side, or all four edges of the face. */
  edge: z.union([z.literal("all"), faceSchema]),
});
type Chamfer = z.infer<typeof chamferSchema>;

const usualAngle = 45;
const legsOf = ({ sizes: { leg }, numbers: { angle: given } }: Chamfer) =>
  leg ? chamfer(leg.nominal, given ?? usualAngle) : null;

/** The sides whose edges are taken off, in the order of the cutout's pieces. */
export const sidesOf = ({ face, edge }: Pick<Chamfer, "face" | "edge">): Face[] =>
  edge === "all" ? axesAcross(face).flatMap((a) => facesOf(a)) : [edge];

/** Edges of a face taken off at an angle: a chamfer, or a drawn edge break. */
export const chamferRules: FeatureRules<Chamfer> = {
  schema: chamferSchema,
  word: "chamfer",
  what: "an edge, or all edges of a face, taken off at an angle",
  on: "block",
  choices: ({ face }) => [
    {
      key: "edge",
      label: "The edge toward the",
      options: [
        ["all", "all four edges"],
        ...faceNames.filter((f) => axisOf(f) !== axisOf(face)).map((f) => [f, f] as const),
      ],
    },
  ],
  fields: () => [length("leg", "Along the face"), angle("angle", "Angle to the face, degrees", "45")],
  places: () => [],
  make: (id, face) => ({ ...emptyFeature("chamfer", id, face, sizes, numbers), edge: "all" }),
  cutout(feature, site) {
    const { face, edge, sizes: own } = feature;
    const legs = legsOf(feature);
    if (!own.leg || !legs) return null;
    if (edge !== "all" && axisOf(edge) === axisOf(face)) return null;
    return cutoutFrom(
      face,
      sidesOf(feature).map((side) => wedgeAlong(face, side, own.leg!.nominal, legs.other, site)),
      site,
    );
  },
  impossible: (feature) =>
    feature.sizes.leg && !legsOf(feature)
      ? words("The angle of a chamfer lies between 0 and 90 degrees, counted from the face.")
      : null,
  check: () => [],
};
