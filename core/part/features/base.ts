import { axesAcross, type Axis, type Face, faceSchema } from "../../frame/index.ts";
import { type Dimension, dimensionSchema } from "../../quantity/index.ts";
import * as z from "../../zod.ts";
import { type Locate, locateSchema, onCenter, placeAlong } from "./locate.ts";
import { type Matters, matters } from "./matters.ts";
import type { Site } from "./site.ts";

/** What every feature has, whatever its kind: the face it is cut from, where along its two sizes, how much hangs on it. */
const baseShape = {
  id: z.string(),
  face: faceSchema,
  first: locateSchema,
  second: locateSchema,
  matters: z.enum(matters).default("drawing"),
};

const each = <K extends string, V>(keys: readonly K[], value: V) =>
  Object.fromEntries(keys.map((key) => [key, value])) as Record<K, V>;

/**
 * The schema of a kind: its drawn sizes, its plain numbers (angles in degrees, counts), and what else is its own.
 * All of them may be empty while it is being entered.
 */
export const featureShape = <
  K extends string,
  S extends string,
  N extends string = never,
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- no choices of its own
  C extends z.ZodRawShape = {},
>(
  kind: K,
  sizes: readonly S[],
  numbers: readonly N[] = [],
  choices: C = {} as C,
) =>
  z.object({
    ...baseShape,
    kind: z.literal(kind),
    sizes: z.object(each(sizes, dimensionSchema.nullable())),
    numbers: z.object(each(numbers, z.number().nullable())),
    ...choices,
  });

type Empty<K extends string, S extends string> = {
  id: string;
  kind: K;
  face: Face;
  first: Locate;
  second: Locate;
  matters: Matters;
  sizes: Record<S, Dimension | null>;
};

/** A new feature on a face, on both center lines, nothing entered. */
export function emptyFeature<K extends string, S extends string>(
  kind: K,
  id: string,
  face: Face,
  sizes: readonly S[],
): Empty<K, S> & { numbers: Record<string, never> };
export function emptyFeature<K extends string, S extends string, N extends string>(
  kind: K,
  id: string,
  face: Face,
  sizes: readonly S[],
  numbers: readonly N[],
): Empty<K, S> & { numbers: Record<N, number | null> };
export function emptyFeature(
  kind: string,
  id: string,
  face: Face,
  sizes: readonly string[],
  numbers: readonly string[] = [],
) {
  return {
    id,
    kind,
    face,
    first: onCenter,
    second: onCenter,
    matters: "drawing" as const,
    sizes: each(sizes, null),
    numbers: each(numbers, null) as Record<string, never>,
  };
}

/** Where its middle lies along the two sizes of its face; null while not entered. */
export function middleOn(
  { face, first, second }: { face: Face; first: Locate; second: Locate },
  site: Site,
): readonly [number, number] | null {
  const [a, b] = axesAcross(face);
  const [x, y] = [placeAlong(first, a, site), placeAlong(second, b, site)];
  return x === null || y === null ? null : [x, y];
}

/** The place that counts along an axis of a feature's face. */
export const placeFor = (face: Face, axis: Axis): "first" | "second" =>
  axesAcross(face)[0] === axis ? "first" : "second";
