import { type Mm, tidy } from "../quantity/index.ts";
import type { Parallels } from "./holding-devices.ts";

/** One pair of parallels laid on another. */
export interface Stack extends Parallels {
  /** Height of the pair below, mm. */
  lower: Mm;
}

/** Between the ids of the two pairs of a stack, the lower one first. */
const onIt = "+";

/** One pair laid on another: as wide as the wider, which lies below, and as long as the shorter. */
function onePairOnAnother(lower: Parallels, upper: Parallels): Stack {
  return {
    ...lower,
    id: `${lower.id}${onIt}${upper.id}`,
    name: `${lower.name} with the ${upper.name} on them`,
    height: tidy(lower.height + upper.height),
    lower: lower.height,
    length: Math.min(lower.length, upper.length),
    // Known only where both are: the worst is that they add up.
    unlike: lower.unlike === null || upper.unlike === null ? null : tidy(lower.unlike + upper.unlike),
  };
}

const known = new WeakMap<readonly Parallels[], Stack[]>();

/**
 * Every stack of two pairs of parallels, for a height that no pair alone has; of several ways to one height the one with the
 * higher pair below. Never higher than a pair and a half of the highest: a tower sways.
 */
export function stackedParallels(owned: readonly Parallels[]): Stack[] {
  const made = known.get(owned);
  if (made) return made;
  const pairs = owned.filter((p) => !p.retired).toSorted((a, b) => b.height - a.height);
  const highest = pairs[0]?.height ?? 0;
  const byHeight = new Map<string, Stack>();
  for (const lower of pairs)
    for (const upper of pairs) {
      const stands = lower.thickness >= upper.thickness && lower.height >= upper.height && lower !== upper;
      const height = tidy(lower.height + upper.height);
      if (!stands || height > 1.5 * highest || pairs.some((p) => Math.abs(p.height - height) < 0.01))
        continue;
      const key = `${height} ${lower.thickness}`;
      if (!byHeight.has(key)) byHeight.set(key, onePairOnAnother(lower, upper));
    }
  const stacks = [...byHeight.values()];
  known.set(owned, stacks);
  return stacks;
}

/** Whether parallels that are named are one pair on another. */
export const isStack = (id: string): boolean => id.includes(onIt);

/** Parallels by what a seat calls them: a pair, or one pair on another; undefined when one of them is gone from the shop. */
export function parallelsById(
  owned: readonly Parallels[],
  id: string | undefined,
): Parallels | Stack | undefined {
  const pair = owned.find((p) => p.id === id);
  if (pair || !id || !isStack(id)) return pair;
  const [lower, upper] = id.split(onIt).map((one) => owned.find((p) => p.id === one));
  return lower && upper && onePairOnAnother(lower, upper);
}
