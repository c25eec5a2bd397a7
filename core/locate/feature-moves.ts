import { type Stroke, strokesOf } from "../recipes/index.ts";
import { type Mm } from "../quantity/index.ts";
import type { FeatureOperation } from "../route/index.ts";
import { type SetupFrame, sweepInSetup } from "./setup-frame.ts";

/**
 * The strokes of an operation as they are counted in its setup.
 * @param shift how much further out walls are cut than planned, mm
 * @returns null where the cutter does not go in
 */
export const featureMoves = (
  operation: FeatureOperation,
  frame: SetupFrame,
  shift: Mm = 0,
): Stroke[] | null =>
  strokesOf({ ...operation, sweep: sweepInSetup(frame, operation.sweep) }, shift, frame.toFixed);
