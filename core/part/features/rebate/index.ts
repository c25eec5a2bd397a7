import { axesAcross, axisOf, rectangle } from "../../../frame/index.ts";
import { mm } from "../../../quantity/index.ts";
import { rule, warn } from "../../../working/index.ts";
import type * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom } from "../cutout.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";

const sizes = ["width", "depth", "radius"] as const;
export const rebateSchema = featureShape("rebate", sizes);
type Rebate = z.infer<typeof rebateSchema>;

/** A rebate all round a face: what stands in the middle is the boss. */
export const rebateRules: FeatureRules<Rebate> = {
  schema: rebateSchema,
  word: "rebate",
  what: "a rebate round all four edges of a face",
  on: "block",
  choices: () => [],
  fields: () => [
    length("width", "In from every side"),
    length("depth", "Down from the face"),
    length("radius", "Corner radius of what stands", "sharp"),
  ],
  places: () => [],
  make: (id, face) => emptyFeature("rebate", id, face, sizes),
  cutout({ face, sizes: own }, site) {
    const [a, b] = axesAcross(face);
    if (!own.width || !own.depth) return null;
    const w = own.width.nominal;
    const [x, y] = [site.sizes[a], site.sizes[b]];
    const stands = x - 2 * w > 0 && y - 2 * w > 0;
    const island = stands ? rectangle([w, x - w], [w, y - w], own.radius?.nominal ?? 0) : null;
    return cutoutFrom(
      face,
      [
        {
          axis: axisOf(face),
          outline: rectangle([0, x], [0, y]),
          span: depthSpan(site, face, own.depth.nominal),
          ...(island ? { island } : {}),
        },
      ],
      site,
    );
  },
  check({ face, sizes: own }, _cutout, { site }) {
    const least = Math.min(...axesAcross(face).map((a) => site.sizes[a]));
    return 2 * own.width!.nominal >= least
      ? [
          warn(
            rule(
              "drawing.rebateWhole",
            )`Two rebates of ${mm(own.width!.nominal)} leave nothing of ${mm(least)}: make it narrower.`,
          ),
        ]
      : [];
  },
};
