import type { Quantity } from "../quantity/index.ts";
import type { FormulaId } from "./formulas.ts";
import type { Limit } from "./limit.ts";
import type { Phrase } from "./phrase.ts";

/** One line of a working, as a person writes it on paper. */
export interface WorkingLine {
  what: Phrase;
  formula?: FormulaId;
  terms: [symbol: string, value: Quantity][];
  result: Quantity;
  decimals?: number;
  source?: string;
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
