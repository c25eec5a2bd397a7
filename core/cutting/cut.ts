import {
  type CutKind,
  feedPerTooth,
  finishAllowance,
  finishBending,
  isCarbide,
  leastChip,
  leastFaceDepth,
  type Range,
  stickoutSteps,
  underSkin,
} from "../handbook/index.ts";
import { type Kw, type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import {
  type Cutter,
  cuttingDiameter,
  type Holder,
  holderOf,
  houseFactor,
  type Machine,
  pickSetting,
  type Shop,
  spindlePowerAt,
} from "../shop/index.ts";
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
import type { Material } from "../handbook/index.ts";
import * as z from "../zod.ts";
import { beyondLimits } from "./beyond.ts";
import { mayClimb } from "./direction.ts";
import { engagementAt, largestChip, speedDiameter } from "./engagement.ts";
import {
  chooseFeed,
  cutTime,
  type FeedChoice,
  feedCandidates,
  feedPerToothOf,
  neverRub,
  ownFeed,
  tableFeed,
} from "./feed.ts";
import { feedForRa } from "./finish.ts";
import {
  bendingAt,
  bodyAllows,
  cutterRule,
  depthByForces,
  depthBySpindle,
  depthLimits,
  forceAt,
  powerAt,
  ruleSubject,
  type Setting,
  settingFor,
} from "./limits.ts";
import { type Pass, passSchedule } from "./passes.ts";
import { cannotCut } from "./reach.ts";
import { chooseSpeed, type SpeedChoice, stickoutFactor } from "./speed.ts";
import type { CutTask } from "./task.ts";

/** What a cut is made on and in. */
export interface CutPlace {
  machine: Machine;
  material: Material;
  shop: Pick<Shop, "holders" | "houseRules">;
}

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
  climb: boolean;
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

/** Facing width per lane as a share of D (domain.md 6), and narrower ones tried to get under a skin. */
const laneShares = [0.7, 0.5, 0.35, 0.25] as const;
/** Run-in and run-out beyond the cutter, mm. */
const runIn = 2;

/** Depths of a pass are rounded down to this, mm: nobody sets finer for roughing. */
const depthStep = 0.05;

const floorTo = (value: number, step: number) => tidy(Math.floor(value / step + 1e-9) * step);

/** What does not go with the depth: cutter in its holder, speed, range of the feed. */
interface Ready extends CutPlace {
  task: CutTask;
  cutter: Cutter;
  holder: Holder | null;
  speed: SpeedChoice;
  fzRange: Range;
  feedFactor: number;
  /** Settings by width: each carries a table of forces. */
  settings: Map<Mm, Setting>;
}

function makeReady(task: CutTask, cutter: Cutter, holder: Holder | null, place: CutPlace): Ready {
  const { machine, material, shop } = place;
  const rules = shop.houseRules;
  const d = cuttingDiameter(cutter);
  const speed = chooseSpeed({
    machine,
    material,
    cutter,
    diameter: cutter.kind === "ballEnd" ? speedDiameter(cutter, 0.25 * d) : d,
    rules,
    quick: task.aim === "quick",
    own: task.own.rpm,
  });
  const feedFactor =
    (stickoutFactor(cutter) ?? stickoutSteps.at(-1)!).feed *
    houseFactor(rules, "feed", ruleSubject({ machine, cutter, material })).factor;
  const [low, high] = feedPerTooth(material.group, cutter.kind, d, cutter.teeth);
  return {
    task,
    cutter,
    holder,
    ...place,
    speed,
    feedFactor,
    fzRange: [low * feedFactor, high * feedFactor],
    settings: new Map(),
  };
}

function settingOf(ready: Ready, width: Mm): Setting {
  const known = ready.settings.get(width);
  if (known) return known;
  const { task, cutter, holder, machine, material } = ready;
  const made = settingFor({
    task,
    cutter,
    holder,
    machine,
    material,
    rules: ready.shop.houseRules,
    spindle: ready.speed,
    width,
  });
  ready.settings.set(width, made);
  return made;
}

interface Lanes {
  width: Mm;
  lanes: number;
}

const feedAxis = (ready: Ready) => ready.machine.axes[ready.task.kind === "side" ? "y" : "x"];
const plainFz = ([low, high]: Range, quick: boolean): Mm => low + (high - low) * (quick ? 0.75 : 0.5);

/** How far a raised feed keeps its chip no thicker than the plain one, as a depth in mm; Infinity when it is not raised. */
function thinDepth(ready: Ready, fz: Mm): Mm {
  const factor = fz / plainFz(ready.fzRange, ready.task.aim === "quick");
  if (factor <= 1 + 1e-9) return Infinity;
  return ((1 - Math.sqrt(1 - 1 / factor ** 2)) / 2) * cuttingDiameter(ready.cutter);
}

const thins = (kind: CutKind) => kind === "side" || kind === "slab" || kind === "groove";

/** The feed that takes least time over all roughing passes; its depth comes from the limits at that feed. */
function quickestFeed(ready: Ready, lanes: Lanes): FeedChoice {
  const { task, cutter, speed, fzRange } = ready;
  const axis = feedAxis(ready);
  if (task.own.vf !== null) return ownFeed(axis, task.own.vf);
  const setting = settingOf(ready, lanes.width);
  const quick = task.aim === "quick";
  const ceiling = Math.min(
    cutterRule(setting),
    bodyAllows(setting),
    ...task.outside.map((l) => l.allows.value),
  );
  const least = leastChip(cutter.kind, cutter.material);
  const tried = feedCandidates(fzRange, thins(task.kind) && task.own.depth === null, quick).map(({ fz }) =>
    chooseFeed(axis, tableFeed(fz, cutter.teeth, speed.rpm)),
  );
  const distinct = [...new Map(tried.map((feed) => [feed.vf, feed])).values()];
  let best: { feed: FeedChoice; cost: number } | undefined;
  for (const feed of distinct) {
    const fz = feedPerToothOf(feed.vf, cutter.teeth, speed.rpm);
    const depth = Math.max(
      0,
      task.own.depth ??
        floorTo(
          Math.min(
            ceiling,
            thinDepth(ready, fz),
            depthBySpindle(setting, feed.vf).allows,
            ...Object.values(depthByForces(setting, fz)),
          ),
          depthStep,
        ),
    );
    const rough = Math.max(task.total - finishAllowance[task.kind], 0);
    const passes = depth > 0 ? Math.max(1, Math.ceil(rough / depth - 1e-9)) : Infinity;
    const chip = largestChip(fz, engagementAt(task.kind, cutter, lanes.width, Math.max(depth, depthStep)));
    // A feed below its range, or so thin that it rubs, only when nothing else will do.
    const last = chip < least ? 1e6 : fz < fzRange[0] * (1 - 1e-9) ? 1e3 : 0;
    const cost = last + passes / feed.vf;
    if (!best || cost < best.cost - 1e-12) best = { feed, cost };
  }
  return best!.feed;
}

/** Feed of the last pass: at the lower third of the range, less where Ra or the bending of a wall asks for it. */
function finishing(ready: Ready, setting: Setting, rough: FeedChoice, depth: Mm) {
  const { task, cutter, speed, fzRange, material } = ready;
  const [low, high] = fzRange;
  const wall = task.halfTolerance !== null && task.kind !== "face" && task.kind !== "slab";
  const may = wall ? finishBending * task.halfTolerance! : null;
  const ridge = cutter.runOut !== null || !cutter.level ? cutter.teeth : 1;
  const radius =
    task.kind === "face" ? Math.max(cutter.cornerRadius, sharpCorner) : cuttingDiameter(cutter) / 2;
  const byRa = task.ra === null ? null : feedForRa(task.ra, radius);
  const raFz = byRa === null ? Infinity : byRa / ridge;
  const steady = tableFeed(low + (high - low) / 3, cutter.teeth, speed.rpm);
  const wanted = Math.min(steady, tableFeed(raFz, cutter.teeth, speed.rpm));
  const bentAt = (vf: number) =>
    depth > 0 ? bendingAt(setting, depth, feedPerToothOf(vf, cutter.teeth, speed.rpm)) : 0;
  const slowest = Math.min(wanted, tableFeed(low, cutter.teeth, speed.rpm));
  const gentle = may !== null && bentAt(wanted) > may ? slowest : wanted;
  const feed = task.own.vf !== null ? rough : chooseFeed(feedAxis(ready), gentle);
  const is = bentAt(feed.vf);
  const bends = may !== null && is > may;
  const warnings: Warning[] = [];
  if (bends && neverRub(material)) {
    warnings.push(
      warn(
        rule(
          "spring.hardens",
        )`The last pass bends the cutter ${quantity("chip", is)} of ${quantity("chip", may)}, and this material hardens when rubbed: no spring pass. Take a stiffer cutter or a lighter last cut.`,
      ),
    );
  } else if (bends) {
    warnings.push(
      note(
        rule(
          "spring.pass",
        )`The last pass bends the cutter ${quantity("chip", is)}, more than a quarter of half the tolerance (${quantity("chip", may)}): run it once more at the same setting.`,
      ),
    );
  }
  return {
    vf: feed.vf,
    bending: may === null ? null : { is, may },
    spring: bends && !neverRub(material),
    warnings,
  };
}

/** Corner of an insert or tooth whose radius is not known, mm. */
const sharpCorner = 0.4;

/** A groove is cut side by side at most this often: more is work for a wider cutter. */
const mostGrooveLanes = 2;

/** What speaks against a cutter without forbidding it (M19, rating, M38). */
function doubts(
  task: CutTask,
  cutter: Cutter,
  fz: Mm,
  lanes: number,
): { against: number; warnings: Warning[] } {
  const warnings: Warning[] = [];
  let against = 0;
  const spare = cutter.condition === "expendable" || cutter.rating.scale === "good";
  if (task.hardSkin && !spare) {
    against += 1;
    warnings.push(
      warn(
        rule(
          "M19.skin",
        )`Scale or skin kills a good edge in one pass, ${isCarbide(cutter.material) ? "carbide chips on it" : "HSS goes blunt in it"}. Grind, file or pickle the skin off first, or use a cutter you can spare.`,
      ),
    );
  }
  if (task.interrupted && isCarbide(cutter.material) && cutter.condition !== "expendable") {
    against += 1;
    warnings.push(
      warn(
        rule(
          "M19.interrupted",
        )`The cut is interrupted: a hard, sharp grade chips at every blow. Take HSS or a tough grade, and a lower speed.`,
      ),
    );
  }
  const needed = task.kind === "side" ? cutter.rating.wall : cutter.rating.floor;
  if (needed === "poor" && !task.hardSkin) against += 1;
  if (cutter.condition === "expendable" && !task.hardSkin) against += 1;
  if (cutter.kind === "roughing" && task.kind === "side") against += 1;
  if (task.kind === "groove" && lanes > mostGrooveLanes) against += 1;
  if (cutter.runOut !== null && cutter.teeth > 1 && cutter.runOut >= fz) {
    warnings.push(
      warn(
        rule(
          "M38.oneTooth",
        )`It runs out ${quantity("chip", cutter.runOut)}, as much as the feed of a tooth (${quantity("chip", fz)}): one tooth does the work and leaves a ridge every turn. Clean and reseat it in its holder, or feed faster.`,
      ),
    );
  }
  return { against, warnings };
}

interface Fixed {
  feed: FeedChoice;
  lanes: Lanes;
  /** Depth that is settled already (told, or the person's own); null to take what the limits allow. */
  depth: Mm | null;
  finish: Mm | null;
  finishVf: number | null;
}

/** Works a cut at a settled feed and width. */
function evaluate(ready: Ready, { feed, lanes, ...fixed }: Fixed): Cut {
  const { task, cutter, machine, speed, fzRange } = ready;
  const setting = settingOf(ready, lanes.width);
  const fz = feedPerToothOf(feed.vf, cutter.teeth, speed.rpm);
  const limits = depthLimits(setting, feed.vf, fixed.depth === null ? thinDepth(ready, fz) : Infinity);
  const bound = binding(limits)!;
  const allowed = Math.max(0, floorTo(bound.allows.value, depthStep));
  const depth = fixed.depth ?? allowed;
  const usable = Math.max(depth, leastFaceDepth);
  const spindlePower = spindlePowerAt(machine, speed);
  const { power, hm, kc } = powerAt(setting, usable, feed.vf);
  const chip = largestChip(fz, engagementAt(task.kind, cutter, lanes.width, usable));
  const keeps = fixed.finish ?? Math.min(finishAllowance[task.kind], usable);
  const first = task.skin > 0 ? tidy(Math.min(task.skin + underSkin, task.total)) : 0;
  const schedule = passSchedule(
    tidy(task.total),
    usable,
    Math.min(keeps, task.total),
    Math.min(first, usable),
  );
  const passes = schedule.ok ? schedule.value : [];
  const last = finishing(ready, setting, feed, passes.at(-1)?.depth ?? keeps);
  const finishVf = fixed.finishVf ?? last.vf;
  const doubt = doubts(task, cutter, fz, lanes.lanes);
  const warnings = [...speed.warnings, ...doubt.warnings, ...last.warnings];
  if (first > usable + 1e-9) {
    warnings.push(
      warn(
        rule(
          "skin.depth",
        )`The skin asks for a first pass of ${mm(first)}, the limit is ${mm(usable)}. Take the skin off another way (grind, file, pickle) or use a cutter you can spare.`,
      ),
    );
  }
  const least = leastChip(cutter.kind, cutter.material);
  if (chip < least) {
    warnings.push(
      warn(
        rule(
          "M22.rub",
        )`The chip is ${quantity("chip", chip)} at its thickest, thinner than this edge cuts (${quantity("chip", least)}): it would rub. Feed faster, slow the spindle, or cut deeper.`,
      ),
    );
  } else if (fz < fzRange[0] * (1 - 1e-9)) {
    warnings.push(
      note(
        rule(
          "feed.below",
        )`${quantity("chip", fz)} a tooth is below the range: ${feed.by === "hand" ? "a hand turns no faster" : "the next power feed would be above it"}.`,
      ),
    );
  }
  const thinning = Math.max(1, fz / plainFz(fzRange, task.aim === "quick"));
  if (task.own.vf !== null && fz > fzRange[1] * (1 + 1e-9)) {
    warnings.push(
      warn(
        rule(
          "M21.feed",
        )`${quantity("chip", fz)} a tooth; this cutter bears ${quantity("chip", fzRange[1])}. ${quantity("feed", tableFeed(fzRange[1], cutter.teeth, speed.rpm))} would do.`,
      ),
    );
  }
  const climbs = task.own.climb ? mayClimb(usable, feedAxis(ready).backlash, fz * cutter.teeth) : null;
  if (climbs && !climbs.ok) warnings.push(warn(climbs.reason));
  const own = {
    speed: task.own.rpm !== null,
    feed: task.own.vf !== null,
    depth: task.own.depth !== null,
  };
  if (own.depth) warnings.push(...beyondLimits(limits, depth, power, spindlePower, allowed));
  const travel = task.length + (lanes.lanes > 0 ? cuttingDiameter(cutter) : 0);
  const roughs = passes.filter((p) => p.kind === "rough").length;
  const lasts = passes.length - roughs;
  const minutes =
    lanes.lanes *
    (roughs * cutTime(travel, runIn, runIn, feed.vf) +
      (lasts + (last.spring ? 1 : 0)) * cutTime(travel, runIn, runIn, finishVf));
  return {
    cutter: cutter.id,
    kind: task.kind,
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
    climb: climbs?.ok ?? false,
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

/** Lanes over a face at a share of the cutter's diameter; over a slab at the cutter's own length. */
function lanesAt(task: CutTask, cutter: Cutter, share: number): Lanes {
  const d = cuttingDiameter(cutter);
  if (task.kind === "slot") return { width: d, lanes: 1 };
  if (task.kind === "groove") {
    const lanes = Math.max(1, Math.ceil(task.across / cutter.fluteLength - 1e-9));
    return { width: cutter.fluteLength, lanes };
  }
  if (task.kind === "slab") {
    const lanes = Math.max(1, Math.ceil(task.across / (cutter.fluteLength * (share / laneShares[0])) - 1e-9));
    return { width: tidy(task.across / lanes), lanes };
  }
  if (task.kind !== "face") return { width: task.across, lanes: 1 };
  if (share >= laneShares[0] && task.across <= 0.75 * d) return { width: task.across, lanes: 1 };
  const lanes = Math.max(1, Math.ceil(task.across / (share * d) - 1e-9));
  return { width: tidy(task.across / lanes), lanes };
}

/** Nothing is left of the depth: the limit that takes it all, and what would lift it. */
const nothingLeft = (cut: Cut) => {
  const bound = cut.limits.find((l) => l.id === cut.bound)!;
  return refused(
    rule(
      "M21.nothing",
    )`Not even ${mm(leastFaceDepth)} a pass is within the ${bound.name}: it allows ${mm(bound.allows.value)}.`,
    say`What would lift it: ${bound.lifts}.`,
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
  const ready = makeReady(task, cutter, holder.value, place);
  const at = (share: number) => {
    const lanes = lanesAt(task, cutter, share);
    return evaluate(ready, {
      lanes,
      feed: quickestFeed(ready, lanes),
      depth: task.own.depth,
      finish: null,
      finishVf: null,
    });
  };
  let cut = at(laneShares[0]);
  const getsUnder = (c: Cut) => c.first <= c.allowed + 1e-9;
  const narrows = task.kind === "face" || task.kind === "slab";
  if (task.own.depth === null && narrows && !getsUnder(cut)) {
    for (const share of laneShares.slice(1)) {
      cut = at(share);
      if (getsUnder(cut)) break;
    }
    cut.warnings.push(
      note(
        rule(
          "skin.width",
        )`The first pass goes under the skin, so the lanes are narrowed to ${mm(cut.width)} rather than the depth.`,
      ),
    );
  }
  return cut.allowed < leastFaceDepth - 1e-9 && task.own.depth === null ? nothingLeft(cut) : done(cut);
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
      finish: told.finish,
      finishVf: told.finishVf,
    },
  );
  return { ...cut, ...told, depth: cut.depth };
}

/** Why an own depth cannot be taken: beyond a hard limit (M21). Undefined when it can. */
export function hardLimitBroken(cut: Cut, depth: Mm): Limit | undefined {
  return cut.limits.find((limit) => limit.hardAt !== null && depth > limit.hardAt + 1e-9);
}
