import { type CutKind, finishBending, leastChip } from "../handbook/index.ts";
import { type Mm, type MmPerMin, quantity } from "../quantity/index.ts";
import { cuttingDiameter } from "../shop/index.ts";
import { note, rule, warn, type Warning } from "../working/index.ts";
import { engagementAt, largestChip } from "./engagement.ts";
import { chooseFeed, type FeedChoice, feedPerToothOf, neverRub, tableFeed } from "./feed.ts";
import { feedForRa } from "./finish.ts";
import { bendingAt, type Setting } from "./limits.ts";
import { feedAxis, type Ready } from "./ready.ts";

/** Corner of an insert or tooth whose radius is not known, mm. */
const sharpCorner = 0.4;

/** Cuts whose size is a wall the cutter bends away from; a groove is as wide as its disc. */
const makesWall: ReadonlySet<CutKind> = new Set(["side", "step", "slot"]);

export interface FinishPass {
  vf: MmPerMin;
  /** Bending at its depth, and what it may be; null when no wall is made. */
  bending: { is: Mm; may: Mm } | null;
  /** Once more at the same setting. */
  spring: boolean;
  /** It bends too far at the feed aimed at: a lighter one would be quicker. */
  bends: boolean;
}

/** The feed aimed at for the last pass: lower third of the range, less where Ra asks for it. */
function steadyFeed({ task, cutter, speed, fzRange: [low, high] }: Ready): MmPerMin {
  const ridge = cutter.runOut !== null || !cutter.level ? cutter.teeth : 1;
  const radius =
    task.kind === "face" ? Math.max(cutter.cornerRadius, sharpCorner) : cuttingDiameter(cutter) / 2;
  const byRa = task.ra === null ? null : feedForRa(task.ra, radius);
  const fz = Math.min(low + (high - low) / 3, byRa === null ? Infinity : byRa / ridge);
  return tableFeed(fz, cutter.teeth, speed.rpm);
}

/**
 * Feed of the last pass at a depth, gentler where a wall would bend away further than its tolerance bears, and whether it
 * runs a second time (spring pass: never in what hardens when rubbed).
 * @param rough the roughing feed: an own feed is kept for the last pass too
 */
export function finishPass(ready: Ready, setting: Setting, rough: FeedChoice, depth: Mm): FinishPass {
  const { task, cutter, speed, fzRange, material } = ready;
  const may =
    task.halfTolerance !== null && makesWall.has(task.kind) ? finishBending * task.halfTolerance : null;
  const wanted = steadyFeed(ready);
  const bentAt = (vf: MmPerMin) =>
    depth > 0 ? bendingAt(setting, depth, feedPerToothOf(vf, cutter.teeth, speed.rpm)) : 0;
  const slowest = Math.min(wanted, tableFeed(fzRange[0], cutter.teeth, speed.rpm));
  const bends = may !== null && bentAt(wanted) > may;
  const vf = task.own.vf !== null ? rough.vf : chooseFeed(feedAxis(ready), bends ? slowest : wanted).vf;
  if (may === null) return { vf, bending: null, spring: false, bends };
  const is = bentAt(vf);
  return { vf, bending: { is, may }, spring: is > may && !neverRub(material), bends };
}

/** Whether a last pass as thin as this would rub at the feed aimed at. */
export function finishRubs(ready: Ready, width: Mm, depth: Mm): boolean {
  const { task, cutter, speed } = ready;
  const fz = feedPerToothOf(steadyFeed(ready), cutter.teeth, speed.rpm);
  return (
    largestChip(fz, engagementAt(task.kind, cutter, width, depth)) < leastChip(cutter.kind, cutter.material)
  );
}

/** What to say of a last pass that bends the cutter too far. */
export function finishWarnings({ bending, spring }: FinishPass): Warning[] {
  if (!bending || bending.is <= bending.may) return [];
  const is = quantity("chip", bending.is);
  const may = quantity("chip", bending.may);
  return [
    spring
      ? note(
          rule(
            "spring.pass",
          )`The last pass bends the cutter ${is}, more than a quarter of half the tolerance (${may}): take a spring pass at the same setting.`,
        )
      : warn(
          rule(
            "spring.hardens",
          )`The last pass bends the cutter ${is}; ${may} is allowed, and this material work-hardens: no spring pass. Use a stiffer cutter or a lighter last cut.`,
        ),
  ];
}
