import { type Mm, tidy } from "../../quantity/index.ts";
import type { Entered } from "../entered.ts";

/** The readings of a thing that was tried up to three times: those that were entered. */
export const trialsOf = (n: Entered["n"]): number[] =>
  ["first", "second", "third"].map((key) => n(key)).filter((v) => !Number.isNaN(v));

export const meanOf = (values: readonly number[]): number =>
  tidy(values.reduce((s, v) => s + v, 0) / values.length);

/** How far apart readings of one thing lie. */
export const rangeOf = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/** A rise over a length, as it is kept: over 100. */
export const per100 = (rise: Mm, apart: Mm): Mm => tidy((rise / apart) * 100);
