import { type CutKind, leastChip, leastFaceDepth, type Range } from "../handbook/index.ts";
import { type Kw, type Mm, mm, type MmPerMin, quantity } from "../quantity/index.ts";
import { type Cutter, holderOf, pickSetting, spindlePowerAt } from "../shop/index.ts";
import {
  binding,
  done,
  type Limit,
  note,
  type Outcome,
  refused,
  rule,
  say,
  warn,
  type Warning,
} from "../working/index.ts";
import * as z from "../zod.ts";
import { beyondLimits } from "./beyond.ts";
import { cutPlan, underTheSkin } from "./cut-plan.ts";
import { mayClimb } from "./direction.ts";
import { doubts } from "./doubts.ts";
import { engagementAt, largestChip } from "./engagement.ts";
import { type FeedChoice, feedPerToothOf, plainFz, tableFeed } from "./feed.ts";
import { finishWarnings } from "./finish-pass.ts";
import { type Lanes, laneShares, lanesAt } from "./lanes.ts";
import { bendingAt, depthLimits, forceAt, powerAt } from "./limits.ts";
import type { Pass } from "./passes.ts";
import { quickestFeed, settableDepth, thinDepth } from "./quickest-feed.ts";
import { cannotCut } from "./reach.ts";
import { type CutPlace, feedAxis, makeReady, type Ready, settingOf } from "./ready.ts";
import type { CutTask } from "./task.ts";

/** What a person sets and the machine does: what is told at the machine and frozen when a setup begins. */
export const conditionsSchema = z.object({
  cutter: z.string(),
  /** rpm, and what to set for it */
  rpm: z.number(),
  setting: z.string(),
  /** mm/min; of the last pass `finishVf`. */
  vf: z.number(),
  finishVf: z.number(),
  feedBy: z.enum(["power", "hand"]),
  /** Seconds a turn at the handwheel. */
  pace: z.number(),
  /** Width of cut per lane and number of lanes; for a side cut the height and 1. */
  width: z.number(),
  lanes: z.number().int(),
  /** Largest depth of a roughing pass in mm, and what the last pass keeps. */
  depth: z.number(),
  finish: z.number(),
});
export type Conditions = z.infer<typeof conditionsSchema>;

/** One cut with everything its working needs. */
export interface Cut extends Conditions {
  kind: CutKind;
  feedAlong: CutTask["feedAlong"];
  tool: Cutter["material"];
  holder: string | null;
  /** Ranges with what kind, stickout and house rules make of the handbook's, and what that was. */
  vcRange: Range;
  speedFactor: number;
  vcWanted: number;
  wantedRpm: number;
  vc: number;
  fzRange: Range;
  feedFactor: number;
  /** The feed per tooth aimed at; above the range's only where chips are thin. */
  fzWanted: Mm;
  /** fz over the plain feed where it was raised for thin chips; 1 when not. */
  thinning: number;
  fz: Mm;
  hm: Mm;
  /** Largest chip over the arc, mm. */
  hex: Mm;
  /** N/mm² */
  kc: number;
  spindlePower: Kw;
  /** At the chosen depth: power, tangential force over a turn in N, bending in mm. */
  power: Kw;
  force: { peak: number; mean: number };
  bending: Mm;
  /** Of the last pass: bending, and what it may be; null when no wall is made. */
  finishBending: { is: Mm; may: Mm } | null;
  /** The last pass once more at the same setting. */
  spring: boolean;
  /** Which passes climb, by the person's choice and the slack of the screw. */
  climb: "none" | "last" | "all";
  limits: Limit[];
  bound: string;
  /** What the limits allow: the depth without an override. */
  allowed: Mm;
  /** What the person set themselves. */
  own: { speed: boolean; feed: boolean; depth: boolean };
  /** First pass that gets under the skin, mm. */
  first: Mm;
  passes: Pass[];
  minutes: number;
  /** Better cutters come first: 0 when nothing is against this one, more for skin, wear or a rough wall. */
  against: number;
  warnings: Warning[];
}

interface Fixed {
  feed: FeedChoice;
  lanes: Lanes;
  /** Depth that is settled already (told, or the person's own); null to take what the limits allow. */
  depth: Mm | null;
  /** What was told of the last pass; null to choose. */
  last: { keeps: Mm; vf: MmPerMin } | null;
}

/** Works a cut at a settled feed and width. */
function evaluate(ready: Ready, { feed, lanes, ...fixed }: Fixed): Cut {
  const { task, cutter, machine, speed, fzRange } = ready;
  const setting = settingOf(ready, lanes.width);
  const fz = feedPerToothOf(feed.vf, cutter.teeth, speed.rpm);
  const limits = depthLimits(setting, feed.vf, fixed.depth === null ? thinDepth(ready, fz) : Infinity);
  const bound = binding(limits)!;
  const allowed = Math.max(0, settableDepth(bound.allows.value));
  const depth = fixed.depth ?? allowed;
  const usable = Math.max(depth, leastFaceDepth);
  const spindlePower = spindlePowerAt(machine, speed);
  const { power, hm, kc } = powerAt(setting, usable, feed.vf);
  const chip = largestChip(fz, engagementAt(task.kind, cutter, lanes.width, usable));
  const first = underTheSkin(ready);
  const { passes, keeps, last, finishVf, minutes } = cutPlan(ready, lanes, feed, usable, fixed.last);
  const doubt = doubts(task, cutter, fz, lanes.lanes);
  const warnings = [...speed.warnings, ...doubt.warnings, ...finishWarnings(last)];
  if (first > usable + 1e-9) {
    warnings.push(
      task.hardSkin
        ? warn(
            rule(
              "skin.depth",
            )`The skin needs a first pass of ${mm(first)}; the limit is ${mm(usable)}. Remove the skin first (grind, file, pickle) or use a cutter you can spare.`,
          )
        : note(
            rule(
              "skin.rough",
            )`The face is rough to ${mm(task.skin)}; a first pass of ${mm(usable)} does not get under that. It will not dull the edge: the passes after it clean it up.`,
          ),
    );
  }
  const least = leastChip(cutter.kind, cutter.material);
  if (chip < least) {
    warnings.push(
      warn(
        rule(
          "M22.rub",
        )`The chip is ${quantity("chip", chip)} at its thickest, thinner than this edge can cut (${quantity("chip", least)}): it would rub. Feed faster, slow the spindle, or cut deeper.`,
      ),
    );
  } else if (fz < fzRange[0] * (1 - 1e-9)) {
    warnings.push(
      note(
        rule(
          "feed.below",
        )`${quantity("chip", fz)} per tooth is below the recommended chip load; ${feed.by === "hand" ? "hand feed is the limit" : "the next power feed would be above it"}.`,
      ),
    );
  }
  const thinning = Math.max(1, fz / plainFz(fzRange, task.aim === "quick"));
  if (task.own.vf !== null && fz > fzRange[1] * (1 + 1e-9)) {
    warnings.push(
      warn(
        rule(
          "M21.feed",
        )`${quantity("chip", fz)} per tooth; this cutter can take ${quantity("chip", fzRange[1])}. ${quantity("feed", tableFeed(fzRange[1], cutter.teeth, speed.rpm))} would do.`,
      ),
    );
  }
  const mayClimbAt = (deep: Mm) => mayClimb(deep, feedAxis(ready).backlash, fz * cutter.teeth);
  const climbs = task.own.climb ? mayClimbAt(Math.max(0, ...passes.map((p) => p.depth))) : null;
  const lastClimbs = climbs && !climbs.ok && mayClimbAt(passes.at(-1)?.depth ?? Infinity).ok;
  if (climbs && !climbs.ok) warnings.push(warn(climbs.reason));
  const own = {
    speed: task.own.rpm !== null,
    feed: task.own.vf !== null,
    depth: task.own.depth !== null,
  };
  // What was told when the setup began may be beyond them too: a tick takes no warning away.
  if (own.depth || fixed.last) warnings.push(...beyondLimits(limits, depth, power, spindlePower, allowed));
  return {
    cutter: cutter.id,
    kind: task.kind,
    feedAlong: task.feedAlong,
    tool: cutter.material,
    holder: ready.holder?.id ?? null,
    rpm: speed.rpm,
    setting: speed.setting,
    vf: feed.vf,
    finishVf,
    feedBy: feed.by,
    pace: feed.pace,
    width: lanes.width,
    lanes: lanes.lanes,
    depth: usable,
    finish: keeps,
    vcRange: speed.vcRange,
    speedFactor: speed.factor,
    vcWanted: speed.vcWanted,
    wantedRpm: speed.wanted,
    vc: speed.vc,
    fzRange,
    feedFactor: ready.feedFactor,
    fzWanted: plainFz(fzRange, task.aim === "quick"),
    thinning,
    fz,
    hm,
    hex: chip,
    kc,
    spindlePower,
    power,
    force: forceAt(setting, usable, fz),
    bending: bendingAt(setting, usable, fz),
    finishBending: last.bending,
    spring: last.spring,
    climb: climbs?.ok ? "all" : lastClimbs ? "last" : "none",
    limits,
    bound: bound.id,
    allowed,
    own,
    first,
    passes,
    minutes,
    against: doubt.against,
    warnings,
  };
}

/** Nothing is left of the depth: the limit that takes it all, and what would lift it. */
const nothingLeft = (cut: Cut) => {
  const bound = cut.limits.find((l) => l.id === cut.bound)!;
  return refused(
    rule(
      "M21.nothing",
    )`Even ${mm(leastFaceDepth)} per pass is beyond the ${bound.name}: it allows ${mm(bound.allows.value)}.`,
    say`To get more: ${bound.lifts}.`,
  );
};

/**
 * One cut with one cutter: speed, feed, width, depth per pass with the limit that bound it, passes and time. When the first
 * pass must go under a skin deeper than the depth limit, the width is narrowed, never the depth.
 * @returns refusal when the cutter cannot do this cut, has no holder, or no depth is left
 */
export function cutWith(task: CutTask, cutter: Cutter, place: CutPlace): Outcome<Cut> {
  const holder = holderOf(cutter, place.shop);
  if (!holder.ok) return holder;
  const cannot = cannotCut(task, cutter, holder.value, place.machine, task.own.cutter === cutter.id);
  if (cannot) return cannot;
  let ready = makeReady(task, cutter, holder.value, place);
  let cut = underWay(ready);
  // M22: where the quickest feed makes too thin a chip, a slower spindle makes it thicker.
  const least = leastChip(cutter.kind, cutter.material);
  for (let tries = 0; cut.hex < least && task.own.rpm === null && tries < mostSlower; tries++) {
    const { rpm } = ready.speed;
    const slower = makeReady(task, cutter, holder.value, place, rpm * Math.min(0.9, cut.hex / least));
    if (slower.speed.rpm >= rpm) break;
    ready = slower;
    const next = underWay(ready);
    if (next.hex > cut.hex) cut = next;
  }
  return cut.allowed < leastFaceDepth - 1e-9 && task.own.depth === null ? nothingLeft(cut) : done(cut);
}

/** A slower speed is looked for so often, where a faster one only rubs. */
const mostSlower = 5;

/** The cut at a settled speed; its lanes are narrowed where only so the first pass gets under a skin. */
function underWay(ready: Ready): Cut {
  const { task, cutter } = ready;
  const at = (share: number) => {
    const lanes = lanesAt(task, cutter, share);
    return evaluate(ready, {
      lanes,
      feed: quickestFeed(ready, lanes),
      depth: task.own.depth,
      last: null,
    });
  };
  let cut = at(laneShares[0]);
  const getsUnder = (c: Cut) => c.first <= c.allowed + 1e-9;
  const narrows = task.kind === "face" || task.kind === "slab";
  // An own depth that the machine cannot take at full width may do in narrower lanes.
  if (task.own.depth !== null && narrows && hardLimitBroken(cut, cut.depth)) {
    const narrower = laneShares.slice(1).map(at);
    return narrower.find((c) => !hardLimitBroken(c, c.depth)) ?? narrower.at(-1)!;
  }
  if (task.own.depth === null && narrows && cut.first > 0) {
    const all = [cut, ...laneShares.slice(1).map(at)];
    const under = all.filter(getsUnder);
    const narrowed = !getsUnder(cut);
    cut = under.length > 0 ? under.reduce((a, b) => (b.minutes < a.minutes ? b : a)) : all.at(-1)!;
    if (narrowed) {
      cut.warnings.push(
        note(
          rule(
            "skin.width",
          )`The first pass goes under the ${task.hardSkin ? "skin" : "rough surface"}, so the lanes are narrowed to ${mm(cut.width)} rather than the depth.`,
        ),
      );
    }
  }
  return cut;
}

/** A cut as it was told when its setup began: its figures worked at those conditions, whatever would be planned now. */
export function cutAsTold(task: CutTask, cutter: Cutter, place: CutPlace, told: Conditions): Cut {
  const holder = holderOf(cutter, place.shop);
  const ready = makeReady(task, cutter, holder.ok ? holder.value : null, place);
  const spindle = pickSetting(place.machine, told.rpm);
  const cut = evaluate(
    { ...ready, speed: { ...ready.speed, ...spindle, rpm: told.rpm } },
    {
      feed: { vf: told.vf, by: told.feedBy, pace: told.pace, bound: "wanted" },
      lanes: { width: told.width, lanes: told.lanes },
      depth: task.own.depth ?? told.depth,
      last: { keeps: told.finish, vf: told.finishVf },
    },
  );
  return { ...cut, ...told, depth: cut.depth };
}

/** Why an own depth cannot be taken: beyond a hard limit (M21). Undefined when it can. */
export function hardLimitBroken(cut: Cut, depth: Mm): Limit | undefined {
  return cut.limits.find((limit) => limit.hardAt !== null && depth > limit.hardAt + 1e-9);
}
