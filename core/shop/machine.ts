import { machineClassSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";

const axisScrewSchema = z.object({
  /** mm per turn of the handle */
  lead: z.number().positive(),
  /** mm per division of the dial */
  division: z.number().positive(),
  /** mm */
  backlash: z.number().nonnegative(),
  /** Resolution of the readout in mm; null when the axis has none. */
  readout: z.number().positive().nullable(),
  /** Power feeds in mm/min; empty for hand feed only. */
  powerFeeds: z.array(z.number().positive()),
});

export const machineSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(["vertical", "horizontal"]),
  class: machineClassSchema,
  /** Motor power in kW and the share that reaches the spindle. */
  motorPower: z.number().positive(),
  efficiency: z.number().positive().max(1),
  /** Spindle speeds in rpm with what to set for each. */
  speeds: z.array(z.object({ rpm: z.number().positive(), setting: z.string() })).min(1),
  /** Longest distance between table and spindle nose in mm. */
  daylight: z.number().positive(),
  axes: z.object({ x: axisScrewSchema, y: axisScrewSchema, z: axisScrewSchema }),
  /** What moves for depth: raising the knee or lowering the head. */
  depthBy: z.enum(["knee", "head"]),
});
export type Machine = z.infer<typeof machineSchema>;
export type AxisScrew = z.infer<typeof axisScrewSchema>;
