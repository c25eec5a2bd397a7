import { axisOf, faceNames, faceSchema } from "../../../frame/index.ts";
import { mm, quantity } from "../../../quantity/index.ts";
import { line, precise, rule, warn, words } from "../../../working/index.ts";
import type * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, wedgeAlong } from "../cutout.ts";
import { angle, type FeatureRules, length } from "../rules.ts";

const sizes = ["width", "depth"] as const;
const numbers = ["angle"] as const;
export const slopeSchema = featureShape("slope", sizes, numbers, {
  /** The side it falls toward. */
  side: faceSchema,
});
type Slope = z.infer<typeof slopeSchema>;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** How far in and how deep a slope goes, from two of its three measures; null while fewer are known or it is none. */
function measuresOf({ sizes: { width, depth }, numbers: { angle: given } }: Slope) {
  if (given !== null && !(given > 0 && given < 90)) return null;
  const tan = given === null ? null : Math.tan(radians(given));
  const w = width?.nominal ?? (depth && tan !== null ? depth.nominal / tan : null);
  const d = depth?.nominal ?? (width && tan !== null ? width.nominal * tan : null);
  return w === null || d === null ? null : { width: w, depth: d };
}

/** A face at an angle along a whole edge, given by two of its width, depth and angle. */
export const slopeRules: FeatureRules<Slope> = {
  schema: slopeSchema,
  word: "slope",
  what: "a face at an angle along an edge",
  on: "block",
  choices: ({ face }) => [
    {
      key: "side",
      label: "Falls toward the",
      options: faceNames.filter((f) => axisOf(f) !== axisOf(face)).map((f) => [f, f] as const),
    },
  ],
  fields: () => [
    length("width", "In from the side", "by depth and angle"),
    length("depth", "Down at the side", "by width and angle"),
    angle("angle", "Angle to the face, degrees", "by width and depth"),
  ],
  places: () => [],
  make: (id, face) => ({
    ...emptyFeature("slope", id, face, sizes, numbers),
    side: faceNames.find((f) => axisOf(f) !== axisOf(face))!,
  }),
  cutout(feature, site) {
    const { face, side } = feature;
    const made = measuresOf(feature);
    if (!made || axisOf(side) === axisOf(face)) return null;
    return cutoutFrom(face, [wedgeAlong(face, side, made.width, made.depth, site)], site);
  },
  impossible: ({ sizes: { width, depth }, numbers: { angle: given } }) =>
    given !== null && (width || depth) && !(given > 0 && given < 90)
      ? words("The angle of a slope lies between 0 and 90 degrees, counted from the face.")
      : null,
  check({ sizes: { width, depth }, numbers: { angle: given } }) {
    if (!width || !depth || given === null) return [];
    const worked = (Math.atan2(depth.nominal, width.nominal) * 180) / Math.PI;
    return Math.abs(worked - given) > 0.1
      ? [
          warn(
            rule(
              "drawing.contradiction",
            )`Width and depth of the slope make ${precise(quantity("angle", worked), 2)}, but ${quantity("angle", given)} is given. Leave one of the three empty.`,
          ),
        ]
      : [];
  },
  facts(feature) {
    const made = measuresOf(feature);
    if (!made) return [];
    const worked = (Math.atan2(made.depth, made.width) * 180) / Math.PI;
    const terms: [string, ReturnType<typeof mm>][] = [
      ["width", mm(made.width)],
      ["depth", mm(made.depth)],
    ];
    const shown = (what: string, value: ReturnType<typeof mm>, decimals: number) => ({
      label: what,
      value,
      decimals,
      working: { lines: [line(what, value, { formula: "slope", terms, decimals })] },
    });
    return [
      shown("angle to the face", quantity("angle", worked), 2),
      shown("length of the slope", mm(Math.hypot(made.width, made.depth)), 3),
    ];
  },
};
