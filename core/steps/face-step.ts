import { extentOf } from "../squaring/index.ts";
import type { FaceOperation } from "../route/index.ts";
import type { Phrase } from "../working/index.ts";
import type { FaceStep, StepKind } from "./step.ts";

/** Makes a step of one face. */
export type MakeFaceStep = (kind: StepKind, id: string, title: Phrase, more?: Partial<FaceStep>) => FaceStep;

/**
 * Of a face cut in two clampings, what this cut is about: the part that is cut first, beside which straps or jaws hold what stands
 * higher, or what was left standing. Null for a face cut whole, and for a side.
 */
export function standsOn({ looks, key }: Pick<FaceOperation, "looks" | "key">): "cut" | "left" | null {
  if (looks !== null) return null;
  const extent = extentOf(key);
  return extent === "part" ? "cut" : extent === "rest" ? "left" : null;
}
