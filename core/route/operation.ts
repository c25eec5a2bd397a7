import { type Face, faceSchema } from "../frame/index.ts";
import { conditionsSchema } from "../cutting/index.ts";
import { seatSchema } from "../holding/index.ts";
import { cutKindSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";

/** Target and task, such as `top/face`: survives a replan because it names no place in a list. */
export const operationKeySchema = z.templateLiteral([faceSchema, "/face"]);
export type OperationKey = z.infer<typeof operationKeySchema>;

export const faceOperation = (face: Face): OperationKey => `${face}/face`;

/** In a URL the slash becomes a dot: `top.face`. */
export const operationSlug = (key: OperationKey): string => key.replace("/", ".");

export function operationFromSlug(slug: string | undefined): OperationKey | null {
  const parsed = operationKeySchema.safeParse(slug?.replace(".", "/"));
  return parsed.success ? parsed.data : null;
}

/**
 * A setup as it was told when it began: from then on a fact, which a replan does not touch.
 * Sizes in mm along the axis of the face.
 */
export const toldSchema = z.object({
  key: operationKeySchema,
  number: z.number().int(),
  face: faceSchema,
  kind: cutKindSchema,
  seat: seatSchema,
  conditions: conditionsSchema,
  from: z.number(),
  to: z.number(),
});
export type Told = z.infer<typeof toldSchema>;
