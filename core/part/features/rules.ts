import type { Axis, Face } from "../../frame/index.ts";
import type { Mm, Quantity } from "../../quantity/index.ts";
import type { Shop } from "../../shop/index.ts";
import type { Phrase, Warning, WorkingBody } from "../../working/index.ts";
import type * as z from "../../zod.ts";
import type { Cutout } from "./cutout.ts";
import type { Locate } from "./locate.ts";
import type { Site } from "./site.ts";

/** A size or number of a feature as it is entered: its key, its label, and what leaving it empty means. */
export interface EntryField {
  key: string;
  label: string;
  /** Said of an empty field that may stay so; null when it is needed. */
  empty: string | null;
  /** A drawn size, kept in `sizes`, or a plain number, kept in `numbers`. */
  unit: "length" | "angle" | "count";
}

/** One of a list, kept in the feature itself under its key. */
export interface ChoiceField {
  key: string;
  label: string;
  options: readonly (readonly [value: string, text: string])[];
}

/** A figure worked from a feature, with its working: the depth of a keyseat over the far side. */
export interface Fact {
  label: string;
  value: Quantity;
  decimals?: number;
  working: WorkingBody;
}

/** What every feature has, whatever its kind. */
export interface FeatureBase {
  id: string;
  kind: string;
  face: Face;
  /** Along the first and the second size of its face. */
  first: Locate;
  second: Locate;
}

/** What a feature is checked against. */
export interface Bench {
  shop: Shop;
  site: Site;
}

/** All that a kind of feature knows: one folder holds one. */
export interface FeatureRules<F extends FeatureBase> {
  schema: z.ZodType<F>;
  word: string;
  /** What it is, in a line. */
  what: string;
  /** The parts it can be cut into. */
  on: "block" | "shaft" | "both";
  choices: (feature: F) => readonly ChoiceField[];
  /** What is entered, by its present choices. */
  fields: (feature: F) => readonly EntryField[];
  /** Which of its two places are entered: a step has none, a slot only the one across it. */
  places: (feature: F) => readonly ("first" | "second")[];
  /** A new one on a face, with nothing entered. */
  make: (id: string, face: Face) => F;
  /** What it takes out; null while something needed is missing or cannot be. */
  cutout: (feature: F, site: Site) => Cutout | null;
  /** What speaks against it besides what is said of every feature. */
  check: (feature: F, cutout: Cutout, bench: Bench) => Warning[];
  /** What is worked from it: both depths of a keyseat, a measure over pins. */
  facts?: (feature: F, site: Site) => Fact[];
  /** The widest cutter that still makes it, mm; null where any does. */
  widest?: (feature: F, site: Site) => Mm | null;
  /** Why there is no cutout though all is entered; null when something is only missing. */
  impossible?: (feature: F, site: Site) => Phrase | null;
  /** What a mirror across a size turns besides places and faces. */
  mirror?: (feature: F, axis: Axis) => F;
}

export const length = (key: string, label: string, empty: string | null = null): EntryField => ({
  key,
  label,
  empty,
  unit: "length",
});
export const angle = (key: string, label: string, empty: string | null = null): EntryField => ({
  key,
  label,
  empty,
  unit: "angle",
});
export const count = (key: string, label: string, empty: string | null = null): EntryField => ({
  key,
  label,
  empty,
  unit: "count",
});
