import { axesAcross, axisSchema, type Outline } from "../../../frame/index.ts";
import { mm } from "../../../quantity/index.ts";
import { say } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { acrossGroove, cutoutFrom, profile } from "../cutout.ts";
import { acrossOnly, middleAcross, runsAlong } from "../groove.ts";
import { type FeatureRules, length } from "../rules.ts";
import type { Site } from "../site.ts";

const sizes = ["radius", "depth"] as const;
export const arcSchema = featureShape("arc", sizes, [], {
  along: axisSchema,
  form: z.enum(["hollow", "crowned"]),
});
type ArcFeature = z.infer<typeof arcSchema>;

/** Seen along its run: a circular hollow, or all that lies beside and above a crown across the whole face. */
function drawn({ form, sizes: own, face, along }: ArcFeature, middle: number, site: Site): Outline[] | null {
  if (!own.radius) return null;
  const r = own.radius.nominal;
  if (form === "hollow") {
    const depth = own.depth?.nominal;
    if (depth === undefined || depth > r) return null;
    const half = Math.sqrt(depth * (2 * r - depth));
    const bulge = depth / half;
    return [
      [
        { x: middle - half, y: 0, bulge: -bulge },
        { x: middle + half, y: 0, bulge: 0 },
      ],
    ];
  }
  const whole = site.sizes[acrossGroove(face, along)];
  const reach = Math.max(middle, whole - middle);
  if (reach > r) return null;
  const side = (edge: number): Outline => {
    const off = Math.abs(edge - middle);
    const down = r - Math.sqrt(r ** 2 - off ** 2);
    const angle = Math.asin(off / r);
    const bulge = Math.tan(angle / 4);
    return [
      { x: edge, y: 0, bulge: 0 },
      { x: edge, y: down, bulge: edge < middle ? bulge : -bulge },
      { x: middle, y: 0, bulge: 0 },
    ];
  };
  return [...(middle > 0 ? [side(0)] : []), ...(middle < whole ? [side(whole)] : [])];
}

/** A surface round about an axis along the part, cut in steps: a hollow, or a crown over the whole face. */
export const arcRules: FeatureRules<ArcFeature> = {
  schema: arcSchema,
  word: "arc",
  what: "a hollow or a crown along the part, cut in steps",
  on: "block",
  choices: (feature) => [
    {
      key: "form",
      label: "It is a",
      options: [
        ["hollow", "hollow"],
        ["crowned", "crown over the face"],
      ],
    },
    runsAlong(feature),
  ],
  fields: ({ form }) => [
    length("radius", "Arc radius"),
    ...(form === "hollow" ? [length("depth", "Deepest below the face")] : []),
  ],
  places: acrossOnly,
  make: (id, face) => ({
    ...emptyFeature("arc", id, face, sizes),
    along: axesAcross(face)[0],
    form: "hollow",
  }),
  cutout(feature, site) {
    const { face, along } = feature;
    const middle = middleAcross(feature, site);
    const outlines = middle === null ? null : drawn(feature, middle, site);
    return (
      outlines &&
      cutoutFrom(
        face,
        outlines.map((outline) => ({
          axis: along,
          outline: profile(site, face, along, outline),
          span: [0, site.sizes[along]] as const,
        })),
        site,
      )
    );
  },
  impossible(feature, site) {
    const { radius, depth } = feature.sizes;
    const middle = middleAcross(feature, site);
    if (!radius || middle === null || drawn(feature, middle, site)) return null;
    if (feature.form === "crowned")
      return say`A radius of ${mm(radius.nominal)} does not span the face: make it at least half the width.`;
    return depth ? say`The hollow is deeper than its radius of ${mm(radius.nominal)}.` : null;
  },
  check: () => [],
};
