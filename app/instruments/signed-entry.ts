import {
  fromMm,
  largestSize,
  type LengthUnit,
  mm,
  parseQuantity,
  showFixed,
} from "../../core/quantity/index.ts";
import { entryProblem, say } from "../../core/working/index.ts";
import type { EntryKind } from "./number-entry.tsx";

/** A place or a reading along a size, which may lie on either side of zero. */
export const signedEntry: EntryKind<number> = {
  parse(text, unit) {
    const read = parseQuantity(text, "length", unit, true);
    if (!read.ok) return { ok: false, problem: entryProblem(read.problem) };
    return Math.abs(read.value) > largestSize
      ? { ok: false, problem: say`${mm(read.value)} is no place on a part: check the unit.` }
      : { ok: true, value: read.value, understood: null };
  },
  show: (value, unit: LengthUnit) => showFixed(fromMm(value, unit), unit === "mm" ? 2 : 4),
  exact: () => null,
};
