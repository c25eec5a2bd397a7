import { type Face, type Orientation, orientationSchema } from "../frame/index.ts";
import { type Seat, seatSchema } from "../holding/index.ts";
import type { Phrase, Refusal, Warning } from "../working/index.ts";
import * as z from "../zod.ts";
import { featureKeySchema } from "./feature-key.ts";
import type { Mm } from "../quantity/index.ts";
import type { DatumUse } from "./feature-order.ts";
import type { FeatureOperation } from "./feature-operation.ts";

const deviceSchema = z.enum(["vise", "vBlocks"]);
/** A block in the jaws, or a shaft in V-blocks between them. */
export type Device = z.infer<typeof deviceSchema>;

/** A clamping in which features are cut, all from one pick-up of the datum. */
export interface FeatureSetup {
  number: number;
  clamping: number;
  /** Newly placed, or left as it was clamped for the last face. */
  entry: "placed" | "stays";
  at: Orientation;
  seat: Seat;
  device: Device;
  title: Phrase;
  /** Ids of the features cut in it, in order. */
  features: string[];
  /** What its features are dimensioned from, the most used first. */
  datums: DatumUse[];
  /** What is cut, seen along the jaws: from the fixed jaw inward, and how deep from the top; mm. */
  section: { from: Mm; to: Mm; depth: Mm }[];
  /** Half of the tightest tolerance of a place in it, mm; null where none is dimensioned. */
  closest: Mm | null;
  operations: FeatureOperation[];
  reasons: Phrase[];
  warnings: Warning[];
  minutes: { cutting: number; handling: number };
}

/** A way that was not taken, with what it would take, or why it cannot be. */
export interface OtherWay {
  name: string;
  why: Phrase;
  up: Face;
  minutes: number | null;
  refusal: Refusal | null;
}

/** How a feature is made: the way taken, and those that were not. */
export interface FeatureRoute {
  feature: string;
  way: string;
  why: Phrase;
  others: OtherWay[];
}

export interface RefusedFeature extends Refusal {
  feature: string;
  others: OtherWay[];
}

/** The setups of all features of a part, and those that cannot be made, each with its reason. */
export interface FeaturePlan {
  setups: FeatureSetup[];
  routes: FeatureRoute[];
  refused: RefusedFeature[];
}

/** What is told of an operation when it begins: a fact from then on, which a replan does not touch. */
export const featureToldSchema = z.object({
  key: featureKeySchema,
  at: orientationSchema,
  seat: seatSchema,
  device: deviceSchema,
  way: z.string(),
  cutter: z.string().nullable(),
  rpm: z.number(),
  vf: z.number(),
  depth: z.number().nullable(),
});
export type FeatureTold = z.infer<typeof featureToldSchema>;

export const tellOperation = (
  { at, seat, device }: Pick<FeatureSetup, "at" | "seat" | "device">,
  { key, cutter, set, cut }: FeatureOperation,
  way: string,
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
});
