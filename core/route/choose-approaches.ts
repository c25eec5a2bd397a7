import { handlingTimes } from "../handbook/index.ts";
import type { Candidate, Chosen, Option } from "./feature-candidate.ts";
import type { FeaturesAsked } from "./features-asked.ts";

/** More approaches than six do not come together but on shafts; sets of them are few enough to look at all. */
const mostApproaches = 10;

/** The set of approaches that shows every feature in the least time, setups counted in. */
export function chooseApproaches(candidates: readonly Candidate[], { hosts }: FeaturesAsked): Chosen[] {
  const approaches = [...new Set(candidates.flatMap((c) => c.options.map((o) => o.approach)))].slice(
    0,
    mostApproaches,
  );
  let best: { cost: number; chosen: Chosen[] } | null = null;
  for (let set = 1; set < 1 << approaches.length; set++) {
    const open = new Set(approaches.filter((_, i) => set & (1 << i)));
    let cost = 0;
    const chosen: Chosen[] = [];
    const used = new Set<string>();
    for (const candidate of candidates) {
      const option = candidate.options
        .filter((o) => open.has(o.approach))
        .reduce<Option | null>((a, b) => (!a || b.minutes < a.minutes - 1e-9 ? b : a), null);
      if (!option) break;
      chosen.push({ candidate, option });
      used.add(option.approach);
      cost += option.minutes;
    }
    if (chosen.length < candidates.length || used.size < open.size) continue;
    for (const approach of used)
      cost += hosts.some((h) => h.setup.at.up === approach)
        ? handlingTimes.indicate
        : handlingTimes.setup + handlingTimes.indicate;
    if (!best || cost < best.cost - 1e-9) best = { cost, chosen };
  }
  return best?.chosen ?? [];
}
