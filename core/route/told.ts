import { conditionsSchema } from "../cutting/index.ts";
import { faceSchema, orientationSchema } from "../frame/index.ts";
import { cutKindSchema } from "../handbook/index.ts";
import { seatSchema } from "../holding/index.ts";
import * as z from "../zod.ts";
import { featureKeySchema } from "./feature-key.ts";
import { operationKeySchema } from "../squaring/index.ts";
import {
  type FaceOperation,
  type FaceSetup,
  type FeatureSetup,
  isFaceSetup,
  type Operation,
  type Setup,
} from "./setup.ts";
import type { FeatureOperation } from "./feature-operation.ts";

/** On which machine it was begun; null where it was begun before that was noted: the machine of the job. */
const onMachine = z.string().nullable().default(null);

/** A face as it was told when it began. Sizes in mm along the axis of the face. */
const faceToldSchema = z.object({
  key: operationKeySchema,
  number: z.number().int(),
  /** Which clamping it is done in; every operation its own where nothing is said. */
  clamping: z.number().int().nullable().default(null),
  face: faceSchema,
  kind: cutKindSchema,
  seat: seatSchema,
  conditions: conditionsSchema,
  from: z.number(),
  to: z.number(),
  machine: onMachine,
});
export type FaceTold = z.infer<typeof faceToldSchema>;

const featureToldSchema = z.object({
  key: featureKeySchema,
  at: orientationSchema,
  seat: seatSchema,
  device: z.enum(["vise", "table", "vBlocks"]),
  way: z.string(),
  cutter: z.string().nullable(),
  rpm: z.number(),
  vf: z.number(),
  depth: z.number().nullable(),
  /** Left for the last pass; null where the plan chooses. */
  finish: z.number().nullable().default(null),
  machine: onMachine,
});
export type FeatureTold = z.infer<typeof featureToldSchema>;

/** What is told of an operation when it begins: from then on a fact, which a replan does not touch. */
export const toldSchema = z.union([faceToldSchema, featureToldSchema]);
export type Told = z.infer<typeof toldSchema>;

export const isFaceTold = (told: Told): told is FaceTold => "face" in told;

export const tellFace = (
  { number, clamping, seat, machine }: FaceSetup,
  { key, face, cut, from, to }: FaceOperation,
): FaceTold => ({
  key,
  number,
  clamping,
  face,
  kind: cut.kind,
  seat,
  conditions: {
    cutter: cut.cutter,
    rpm: cut.rpm,
    setting: cut.setting,
    vf: cut.vf,
    finishVf: cut.finishVf,
    feedBy: cut.feedBy,
    pace: cut.pace,
    width: cut.width,
    lanes: cut.lanes,
    depth: cut.depth,
    finish: cut.finish,
  },
  from,
  to,
  machine,
});

const tellFeature = (
  { at, seat, device, machine }: FeatureSetup,
  { key, cutter, set, cut, way }: FeatureOperation,
): FeatureTold => ({
  key,
  at,
  seat,
  device,
  way,
  cutter,
  rpm: set?.rpm ?? 0,
  vf: set?.vf ?? 0,
  depth: cut?.depth ?? null,
  finish: cut?.finish ?? null,
  machine,
});

/** Tells an operation of a setup. */
export function tell(setup: Setup, operation: Operation): Told {
  if (isFaceSetup(setup)) return tellFace(setup, setup.operations[0]);
  return tellFeature(setup, operation as FeatureOperation);
}
