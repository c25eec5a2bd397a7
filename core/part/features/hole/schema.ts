import { faceSchema } from "../../../frame/index.ts";
import * as z from "../../../zod.ts";
import { featureShape } from "../base.ts";

const holeForms = ["drilled", "bored", "reamed", "tapped", "counterbored", "countersunk"] as const;
export const holeSizes = [
  "diameter",
  "depth",
  "threadDepth",
  "drill",
  "headDiameter",
  "headDepth",
  "pitchFirst",
  "pitchSecond",
  "circle",
] as const;
export const holeNumbers = ["headAngle", "countFirst", "countSecond", "count", "start"] as const;
export const holeSchema = featureShape("hole", holeSizes, holeNumbers, {
  form: z.enum(holeForms),
  /** The thread that is tapped, or the screw it is counterbored for; empty for own sizes. */
  screw: z.string(),
  pattern: z.enum(["one", "grid", "circle", "corners"]),
  /** The faces a grid runs toward from its first hole. */
  towardFirst: faceSchema,
  towardSecond: faceSchema,
});
export type Hole = z.infer<typeof holeSchema>;
