import { type Face, faceSchema } from "../frame/index.ts";
import { conditionsSchema } from "../cutting/index.ts";
import { seatSchema } from "../holding/index.ts";
import { cutKindSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";

/** How much of a face an operation cuts: all of it, what it reaches in this clamping, or what an earlier one left. */
export type Extent = "face" | "part" | "rest";

/** Target and task, such as `top/face`: survives a replan because it names no place in a list. */
export const operationKeySchema = z.templateLiteral([faceSchema, "/", z.enum(["face", "part", "rest"])]);
export type OperationKey = z.infer<typeof operationKeySchema>;

export const faceOperation = (face: Face, extent: Extent = "face"): OperationKey => `${face}/${extent}`;

export const extentOf = (key: OperationKey): Extent => key.split("/")[1] as Extent;

/**
 * A setup as it was told when it began: from then on a fact, which a replan does not touch.
 * Sizes in mm along the axis of the face.
 */
export const toldSchema = z.object({
  key: operationKeySchema,
  number: z.number().int(),
  /** Which clamping it is done in; every operation its own where nothing is said. */
  clamping: z.number().int().nullable().default(null),
  face: faceSchema,
  kind: cutKindSchema,
  seat: seatSchema,
  conditions: conditionsSchema,
  from: z.number(),
  to: z.number(),
});
export type Told = z.infer<typeof toldSchema>;
