import { leastChip } from "../handbook/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { cuttingDiameter } from "../shop/index.ts";
import { cutPlan, underTheSkin } from "./cut-plan.ts";
import { engagementAt, largestChip } from "./engagement.ts";
import {
  chooseFeed,
  type FeedChoice,
  feedCandidates,
  feedPerToothOf,
  ownFeed,
  plainFz,
  tableFeed,
  thinTo,
} from "./feed.ts";
import type { Lanes } from "./lanes.ts";
import { bodyAllows, cutterRule, depthByForces, depthBySpindle } from "./limits.ts";
import { feedAxis, type Ready, settingOf } from "./ready.ts";

/** Depths of a pass are rounded down to this, mm: nobody sets finer for roughing. */
const depthStep = 0.05;

/** Rounds a depth down to what is set for roughing, mm. */
export const settableDepth = (depth: Mm): Mm => tidy(Math.floor(depth / depthStep + 1e-9) * depthStep);

/** How far a raised feed keeps its chip no thicker than the plain one, as a depth in mm; Infinity when it is not raised. */
export function thinDepth(ready: Ready, fz: Mm): Mm {
  const factor = fz / plainFz(ready.fzRange, ready.task.aim === "quick");
  return factor <= 1 + 1e-9 ? Infinity : thinTo(factor) * cuttingDiameter(ready.cutter);
}

/** The feed that takes least time over all passes of a cut; its depth comes from the limits at that feed. */
export function quickestFeed(ready: Ready, lanes: Lanes): FeedChoice {
  const { task, cutter, speed, fzRange } = ready;
  const axis = feedAxis(ready);
  if (task.own.vf !== null) return ownFeed(axis, task.own.vf);
  const setting = settingOf(ready, lanes.width);
  const ceiling = Math.min(
    cutterRule(setting),
    bodyAllows(setting),
    ...task.outside.map((l) => l.allows.value),
  );
  const first = underTheSkin(ready);
  const least = leastChip(cutter.kind, cutter.material);
  const thins = task.kind === "side" || task.kind === "slab" || task.kind === "groove";
  const tried = feedCandidates(fzRange, thins && task.own.depth === null, task.aim === "quick").map((fz) =>
    chooseFeed(axis, tableFeed(fz, cutter.teeth, speed.rpm)),
  );
  const distinct = [...new Map(tried.map((feed) => [feed.vf, feed])).values()];
  let best: { feed: FeedChoice; cost: number } | undefined;
  for (const feed of distinct) {
    const fz = feedPerToothOf(feed.vf, cutter.teeth, speed.rpm);
    const depth =
      task.own.depth ??
      settableDepth(
        Math.min(
          ceiling,
          thinDepth(ready, fz),
          depthBySpindle(setting, feed.vf).allows,
          ...Object.values(depthByForces(setting, fz)),
        ),
      );
    const chip = largestChip(fz, engagementAt(task.kind, cutter, lanes.width, Math.max(depth, depthStep)));
    // A feed below its range, too fast to get under the skin, or so slow that it rubs, only when nothing else will do.
    const last =
      (chip < least ? 1e9 : fz < fzRange[0] * (1 - 1e-9) ? 1e3 : 1) * (depth < first - 1e-9 ? 1e6 : 1);
    const cost = depth > 0 ? last * cutPlan(ready, lanes, feed, depth).minutes : Infinity;
    if (!best || cost < best.cost * (1 - 1e-12)) best = { feed, cost };
  }
  return best!.feed;
}
