import { type Face, faceSchema } from "../../frame/index.ts";
import * as z from "../../zod.ts";
import { locateSchema, onCenter } from "./locate.ts";

/** What every feature has, whatever its kind: the face it is cut from, and where along its two sizes. */
export const baseShape = { id: z.string(), face: faceSchema, first: locateSchema, second: locateSchema };

/** A new feature on a face, on both center lines. */
export const placedOn = (id: string, face: Face) => ({ id, face, first: onCenter, second: onCenter });
