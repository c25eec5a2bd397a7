import * as z from "../zod.ts";
import { type OperationKey, operationKeySchema } from "../squaring/index.ts";

/** An operation of a feature: its id and its task, such as `slot-2/wall-left`. Survives a replan as that of a face does. */
export const featureKeySchema = z.templateLiteral([
  z.string().regex(/^[^/]+$/),
  "/",
  z.string().regex(/^[^/]+$/),
]);
export type FeatureKey = z.infer<typeof featureKeySchema>;

/** Any operation: of a face or of a feature. */
export const anyKeySchema = z.union([operationKeySchema, featureKeySchema]);
export type AnyKey = z.infer<typeof anyKeySchema>;

export const isFaceKey = (key: AnyKey): key is OperationKey => operationKeySchema.safeParse(key).success;

/** The feature an operation belongs to. */
export const featureOfKey = (key: FeatureKey): string => key.split("/")[0]!;

/** In a URL the slash becomes a dot: feature ids carry none of their own. */
export const keySlug = (key: AnyKey): string => key.replace("/", ".");

export function keyFromSlug(slug: string | undefined): AnyKey | null {
  const parsed = anyKeySchema.safeParse(slug?.replace(/\.([^.]*)$/, "/$1"));
  return parsed.success ? parsed.data : null;
}
