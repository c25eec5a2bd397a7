import * as z from "../zod.ts";

export const instrumentSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(["caliper", "micrometer", "depthCaliper", "rule"]),
  /** Smallest step it shows, mm. */
  resolution: z.number().positive(),
  /** Expanded uncertainty U of a reading, mm. */
  uncertainty: z.number().nonnegative(),
  /** Range it measures, mm. */
  from: z.number().nonnegative(),
  to: z.number().positive(),
});
export type Instrument = z.infer<typeof instrumentSchema>;
