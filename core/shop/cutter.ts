import { cutterKindSchema, toolMaterialSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";

export const cutterSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: cutterKindSchema,
  material: toolMaterialSchema,
  /** mm */
  diameter: z.number().positive(),
  teeth: z.number().int().positive(),
  /** Length of the cutting edges along the axis, mm. */
  fluteLength: z.number().positive(),
  /** Deepest cut the insert or tooth bears, mm; null when the rule for its kind decides. */
  maxDepth: z.number().positive().nullable(),
  /** Entering angle in degrees: 90 is a square shoulder. */
  enteringAngle: z.number().min(10).max(90),
  /** Length from the spindle nose to the cutting end, mm. */
  stickout: z.number().positive(),
});
export type Cutter = z.infer<typeof cutterSchema>;
