import { type Face, faceSchema } from "../frame/index.ts";
import * as z from "../zod.ts";

/**
 * How much of a face an operation cuts: all of it, what it reaches in this clamping, what an earlier one left, only its scale,
 * with a cutter that can be spared, or all of it once more because its size was not good.
 */
export type Extent = "face" | "part" | "rest" | "rough" | "again";

/** A face that is not good after so many cuts once more has something else wrong with it. */
export const reworksOf = ["again", "again2", "again3", "again4"] as const;

/** Target and task, such as `top/face`: survives a replan because it names no place in a list. */
export const operationKeySchema = z.templateLiteral([
  faceSchema,
  "/",
  z.enum(["face", "part", "rest", "rough", ...reworksOf]),
]);
export type OperationKey = z.infer<typeof operationKeySchema>;

export const faceOperation = (face: Face, extent: Extent = "face"): OperationKey => `${face}/${extent}`;

/** Whether a cut is that of the face itself, not only its scale and not what an earlier one left: others stand on it. */
export const makesFace = (key: OperationKey): boolean => !["rest", "rough"].includes(extentOf(key));

export const faceOfKey = (key: OperationKey): Face => key.split("/")[0] as Face;

export const extentOf = (key: OperationKey): Extent => key.split("/")[1]!.replace(/\d+$/, "") as Extent;

/** The operation that cuts a face once more, after those that did already; null after the last there can be. */
export function nextRework(face: Face, taken: ReadonlySet<string>): OperationKey | null {
  const extent = reworksOf.find((e) => !taken.has(`${face}/${e}`));
  return extent ? `${face}/${extent}` : null;
}
