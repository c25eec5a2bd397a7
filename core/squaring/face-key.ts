import { type Face, faceSchema } from "../frame/index.ts";
import * as z from "../zod.ts";

/**
 * How much of a face an operation cuts: all of it, what it reaches in this clamping, what an earlier one left, or only its scale,
 * with a cutter that can be spared.
 */
export type Extent = "face" | "part" | "rest" | "rough";

/** Target and task, such as `top/face`: survives a replan because it names no place in a list. */
export const operationKeySchema = z.templateLiteral([
  faceSchema,
  "/",
  z.enum(["face", "part", "rest", "rough"]),
]);
export type OperationKey = z.infer<typeof operationKeySchema>;

export const faceOperation = (face: Face, extent: Extent = "face"): OperationKey => `${face}/${extent}`;

/** Whether a cut is that of the face itself, not only its scale and not what an earlier one left: others stand on it. */
export const makesFace = (key: OperationKey): boolean => !["rest", "rough"].includes(extentOf(key));

export const extentOf = (key: OperationKey): Extent => key.split("/")[1] as Extent;
