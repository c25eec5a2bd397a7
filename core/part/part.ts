import {
  type Axis,
  axisNames,
  axisSchema,
  type Face,
  faceNames,
  faceSchema,
  facesOf,
  type Sizes,
} from "../frame/index.ts";
import { generalPlusMinus, generalToleranceSchema } from "../handbook/index.ts";
import {
  type Dimension,
  dimensionOf,
  dimensionSchema,
  type Limits,
  middle,
  type Mm,
  tidy,
} from "../quantity/index.ts";
import * as z from "../zod.ts";
import { type Feature, featureSchema } from "./features/index.ts";
import { type Form, formSchema } from "./form.ts";
import { mateSchema } from "./mate.ts";
import { shaftSchema } from "./shaft.ts";

const faceWantedSchema = z.object({
  /** Surface finish, Ra in µm; null when the drawing asks for none. */
  ra: z.number().min(0.001).max(500).nullable(),
  /** Left on this face for a next process, mm; null for nothing. */
  leave: z.number().positive().max(100).nullable(),
  /** How far what is left may be out either way, by the next process, mm; null for as closely as the drawing says. */
  leaveWithin: z.number().positive().max(100).nullable().default(null),
  /** Whether a patch of the raw face may stay: it is then no fault, and no reference. */
  mayStayRaw: z.boolean(),
});
type FaceWanted = z.infer<typeof faceWantedSchema>;

export const partSchema = z.object({
  /** Handbook id; null while not chosen. */
  material: z.string().nullable(),
  sizes: z.record(axisSchema, dimensionSchema.nullable()),
  /** Its sections when it is a turned shaft; null for a block. A shaft lies along the length. */
  shaft: shaftSchema.nullable(),
  general: generalToleranceSchema,
  /** Squareness wanted between neighbors, mm over 100 mm; null when the drawing asks for none. */
  squareness: z.number().positive().max(100).nullable(),
  /** Parallelism wanted between opposite faces, mm (largest − smallest reading). */
  parallelism: z.number().positive().max(100).nullable(),
  faces: z.record(faceSchema, faceWantedSchema),
  /** Flatness, parallelism and squareness by name, each with its own limit. */
  form: z.ordered(formSchema).default({ byId: {}, order: [] }),
  /** What is cut into the part, in the order it was entered. */
  features: z.ordered(featureSchema),
  /** What must fit what. */
  mates: z.ordered(mateSchema),
});
/** The finished part as the drawing wants it. */
export type Part = z.infer<typeof partSchema>;

/** Nothing asked of any face. */
export const plainFaces = (): Record<Face, FaceWanted> =>
  Object.fromEntries(
    faceNames.map((face) => [face, { ra: null, leave: null, leaveWithin: null, mayStayRaw: false }]),
  ) as Record<Face, FaceWanted>;

/** Features in the order they were entered. */
export const featuresOf = ({ features }: Pick<Part, "features">): Feature[] =>
  features.order.flatMap((id) => features.byId[id] ?? []);

/** The error of form by name that a requirement is of; null for any other. */
export const formOf = ({ form }: Pick<Part, "form">, of: string): Form | null =>
  of.startsWith("form/") ? (form.byId[of.slice(5)] ?? null) : null;

/** Errors of form that are limited by name, in the order they were entered. */
export const formsOf = ({ form }: Pick<Part, "form">): Form[] =>
  form.order.flatMap((id) => form.byId[id] ?? []);

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

/** What is left on both faces of a size together for a next process, mm. */
export const leftAlong = ({ faces }: Pick<Part, "faces">, axis: Axis): Mm =>
  tidy(facesOf(axis).reduce((sum, face) => sum + (faces[face].leave ?? 0), 0));

/** A size with so much more on it; its limits move with it. */
export const grownBy = (size: Dimension, more: Mm): Dimension =>
  more === 0 ? size : dimensionOf(size.nominal + more, size.written.unit, size);

/** How far a milled size may be out either way by what is left on it for a next process, mm; null where the drawing says it. */
export function leftWithin({ faces }: Pick<Part, "faces">, axis: Axis): Mm | null {
  const left = facesOf(axis).flatMap((face) => (faces[face].leave === null ? [] : [faces[face].leaveWithin]));
  return left.every((within) => within === null)
    ? null
    : tidy(left.reduce<Mm>((sum, within) => sum + (within ?? 0), 0));
}

/** A size as it leaves the mill: with what is left on its faces, as closely as the next process needs it. */
function milled(size: Dimension, part: Part, axis: Axis): Dimension {
  const grown = grownBy(size, leftAlong(part, axis));
  const within = leftWithin(part, axis);
  if (within === null) return grown;
  const meant = middle(limitsOf(grown, part));
  return dimensionOf(meant, size.written.unit, { ...grown, upper: within, lower: -within });
}

/** The part as it leaves the mill: every size with what is left on its faces. */
export const asMilled = (part: Part): Part => ({
  ...part,
  sizes: Object.fromEntries(
    axisNames.map((axis) => {
      const size = part.sizes[axis];
      return [axis, size && milled(size, part, axis)];
    }),
  ) as Part["sizes"],
});

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
