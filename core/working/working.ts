import type { Quantity } from "../quantity/index.ts";
import type { FormulaId } from "./formulas.ts";
import type { Limit } from "./limit.ts";
import { type Phrase, words } from "./phrase.ts";

/** One line of a working, as a person writes it on paper. */
export interface WorkingLine {
  what: Phrase;
  formula?: FormulaId;
  terms: [symbol: string, value: Quantity][];
  result: Quantity;
  decimals?: number;
  source?: string;
  /** Page of the handbook that says more: `materials/steel-low-drawn`. */
  see?: string;
  /** A line that is a result of those above it: drawn under a rule. */
  sum?: boolean;
}

/** The trace of one figure: the lines that lead to it and the limits that bound it. */
export interface Working {
  key: string;
  title: Phrase;
  lines: WorkingLine[];
  limits: Limit[];
  /** Id of the limit that bound the figure. */
  bound?: string;
  notes: Phrase[];
}

/** A working before its figure's key and title are put to it. */
export type WorkingBody = Pick<Working, "lines"> & Partial<Pick<Working, "limits" | "bound" | "notes">>;

/** A line of a working: what, its result, and whatever else is known of it. */
export const line = (
  what: string | Phrase,
  result: Quantity,
  more: Partial<WorkingLine> = {},
): WorkingLine => ({
  what: typeof what === "string" ? words(what) : what,
  terms: [],
  result,
  ...more,
});
