import * as z from "../zod.ts";

export const generalToleranceSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("iso2768"), grade: z.enum(["f", "m", "c"]) }),
  z.object({ kind: z.literal("plusMinus"), /** mm */ value: z.number().positive() }),
]);
export type GeneralTolerance = z.infer<typeof generalToleranceSchema>;

/** ISO 2768-1 table 1, linear sizes: upper end of the range in mm and ± for f, m, c. */
const linear: [end: number, f: number, m: number, c: number][] = [
  [3, 0.05, 0.1, 0.2],
  [6, 0.05, 0.1, 0.3],
  [30, 0.1, 0.2, 0.5],
  [120, 0.15, 0.3, 0.8],
  [400, 0.2, 0.5, 1.2],
  [1000, 0.3, 0.8, 2],
  [2000, 0.5, 1.2, 3],
];

/** ± in mm of a general tolerance on a size in mm; the widest range serves beyond 2000 mm. */
export function generalPlusMinus(tolerance: GeneralTolerance, size: number): number {
  if (tolerance.kind === "plusMinus") return tolerance.value;
  const row = linear.find(([end]) => size <= end) ?? linear.at(-1)!;
  return tolerance.grade === "f" ? row[1] : tolerance.grade === "m" ? row[2] : row[3];
}
