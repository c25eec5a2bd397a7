import { axisNames, axisSchema, type Axis, type Sizes } from "../frame/index.ts";
import { generalPlusMinus, generalToleranceSchema } from "../handbook/index.ts";
import { type Dimension, dimensionSchema, type Limits, middle, tidy } from "../quantity/index.ts";
import * as z from "../zod.ts";
import { type Feature, featureSchema } from "./features/index.ts";

export const partSchema = z.object({
  /** Handbook id; null while not chosen. */
  material: z.string().nullable(),
  sizes: z.record(axisSchema, dimensionSchema.nullable()),
  general: generalToleranceSchema,
  /** Squareness wanted between neighbors, mm over 100 mm; null when the drawing asks for none. */
  squareness: z.number().positive().nullable(),
  /** Parallelism wanted between opposite faces, mm (largest − smallest reading). */
  parallelism: z.number().positive().nullable(),
  /** What is cut into the block, in the order it was entered. */
  features: z.object({ byId: z.record(z.string(), featureSchema), order: z.array(z.string()) }),
});
/** The finished part as the drawing wants it. */
export type Part = z.infer<typeof partSchema>;

/** Features in the order they were entered. */
export const featuresOf = ({ features }: Pick<Part, "features">): Feature[] =>
  features.order.flatMap((id) => features.byId[id] ?? []);

/** Limits of a drawn size in mm: its own tolerance, else the general one. */
export function limitsOf(dimension: Dimension, part: Pick<Part, "general">): Limits {
  if (dimension.upper !== null && dimension.lower !== null) {
    return {
      lower: tidy(dimension.nominal + dimension.lower),
      upper: tidy(dimension.nominal + dimension.upper),
    };
  }
  const half = generalPlusMinus(part.general, dimension.nominal);
  return { lower: tidy(dimension.nominal - half), upper: tidy(dimension.nominal + half) };
}

/** Target sizes (middle of the limits) in mm, or null while a size is missing. */
export function targetSizes(part: Part): Sizes | null {
  const sizes = {} as Sizes;
  for (const axis of axisNames) {
    const dimension = part.sizes[axis];
    if (!dimension) return null;
    sizes[axis] = middle(limitsOf(dimension, part));
  }
  return sizes;
}

/** The ends are the two faces across the longest size; a tie goes to the length. */
export function longestAxis(sizes: Sizes): Axis {
  return axisNames.reduce((longest, axis) => (sizes[axis] > sizes[longest] ? axis : longest));
}
