import { handKinds } from "../handbook/index.ts";
import * as z from "../zod.ts";

/** Work by hand that a person plans beside the milling: before the first setup or after the last. */
export const handworkSchema = z.object({
  id: z.string().min(1),
  kind: z.enum(handKinds),
  /** Where on the part, and what for. */
  where: z.string().max(200),
  when: z.enum(["before", "after"]),
  minutes: z.number().min(0).max(1000),
});
export type Handwork = z.infer<typeof handworkSchema>;
