import type { Phrase, Warning } from "../working/index.ts";
import { say } from "../working/index.ts";
import type { Finding, FindingSort } from "./finding.ts";
import { findingPhrase } from "./words.ts";

/** What costs time or a better finish, but hurts nobody and spoils nothing. */
const harmless: ReadonlySet<FindingSort> = new Set([
  "nothing",
  "endless",
  "otherSpeed",
  "rubs",
  "lessGrip",
  "side",
  "notTold",
  "left",
]);

/** Findings that say the same of one operation, with the first step and how many more. */
export interface FindingRow {
  /** The same for what is found again. */
  key: string;
  first: Finding;
  worst: Finding;
  more: number;
}

/** Findings put together where they say the same of one operation, in the order they were met. */
export function findingRows(findings: readonly Finding[]): FindingRow[] {
  const rows = new Map<string, FindingRow>();
  for (const finding of findings) {
    const key = `${finding.sort} ${finding.op} ${finding.what}`;
    const row = rows.get(key);
    if (!row) rows.set(key, { key, first: finding, worst: finding, more: 0 });
    else
      rows.set(key, {
        ...row,
        worst: finding.size > row.worst.size ? finding : row.worst,
        more: row.more + 1,
      });
  }
  return [...rows.values()];
}

/** What was found of a setup, by what it is, so that a person can answer just this. */
export interface FoundWarning extends Warning {
  key: string;
}

/**
 * What was found of a setup, as warnings: what can hurt somebody, the machine or the part blocks it.
 * @param names what features are called, by their id
 * @param stepCalled the title of a step; null for one that is not in the plan
 */
export function findingWarnings(
  findings: readonly Finding[],
  setup: number,
  names: ReadonlyMap<string, string>,
  stepCalled: (finding: Finding) => Phrase | null,
): FoundWarning[] {
  return findingRows(findings.filter((f) => f.setup === setup)).map(({ key, first, worst, more }) => {
    const step = stepCalled(first);
    const found = findingPhrase(worst, names);
    const where = step ? say`${step}${more > 0 ? ` and ${more} more` : ""}: ` : say``;
    return {
      key,
      severity: harmless.has(worst.sort) ? "warn" : "stop",
      phrase: { ...say`${where}${found}`, ...(found.id ? { id: found.id } : {}) },
    };
  });
}
