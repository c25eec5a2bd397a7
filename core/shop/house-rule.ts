import { cutterKindSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";
import type { Cutter } from "./cutter.ts";
import type { Machine } from "./machine.ts";

/**
 * What this shop found to be right for it: moves a soft limit (speed, feed, depth by rule, force of the class), never a hard
 * one. Null means any.
 */
export const houseRuleSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  machine: z.string().nullable(),
  material: z.string().nullable(),
  cutterKind: cutterKindSchema.nullable(),
  what: z.enum(["speed", "feed", "depth", "force"]),
  /** 1 changes nothing; 0.5 halves. */
  factor: z.number().min(0.1).max(3),
});
export type HouseRule = z.infer<typeof houseRuleSchema>;

/** The factor all rules together put on something, and the rules that did. */
export function houseFactor(
  rules: HouseRule[],
  what: HouseRule["what"],
  of: { machine: Machine; cutter: Cutter; materialId: string },
): { factor: number; by: HouseRule[] } {
  const by = rules.filter(
    (r) =>
      !r.retired &&
      r.what === what &&
      (r.machine === null || r.machine === of.machine.id) &&
      (r.material === null || r.material === of.materialId) &&
      (r.cutterKind === null || r.cutterKind === of.cutter.kind),
  );
  return { factor: by.reduce((product, r) => product * r.factor, 1), by };
}
