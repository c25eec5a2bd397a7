import { finishAllowances, handlingTimes, leastFaceDepth, underSkin } from "../handbook/index.ts";
import { type Minutes, type Mm, type MmPerMin, tidy } from "../quantity/index.ts";
import { cuttingDiameter } from "../shop/index.ts";
import { cutTime, type FeedChoice } from "./feed.ts";
import { type FinishPass, finishPass, finishRubs } from "./finish-pass.ts";
import type { Lanes } from "./lanes.ts";
import { type Pass, passesForRest } from "./passes.ts";
import { type Ready, settingOf } from "./ready.ts";

/** Run-in and run-out beyond the cutter, mm. */
const runIn = 2;

/** Passes of a cut at a depth and feed, its last one, and the time of all of them. */
export interface CutPlan {
  passes: Pass[];
  /** What the last pass keeps, mm. */
  keeps: Mm;
  last: FinishPass;
  finishVf: MmPerMin;
  minutes: Minutes;
}

/** First pass that gets under the skin, mm; 0 without one. */
export const underTheSkin = ({ task }: Pick<Ready, "task">): Mm =>
  task.skin > 0 ? tidy(Math.min(task.skin + underSkin, task.total)) : 0;

/** What the last pass may keep: the usual, or lighter where the depth or the bending of a wall asks for it. */
function worthKeeping(ready: Ready, width: Mm, depth: Mm): [usual: Mm, ...lighter: Mm[]] {
  const allowances = finishAllowances[ready.task.kind].filter((keeps) => keeps <= depth + 1e-9);
  const [usual = Math.min(leastFaceDepth, depth), ...lighter] = allowances;
  return [usual, ...lighter.filter((keeps) => !finishRubs(ready, width, keeps))];
}

/**
 * Passes at a depth and feed. The last pass keeps what makes the whole quickest: a lighter one saves a spring pass.
 * @param depth largest depth of a roughing pass, mm, above 0
 * @param told what was told already of the last pass; null to choose
 */
export function cutPlan(
  ready: Ready,
  lanes: Lanes,
  feed: FeedChoice,
  depth: Mm,
  told: { keeps: Mm; vf: MmPerMin } | null = null,
): CutPlan {
  const { task, cutter } = ready;
  const setting = settingOf(ready, lanes.width);
  const travel = task.length + cuttingDiameter(cutter);
  const at = (keeps: Mm): CutPlan => {
    const passes = passesForRest(task.total, depth, keeps, Math.min(underTheSkin(ready), depth));
    const last = finishPass(ready, setting, feed, passes.at(-1)?.depth ?? keeps);
    const finishVf = told?.vf ?? last.vf;
    const roughs = passes.filter((p) => p.kind === "rough").length;
    const lasts = passes.length - roughs + (last.spring ? 1 : 0);
    const coming = (roughs + lasts) * (handlingTimes.goTo + handlingTimes.down);
    const minutes =
      lanes.lanes *
      (coming +
        cutTime(travel, runIn, runIn, feed.vf, roughs) +
        cutTime(travel, runIn, runIn, finishVf, lasts));
    return { passes, keeps, last, finishVf, minutes };
  };
  if (told) return at(told.keeps);
  if (task.own.finish !== null) return at(Math.min(task.own.finish, depth));
  const [usual, ...lighter] = worthKeeping(ready, lanes.width, depth);
  const first = at(usual);
  // Lighter ones only pay where the usual one bends away: roughing then has more to do.
  return first.last.bends || first.last.spring
    ? lighter.map(at).reduce((best, plan) => (plan.minutes < best.minutes * (1 - 1e-9) ? plan : best), first)
    : first;
}
