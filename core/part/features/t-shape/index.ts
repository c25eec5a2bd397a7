import { axesAcross, axisSchema, polygon } from "../../../frame/index.ts";
import { mm } from "../../../quantity/index.ts";
import { rule, warn } from "../../../working/index.ts";
import type * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { acrossGroove, cutoutFrom, profile } from "../cutout.ts";
import { acrossOnly, middleAcross, runsAlong } from "../groove.ts";
import { type FeatureRules, length } from "../rules.ts";

const sizes = ["stem", "depth"] as const;
export const tShapeSchema = featureShape("tShape", sizes, [], { along: axisSchema });
type TShape = z.infer<typeof tShapeSchema>;

/** A stem left standing along the middle of a face, its shoulders cut down beside it: a T seen from the end. */
export const tShapeRules: FeatureRules<TShape> = {
  schema: tShapeSchema,
  word: "T shape",
  what: "a stem left standing between two shoulders",
  on: "block",
  choices: (feature) => [runsAlong(feature)],
  fields: () => [length("stem", "Width of the stem"), length("depth", "Down to the shoulders")],
  places: acrossOnly,
  make: (id, face) => ({ ...emptyFeature("tShape", id, face, sizes), along: axesAcross(face)[0] }),
  cutout(feature, site) {
    const { face, along, sizes: own } = feature;
    const middle = middleAcross(feature, site);
    if (middle === null || !own.stem || !own.depth) return null;
    const whole = site.sizes[acrossGroove(face, along)];
    const [low, high] = [middle - own.stem.nominal / 2, middle + own.stem.nominal / 2];
    const depth = own.depth.nominal;
    const side = (a: number, b: number) => ({
      axis: along,
      outline: profile(
        site,
        face,
        along,
        polygon([
          [a, 0],
          [a, depth],
          [b, depth],
          [b, 0],
        ]),
      ),
      span: [0, site.sizes[along]] as const,
    });
    return cutoutFrom(
      face,
      [...(low > 0 ? [side(0, low)] : []), ...(high < whole ? [side(high, whole)] : [])],
      site,
    );
  },
  /** A stem as wide as the part leaves no shoulder; one much taller than wide bends. */
  check: ({ sizes: own }) =>
    own.depth!.nominal > 5 * own.stem!.nominal
      ? [
          warn(
            rule(
              "drawing.stem",
            )`A stem ${mm(own.stem!.nominal)} wide and ${mm(own.depth!.nominal)} tall bends under the cutter: keep it to five times its width.`,
          ),
        ]
      : [],
};
