import {
  classForce,
  type CutKind,
  endMillDepth,
  feedPerTooth,
  finishAllowance,
  flyCutterDepth,
  leastChip,
  leastFaceDepth,
  type Material,
  type Range,
  softFactor,
  suggestedShare,
  underSkin,
  usualHelix,
  wordsFor,
} from "../handbook/index.ts";
import { type Kw, type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import type { Cutter, Machine } from "../shop/index.ts";
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
  words,
} from "../working/index.ts";
import * as z from "../zod.ts";
import { engagementAngle, meanChipCentered, meanChipSide } from "./chip.ts";
import { chooseFeed, cutTime, feedPerToothOf, tableFeed } from "./feed.ts";
import { forceOverTurn } from "./force.ts";
import { type Pass, passSchedule } from "./passes.ts";
import { cuttingPower, depthByPower, specificForce } from "./power.ts";
import { chooseSpeed } from "./speed.ts";

/** What a cut is to do. All mm. */
export interface CutTask {
  kind: CutKind;
  /** Along the feed. */
  length: Mm;
  /** Across the feed: width of a face, height of a side cut. */
  across: Mm;
  total: Mm;
  /** Skin of the face to get beneath; 0 for a clean one. */
  skin: Mm;
  /** Limits from outside on the depth of a pass: holding and bending put theirs here. */
  outside: Limit[];
  /** A depth of pass the person chose, and why it is kept. */
  ownDepth: Mm | null;
}

/** What a person sets and the machine does: what is told at the machine and frozen when a setup begins. */
export const conditionsSchema = z.object({
  cutter: z.string(),
  /** rpm, and what to set for it */
  rpm: z.number(),
  setting: z.string(),
  /** mm/min */
  vf: z.number(),
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
  vcRange: Range;
  vcWanted: number;
  wantedRpm: number;
  vc: number;
  fzRange: Range;
  fzWanted: Mm;
  fz: Mm;
  hm: Mm;
  /** N/mm² */
  kc: number;
  spindlePower: Kw;
  /** Power at the chosen depth. */
  power: Kw;
  limits: Limit[];
  bound: string;
  /** What the limits allow: the depth without an override. */
  allowed: Mm;
  own: boolean;
  /** First pass that gets under the skin, mm. */
  first: Mm;
  passes: Pass[];
  minutes: number;
  warnings: Warning[];
}

/** Facing width per lane as a share of D (domain.md 6), and narrower ones tried to get under a skin. */
const laneShares = [0.7, 0.5, 0.35, 0.25] as const;
/** Run-in and run-out beyond the cutter, mm. */
const runIn = 2;

/** Depths of a pass are rounded down to this, mm: nobody sets finer for roughing. */
const depthStep = 0.05;

const floorTo = (value: number, step: number) => tidy(Math.floor(value / step + 1e-9) * step);

/** The rule for the kind of cutter: depth of a facing pass at width ae, or width of a side pass at height ap. */
function cutterRule(cutter: Cutter, material: Material, kind: CutKind, across: Mm): Mm {
  const soft = softFactor[material.group];
  const d = cutter.diameter;
  if (kind === "side") {
    // The depth rule read the other way: the width at which this height is allowed.
    const height = across / d / soft;
    let ratio = 1;
    while (ratio > 0.1 && endMillDepth(ratio, cutter.material) < height) ratio -= 0.01;
    return tidy(d * (height > 2 ? 0.1 * (2 / height) : Math.max(ratio, 0.1)));
  }
  if (cutter.kind === "flyCutter") return flyCutterDepth * soft;
  if (cutter.maxDepth !== null) return cutter.maxDepth;
  return endMillDepth(across / d, cutter.material) * d * soft;
}

/** Depth (of a side cut: width) at which the largest force over a turn reaches a cap, mm. */
function workDepthByForce(
  task: CutTask,
  cutter: Cutter,
  material: Material,
  trial: Trial,
  fz: Mm,
  cap: number,
): Mm {
  const shared = { diameter: cutter.diameter, teeth: cutter.teeth, fz, kc11: material.kc11, mc: material.mc };
  if (task.kind === "face") {
    const half = (Math.asin(Math.min(1, trial.width / cutter.diameter)) * 180) / Math.PI;
    return cap / forceOverTurn({ ...shared, ap: 1, from: 90 - half, to: 90 + half, helix: 0 }).peak;
  }
  const forceAt = (ae: Mm) =>
    forceOverTurn({
      ...shared,
      ap: task.across,
      from: 0,
      to: engagementAngle(ae, cutter.diameter),
      helix: usualHelix,
    }).peak;
  let [low, high] = [0, cutter.diameter / 2];
  for (let i = 0; i < 9; i++) {
    const middle = (low + high) / 2;
    if (forceAt(middle) <= cap) low = middle;
    else high = middle;
  }
  return low;
}

/** Depths by force already worked: while a size is typed the same cutters and widths come again and again. */
const workedForces = new Map<string, Mm>();
const mostWorked = 1000;

function depthByForce(...asked: Parameters<typeof workDepthByForce>): Mm {
  const [task, cutter, material, trial, fz, cap] = asked;
  const { kind, across } = task;
  const { diameter, teeth } = cutter;
  const key = [
    kind,
    kind === "face" ? trial.width : across,
    diameter,
    teeth,
    fz,
    material.kc11,
    material.mc,
    cap,
  ].join(" ");
  const known = workedForces.get(key);
  if (known !== undefined) return known;
  if (workedForces.size >= mostWorked) workedForces.clear();
  const depth = workDepthByForce(...asked);
  workedForces.set(key, depth);
  return depth;
}

interface Trial {
  width: Mm;
  lanes: number;
}

/** Limits on the depth of a pass: first limits are cutter rule, machine class, spindle power, then those from outside. */
function depthLimits(
  task: CutTask,
  cutter: Cutter,
  machine: Machine,
  material: Material,
  trial: Trial,
  state: { byForce: Mm; vf: number; kc: number; spindlePower: Kw },
): Limit[] {
  const force = suggestedShare * classForce[machine.class];
  const rulesAllow = cutterRule(
    cutter,
    material,
    task.kind,
    task.kind === "face" ? trial.width : task.across,
  );
  const byPower = (power: Kw) =>
    depthByPower(power, task.kind === "face" ? trial.width : task.across, state.vf, state.kc);
  return [
    {
      id: "cutter",
      name: say`cutter rule, ${wordsFor.cutterKind[cutter.kind]}`,
      allows: mm(rulesAllow),
      lifts:
        task.kind === "face" ? say`a cutter made for deeper cuts, or a narrower one` : say`a thicker cutter`,
      hardAt: cutter.maxDepth ?? 2 * rulesAllow,
      source: "depth rules by cutter kind",
    },
    {
      id: "class",
      name: say`machine class, ${wordsFor.machineClass[machine.class]}, ${quantity("force", force)} of ${quantity("force", classForce[machine.class])}`,
      allows: mm(state.byForce),
      lifts: say`a narrower cut, or a stiffer machine`,
      hardAt: null,
      source: "cutting force the class bears (guess) until a pull test replaces it",
    },
    {
      id: "power",
      name: say`spindle power, ${quantity("power", suggestedShare * state.spindlePower)} of ${quantity("power", state.spindlePower)}`,
      allows: mm(byPower(suggestedShare * state.spindlePower)),
      lifts: say`a slower feed, a narrower cut, or a lower gear`,
      hardAt: byPower(state.spindlePower),
      source: "P = ap · ae · vf · kc, 70 % of what reaches the spindle",
    },
    ...task.outside,
  ];
}

function trialCut(task: CutTask, cutter: Cutter, machine: Machine, material: Material, trial: Trial): Cut {
  const speed = chooseSpeed(machine, material, cutter.material, cutter.diameter);
  const warnings = [...speed.warnings];
  const fzRange = feedPerTooth(material.group, cutter.kind, cutter.diameter);
  const fzWanted = (fzRange[0] + fzRange[1]) / 2;
  const feed = chooseFeed(
    task.kind === "face" ? machine.axes.x : machine.axes.y,
    tableFeed(fzWanted, cutter.teeth, speed.rpm),
  );
  const fz = feedPerToothOf(feed.vf, cutter.teeth, speed.rpm);
  const spindlePower = machine.motorPower * machine.efficiency;
  const chipAt = (depth: Mm) =>
    task.kind === "face"
      ? meanChipCentered(fz, Math.min(trial.width, cutter.diameter), cutter.diameter, cutter.enteringAngle)
      : meanChipSide(
          fz,
          Math.min(Math.max(depth, 0.05), cutter.diameter),
          cutter.diameter,
          cutter.enteringAngle,
        );
  const byForce = depthByForce(task, cutter, material, trial, fz, suggestedShare * classForce[machine.class]);
  // A side cut's chip thins with its depth: settle power and depth together.
  let depthGuess = task.kind === "face" ? 1 : 0.1 * cutter.diameter;
  let hm = chipAt(depthGuess)!.hm;
  let limits: Limit[] = [];
  for (let round = 0; round < 4; round++) {
    hm = chipAt(depthGuess)!.hm;
    limits = depthLimits(task, cutter, machine, material, trial, {
      byForce,
      vf: feed.vf,
      kc: specificForce(material.kc11, material.mc, hm),
      spindlePower,
    });
    depthGuess = binding(limits)!.allows.value;
    if (task.kind === "face") break;
  }
  const kc = specificForce(material.kc11, material.mc, hm);
  const bound = binding(limits)!;
  const allowed = floorTo(bound.allows.value, depthStep);
  const own = task.ownDepth !== null;
  const depth = task.ownDepth ?? allowed;
  const area = task.kind === "face" ? trial.width : task.across;
  const power = cuttingPower(depth, area, feed.vf, kc);
  const usable = Math.max(depth, leastFaceDepth);
  const finish = Math.min(finishAllowance[task.kind], usable);
  const first = task.skin > 0 ? tidy(Math.min(task.skin + underSkin, task.total)) : 0;
  const schedule = passSchedule(
    tidy(task.total),
    usable,
    Math.min(finish, task.total),
    Math.min(first, usable),
  );
  const passes = schedule.ok ? schedule.value : [];
  if (first > usable + 1e-9) {
    warnings.push(
      warn(
        rule(
          "skin.depth",
        )`The skin asks for a first pass of ${mm(first)}, the limit is ${mm(usable)}. Take the skin off another way (grind, file, pickle) or use a cutter you can spare.`,
      ),
    );
  }
  if (fz < leastChip[cutter.material]) {
    warnings.push(
      warn(
        rule(
          "feed.thin",
        )`${quantity("chip", fz)} a tooth is thinner than this edge cuts: it would rub. Feed faster or slow the spindle.`,
      ),
    );
  }
  if (own) warnings.push(...overLimits(limits, depth, power, spindlePower, allowed));
  const travel = task.length + cutter.diameter;
  const minutes = passes.length * trial.lanes * cutTime(travel, runIn, runIn, feed.vf);
  return {
    cutter: cutter.id,
    kind: task.kind,
    tool: cutter.material,
    rpm: speed.rpm,
    setting: speed.setting,
    vf: feed.vf,
    feedBy: feed.by,
    pace: feed.pace,
    width: task.kind === "face" ? trial.width : task.across,
    lanes: trial.lanes,
    depth: usable,
    finish,
    vcRange: speed.range,
    vcWanted: speed.vcWanted,
    wantedRpm: speed.wanted,
    vc: speed.vc,
    fzRange,
    fzWanted,
    fz,
    hm,
    kc,
    spindlePower,
    power,
    limits,
    bound: bound.id,
    allowed,
    own,
    first,
    passes,
    minutes,
    warnings,
  };
}

/** What an own depth goes beyond (M21): the limit by name, the power wanted of what there is, and what would do. */
function overLimits(limits: Limit[], depth: Mm, power: Kw, spindlePower: Kw, allowed: Mm): Warning[] {
  return limits
    .filter((limit) => depth > limit.allows.value + 1e-9)
    .map((limit) =>
      limit.id === "power"
        ? warn(
            rule(
              "M21.power",
            )`${quantity("power", power)} wanted of ${quantity("power", spindlePower)} at the spindle: ${power > spindlePower ? "too much" : "little is left in hand"}; ${mm(allowed)} would do.`,
          )
        : warn(
            rule(
              "M21.depth",
            )`${mm(depth)} a pass is beyond the ${limit.name}: it allows ${mm(limit.allows.value)}.`,
          ),
    );
}

/** Why an own depth cannot be taken: beyond a hard limit (M21). Undefined when it can. */
export function hardLimitBroken(cut: Cut, depth: Mm): Limit | undefined {
  return cut.limits.find((limit) => limit.hardAt !== null && depth > limit.hardAt + 1e-9);
}

/** Lanes over a face at a share of the cutter's diameter. */
function lanesAt(across: Mm, diameter: Mm, share: number): Trial {
  if (share >= laneShares[0] && across <= 0.75 * diameter) return { width: across, lanes: 1 };
  const lanes = Math.max(1, Math.ceil(across / (share * diameter) - 1e-9));
  return { width: tidy(across / lanes), lanes };
}

/**
 * One cut with one cutter: speed, feed, width, depth per pass with the limit that bound it, passes and time.
 * When the first pass must go under a skin deeper than the depth limit, the width is narrowed, never the depth.
 * @returns refusal when the cutter cannot do this kind of cut or does not reach
 */
export function cutWith(task: CutTask, cutter: Cutter, machine: Machine, material: Material): Outcome<Cut> {
  if (task.kind === "side") {
    if (cutter.kind !== "endMill") {
      return refused(say`${cutter.name} does not cut with its side.`, say`Take an end mill.`);
    }
    if (cutter.fluteLength < task.across + 1) {
      return refused(
        rule(
          "M20.flute",
        )`The flutes of ${cutter.name} are ${mm(cutter.fluteLength)} long; the wall is ${mm(task.across)} high: the shank would rub.`,
        say`Take a longer cutter, or stand the part upright.`,
      );
    }
    return done(trialCut(task, cutter, machine, material, { width: task.across, lanes: 1 }));
  }
  const at = (share: number) =>
    trialCut(task, cutter, machine, material, lanesAt(task.across, cutter.diameter, share));
  const first = at(laneShares[0]);
  const getsUnder = (cut: Cut) => cut.first <= cut.allowed + 1e-9;
  if (task.ownDepth !== null || getsUnder(first)) return done(first);
  let narrowed = first;
  for (const share of laneShares.slice(1)) {
    narrowed = at(share);
    if (getsUnder(narrowed)) break;
  }
  narrowed.warnings.push(
    note(
      rule(
        "skin.width",
      )`The first pass goes under the skin, so the lanes are narrowed to ${mm(narrowed.width)} rather than the depth.`,
    ),
  );
  return done(narrowed);
}

export interface CutChoice {
  best: Cut;
  /** The others, quickest first, with the minutes they would cost. */
  others: { cutter: string; minutes: number }[];
}

/**
 * The quickest of the owned cutters for a task; equal times go by id. Refuses with the reason of the last one asked when
 * none can do it.
 */
export function chooseCut(
  task: CutTask,
  cutters: Cutter[],
  machine: Machine,
  material: Material,
): Outcome<CutChoice> {
  const tried = cutters.map((cutter) => cutWith(task, cutter, machine, material));
  const possible = tried.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
  possible.sort((a, b) => a.minutes - b.minutes || (a.cutter < b.cutter ? -1 : 1));
  const best = possible[0];
  if (!best) {
    const refusal = tried.findLast((outcome) => !outcome.ok);
    return refusal && !refusal.ok
      ? refusal
      : refused(words("There is no cutter in the shop for this cut."), words("Enter one in the shop."));
  }
  return done({ best, others: possible.slice(1).map(({ cutter, minutes }) => ({ cutter, minutes })) });
}
