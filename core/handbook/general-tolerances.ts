import * as z from "../zod.ts";

export const generalToleranceSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("iso2768"), grade: z.enum(["f", "m", "c"]) }),
  z.object({ kind: z.literal("plusMinus"), /** mm */ value: z.number().positive() }),
]);
export type GeneralTolerance = z.infer<typeof generalToleranceSchema>;

export type LinearClass = "f" | "m" | "c" | "v";

/** A row: upper end of the range in mm, and ± for f, m, c, v; null where the standard has none. */
type Row = [end: number, f: number | null, m: number | null, c: number | null, v: number | null];
const columns: Record<LinearClass, 1 | 2 | 3 | 4> = { f: 1, m: 2, c: 3, v: 4 };

/** ISO 2768-1 table 1, linear sizes from 0.5 to 4000 mm. */
const linear: Row[] = [
  [3, 0.05, 0.1, 0.2, null],
  [6, 0.05, 0.1, 0.3, 0.5],
  [30, 0.1, 0.2, 0.5, 1],
  [120, 0.15, 0.3, 0.8, 1.5],
  [400, 0.2, 0.5, 1.2, 2.5],
  [1000, 0.3, 0.8, 2, 4],
  [2000, 0.5, 1.2, 3, 6],
  [4000, null, 2, 4, 8],
];

/** Table 2, broken edges: radius or chamfer, mm. */
const edges: Row[] = [
  [3, 0.2, 0.2, 0.4, 0.4],
  [6, 0.5, 0.5, 1, 1],
  [Infinity, 1, 1, 2, 2],
];

/** Table 3, angles by the length of their shorter leg, minutes of arc. */
const angles: Row[] = [
  [10, 60, 60, 90, 180],
  [50, 30, 30, 60, 120],
  [120, 20, 20, 30, 60],
  [400, 10, 10, 15, 30],
  [Infinity, 5, 5, 10, 20],
];

const smallest = 0.5;
const rowOf = (rows: Row[], size: number) => rows.find(([end]) => size <= end);

/**
 * ± in mm of an ISO 2768-1 class on a linear size.
 * @returns null where the standard has no value for the class; undefined for a size it does not know (under 0.5, over 4000)
 */
export const linearPlusMinus = (size: number, grade: LinearClass): number | null | undefined =>
  size >= smallest ? rowOf(linear, size)?.[columns[grade]] : undefined;

/** ± in mm on a broken edge, radius or chamfer; undefined under 0.5 mm. */
export const edgePlusMinus = (edge: number, grade: LinearClass): number | null | undefined =>
  edge >= smallest ? rowOf(edges, edge)?.[columns[grade]] : undefined;

/** ± in minutes of arc on an angle, by the length of its shorter leg in mm; undefined for none. */
export const anglePlusMinus = (shortLeg: number, grade: LinearClass): number | null | undefined =>
  shortLeg > 0 ? rowOf(angles, shortLeg)?.[columns[grade]] : undefined;

/** ± in mm of a general tolerance on a size in mm; the nearest range serves where the standard has none. */
export function generalPlusMinus(tolerance: GeneralTolerance, size: number): number {
  if (tolerance.kind === "plusMinus") return tolerance.value;
  const column = columns[tolerance.grade];
  const known = linear.filter((row) => row[column] !== null);
  return (known.find(([end]) => size <= end) ?? known.at(-1)!)[column]!;
}
