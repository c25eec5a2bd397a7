import type { Mm } from "../quantity/index.ts";

/**
 * Readings of finished blocks say how far out the shop's own things are: what was read is a known sum of biases that are not
 * known. Linear least squares with what is usual as the prior, so that what nothing tells stays at nothing, and says so.
 */

/** One slope that was read, as a sum of biases. */
export interface BiasSeen {
  /** How often each bias counts in it, with its sign. */
  counts: ReadonlyMap<string, number>;
  /** The slope, mm over mm. */
  slope: number;
  /** Its standard uncertainty with the scatter of a seat, mm over mm. */
  sigma: number;
}

export interface BiasFound {
  name: string;
  /** Slope, mm over mm, and its standard uncertainty. */
  slope: number;
  sigma: number;
  /** What was read tells it: it is known much better than what is usual. */
  told: boolean;
  /** Others that only their sum or difference with it is told of. */
  mixedWith: readonly string[];
}

/** A bias is told once it is known better than this share of what is usual (guess). */
const toldBelow = 0.4;
/** Two that go together so closely cannot be told apart (guess). */
const together = 0.4;

/** Inverse of a positive definite matrix by Gauss and Jordan; small ones only. */
function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let i = 0; i < n; i++) {
    const pivot = rows[i]![i]!;
    rows[i] = rows[i]!.map((v) => v / pivot);
    for (let k = 0; k < n; k++) {
      const factor = rows[k]![i]!;
      if (k !== i && factor !== 0) rows[k] = rows[k]!.map((v, j) => v - factor * rows[i]![j]!);
    }
  }
  return rows.map((row) => row.slice(n));
}

/**
 * What readings say of biases.
 * @param usual how large each usually is, mm over mm: nothing is believed to be many times that without being seen
 * @returns none where nothing was read
 */
export function biasesFrom(seen: readonly BiasSeen[], usual: ReadonlyMap<string, number>): BiasFound[] {
  const names = [...usual.keys()].filter((name) => seen.some((s) => (s.counts.get(name) ?? 0) !== 0));
  if (names.length === 0) return [];
  const prior = names.map((name) => usual.get(name)!);
  // In units of what is usual, so that no row is a million times another.
  const rows = seen.map((s) => names.map((name, i) => ((s.counts.get(name) ?? 0) * prior[i]!) / s.sigma));
  const right = seen.map((s) => s.slope / s.sigma);
  const information = names.map((_, i) =>
    names.map((_, j) => rows.reduce((sum, r) => sum + r[i]! * r[j]!, i === j ? 1 : 0)),
  );
  const covariance = inverse(information);
  const pull = names.map((_, i) => rows.reduce((sum, r, k) => sum + r[i]! * right[k]!, 0));
  const spread = names.map((_, i) => Math.sqrt(covariance[i]![i]!));
  return names.map((name, i) => {
    const mean = covariance[i]!.reduce((sum, c, j) => sum + c * pull[j]!, 0);
    return {
      name,
      slope: mean * prior[i]!,
      sigma: spread[i]! * prior[i]!,
      told: spread[i]! < toldBelow,
      mixedWith: names.filter(
        (_, j) =>
          j !== i &&
          spread[i]! >= toldBelow / 2 &&
          Math.abs(covariance[i]![j]!) > together * spread[i]! * spread[j]!,
      ),
    };
  });
}

/** A slope over 100 mm. */
export const over100 = (slope: number): Mm => slope * 100;
