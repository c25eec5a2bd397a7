import { axesAcross, axisOf, faceNames, faceSchema, facesOf } from "../../../frame/index.ts";
import { dimensionSchema } from "../../../quantity/index.ts";
import * as z from "../../../zod.ts";
import { baseShape, placedOn } from "../base.ts";
import { boxOn, depthSpan, reached } from "../cutout.ts";
import type { FeatureRules } from "../rules.ts";

export const stepSchema = z.object({
  ...baseShape,
  kind: z.literal("step"),
  /** The face beside it that it opens to. */
  side: faceSchema,
  sizes: z.object({ width: dimensionSchema.nullable(), depth: dimensionSchema.nullable() }),
});
export type StepFeature = z.infer<typeof stepSchema>;

/** A step along a whole edge: so far in from the side, so far down from the face. */
export const stepRules: FeatureRules<StepFeature> = {
  schema: stepSchema,
  word: "step",
  what: "a step along a whole edge",
  sizes: [
    { key: "width", label: "In from the side", empty: null },
    { key: "depth", label: "Down from the face", empty: null },
  ],
  places: () => [],
  make: (id, face) => ({
    ...placedOn(id, face),
    kind: "step",
    side: faceNames.find((f) => axisOf(f) !== axisOf(face))!,
    sizes: { width: null, depth: null },
  }),
  cutout({ face, side, sizes: { width, depth } }, sizes) {
    const axes = axesAcross(face);
    const axis = axisOf(side);
    if (!width || !depth || !axes.includes(axis)) return null;
    const whole = sizes[axis];
    const inward =
      side === facesOf(axis)[0] ? ([0, width.nominal] as const) : ([whole - width.nominal, whole] as const);
    const spans = axes.map((a) => (a === axis ? inward : ([0, sizes[a]] as const)));
    const box = boxOn(face, [spans[0]!, spans[1]!], depthSpan(face, depth.nominal, sizes));
    return { face, box, round: 0, opens: reached(face, box, sizes) };
  },
  check: () => [],
};
