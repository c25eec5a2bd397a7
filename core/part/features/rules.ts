import type { Face, Sizes } from "../../frame/index.ts";
import type { Shop } from "../../shop/index.ts";
import type { Warning } from "../../working/index.ts";
import type * as z from "../../zod.ts";
import type { Cutout } from "./cutout.ts";
import type { Locate } from "./locate.ts";

/** A size of a feature as it is entered: its key in `sizes`, its label, and what leaving it empty means. */
export interface SizeField {
  key: string;
  label: string;
  /** Said of an empty field that may stay so; null when it is needed. */
  empty: string | null;
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

/** All that a kind of feature knows: one folder holds one. */
export interface FeatureRules<F extends FeatureBase> {
  schema: z.ZodType<F>;
  word: string;
  /** What it is, in a line. */
  what: string;
  sizes: readonly SizeField[];
  /** Which of its two places are entered: a step has none, a slot only the one across it. */
  places: (feature: F) => readonly ("first" | "second")[];
  /** A new one on a face, with nothing entered. */
  make: (id: string, face: Face) => F;
  /** What it takes out; null while something needed is missing. */
  cutout: (feature: F, sizes: Sizes) => Cutout | null;
  /** What speaks against it besides what is said of every feature. */
  check: (feature: F, cutout: Cutout, shop: Shop) => Warning[];
}
