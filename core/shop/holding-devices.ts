import * as z from "../zod.ts";

export const viseSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** All in mm. Jaw depth is measured from the bed to the top of the jaw. */
  opening: z.number().positive(),
  jawWidth: z.number().positive(),
  jawDepth: z.number().positive(),
  jawThickness: z.number().positive(),
  /** Height of the bed above the table. */
  bedHeight: z.number().positive(),
  /** Chamfer of the jaw edge. */
  jawChamfer: z.number().nonnegative(),
});
export type Vise = z.infer<typeof viseSchema>;

/** A matched pair of parallels. */
export const parallelsSchema = z.object({
  id: z.string(),
  /** mm */
  height: z.number().positive(),
  thickness: z.number().positive(),
  length: z.number().positive(),
});
export type Parallels = z.infer<typeof parallelsSchema>;

/** Soft round bar between the moving jaw and an unmachined face. */
export const rodSchema = z.object({ id: z.string(), /** mm */ diameter: z.number().positive() });
export type Rod = z.infer<typeof rodSchema>;
