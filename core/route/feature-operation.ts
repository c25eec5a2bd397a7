import {
  type Cut,
  type CutTask,
  cutTask,
  nothingOwn,
  type OwnConditions,
  type Plunge,
  plungeOf,
  rememberedCut,
  toolCut,
} from "../cutting/index.ts";
import { drillGrabs, type GripCapacity } from "../holding/index.ts";
import { handlingTimes, type Material } from "../handbook/index.ts";
import { mm, type Mm, type MmPerMin, quantity, type Rpm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Machine, setTo, type Shop } from "../shop/index.ts";
import {
  capital,
  done,
  note,
  type Outcome,
  type Phrase,
  type Refusal,
  refused,
  rule,
  say,
  type Warning,
  words,
} from "../working/index.ts";
import type { FeatureKey } from "./feature-key.ts";
import {
  lanesOf,
  leavesRadius,
  type Measured,
  sideTotal,
  strokeMinutes,
  strokesOf,
  type Sweep,
  type Work,
} from "../recipes/index.ts";
import { nothingDoes, notThis, wrongSize } from "./tool-fit.ts";

/** The feature a work is of, how far its crown lies below the thickest section, mm, and the way it is a part of. */
export interface WorkOf {
  id: string;
  name: string;
  crown: Mm;
  way: string;
  /** What it makes is not left unread. */
  critical: boolean;
}

/** One operation of a feature with its tool and conditions: plain data, planned anew from the drawing each time. */
export interface FeatureOperation {
  key: FeatureKey;
  feature: string;
  /** Name of the way it is a part of. */
  way: string;
  title: Phrase;
  sweep: Sweep;
  /** Below where Z is zero: where the metal begins, and how deep it goes; mm. */
  top: Mm;
  floor: Mm;
  /** How far zero in Z lies below the approach face: the crown of a thinner section of a shaft, mm. */
  crown: Mm;
  /** Depths below the approach face at which its ways are cut, mm; the last is the floor. */
  levels: readonly Mm[];
  by: "mill" | "hole" | "form" | "hand";
  /** Id of the cutter; null for hand work. */
  cutter: string | null;
  /** What it is called, or what it is done with by hand. */
  toolName: string;
  /** Diameter that cuts, mm; 0 for hand work. */
  diameter: Mm;
  set: {
    rpm: Rpm;
    setting: string;
    vf: MmPerMin;
    /** How it goes straight down into metal; null for what is no milling cutter. */
    plunge: Plunge | null;
    feedBy: "power" | "hand";
    pace: number;
  } | null;
  /** What is milled, and the cut with its working; null for others. */
  task: CutTask | null;
  cut: Cut | null;
  why: Phrase;
  /** Other cutters that could, with what they would take, minutes. */
  others: { cutter: string; minutes: number }[];
  exact: Mm;
  measure: Measured | null;
  /** The hole a boring head goes into, mm: it is opened from there to its diameter. Null for what is no boring head. */
  opensFrom: Mm | null;
  /** Degrees the head is tilted. */
  tilt: number | null;
  warnings: Warning[];
  minutes: { cutting: number; handling: number };
  /** The cutter is still in from the operation before. */
  sameTool: boolean;
}

/** All of an operation: at the machine, and around it. */
export const minutesOfOperation = ({ minutes }: Pick<FeatureOperation, "minutes">): number =>
  minutes.cutting + minutes.handling;

export interface OperationPlace {
  machine: Machine;
  material: Material;
  shop: Shop;
  /** Those of the shop that there is room for, and those that there is none for, with the reason. */
  cutters: readonly Cutter[];
  tooLong: readonly { cutter: Cutter; refusal: Refusal }[];
  /** How high the part stands, and whether it is held firmly enough for a drill to break through; mm. */
  standing: Mm;
  heldDown: boolean;
  grip: GripCapacity | null;
  /** Something was cut through the way of the cutter before. */
  interrupted: boolean;
  own: Partial<Record<FeatureKey, OwnConditions>>;
}

type Made = Pick<FeatureOperation, "task" | "cut" | "set" | "levels" | "diameter"> & {
  minutes: number;
  against: number;
  warnings: Warning[];
};

/** Feed of a tap that is turned by hand, back every half turn, mm/min (guess). */
export const handFeed = 10;

type Strokes = Pick<FeatureOperation, "cut" | "set" | "levels" | "diameter">;

/** Times known by what is swept and how: the same is asked for in every grouping into setups, and after every record. */
const times = new Map<string, number | null>();
const mostTimes = 5000;
const texts = new WeakMap<Sweep, string>();

function textOf(sweep: Sweep): string {
  const known = texts.get(sweep) ?? JSON.stringify(sweep);
  texts.set(sweep, known);
  return known;
}

/** Minutes of every stroke of a work; null where the cutter does not go in. */
function strokesTime({ sweep, floor, top, exact, tool }: Work, told: Strokes): number | null {
  const { cut, set, levels, diameter } = told;
  const tilt = tool.by === "mill" ? tool.tilt : null;
  const passes = cut && [cut.kind, cut.passes.map((p) => p.depth), cut.vf, cut.finishVf, cut.spring];
  const key = `${textOf(sweep)} ${JSON.stringify([tool.by, floor, top, diameter, tilt, set?.vf, set?.plunge?.vf, levels, passes])}`;
  const last = times.get(key);
  if (last !== undefined) return last;
  const strokes = strokesOf({
    sweep,
    by: tool.by,
    floor,
    exact,
    tilt,
    ...told,
  });
  const minutes = strokes && strokeMinutes(strokes, set?.vf ?? handFeed, top);
  if (times.size >= mostTimes) times.clear();
  times.set(key, minutes);
  return minutes;
}

const doesNotGoIn = (cutter: Cutter): Refusal =>
  refused(
    rule("M20.wide")`${cutter.name} does not go in here.`,
    words("Use a smaller cutter, or a larger corner."),
  );

/** The work done with one cutter; refuses with the reason when it cannot. */
function withCutter(
  work: Work,
  key: FeatureKey,
  cutter: Cutter,
  place: OperationPlace,
  earlier: readonly FeatureOperation[],
): Outcome<Made> {
  const { tool, top, floor, sweep } = work;
  const own = place.own[key] ?? nothingOwn;
  const d = cuttingDiameter(cutter);
  const { length, width } = lanesOf(sweep, d);
  const total = tidy(floor - top);
  if (tool.by === "hand") return refused(words("Done by hand."), words("No cutter is needed."));
  if (tool.by !== "mill") {
    const wrong = notThis(tool, cutter, total);
    if (wrong) return wrong;
    const set = setTo(cutter, tool.diameter);
    const screw =
      tool.by === "hole"
        ? place.machine.axes.z
        : sweep.kind === "disc"
          ? place.machine.axes.y
          : place.machine.axes.x;
    const made = toolCut(set, place, screw, sweep.kind === "disc" ? 0 : floor, tool.pitch ?? null, own);
    if (!made.ok) return made;
    const { vf, warnings, ...speed } = made.value;
    const told: Strokes = {
      cut: null,
      // A tap is turned by hand: it pulls itself in by its pitch.
      set:
        cutter.kind === "tap"
          ? null
          : {
              vf,
              plunge: null,
              rpm: speed.rpm,
              setting: speed.setting,
              feedBy: speed.feedBy,
              pace: speed.pace,
            },
      levels: [floor],
      diameter: cuttingDiameter(set),
    };
    const minutes = strokesTime(work, told);
    if (minutes === null) return doesNotGoIn(cutter);
    return done({
      task: null,
      ...told,
      minutes,
      against: cutter.condition === "worn" ? 1 : 0,
      warnings,
    });
  }
  const wrong = wrongSize(tool, cutter, work);
  if (wrong) return wrong;
  const side = tool.kind === "side";
  const bySide = sweep.kind === "walls" || sweep.kind === "contour";
  const task = cutTask({
    kind: tool.kind,
    length: Math.max(length, 1),
    feedAlong: "x",
    across: side
      ? Math.max(total, 0.5)
      : tool.kind === "slot"
        ? d
        : tool.kind === "groove"
          ? cutter.fluteLength
          : Math.max(0.5, Math.min(width || d, d)),
    total: side ? sideTotal(tool.total ?? 0.25, sweep, earlier, d) : Math.max(total, 0.05),
    plunges: tool.plunges,
    halfTolerance: bySide ? tool.halfTolerance : null,
    interrupted: place.interrupted,
    grip: place.grip,
    own,
  });
  const made = rememberedCut(task, cutter, place);
  if (!made.ok) return made;
  const cut = made.value;
  const levels =
    side || tool.tilt !== null
      ? [floor]
      : cut.passes.map((p, i) => (i === cut.passes.length - 1 ? floor : tidy(top + p.cumulative)));
  const vf = side ? cut.finishVf : cut.vf;
  const plunge = plungeOf(cutter, place, cut.rpm, vf);
  if (tool.plunges && plunge.share > 1)
    return refused(
      rule(
        "M20.plungeHard",
      )`${place.machine.name} cannot push ${cutter.name} straight down into ${place.material.name}.`,
      words("Use a smaller cutter, or drill where it starts."),
    );
  const told: Strokes = {
    cut,
    set: {
      rpm: cut.rpm,
      setting: cut.setting,
      vf,
      plunge,
      feedBy: cut.feedBy,
      pace: cut.pace,
    },
    levels,
    diameter: d,
  };
  const minutes = strokesTime(work, told);
  if (minutes === null) return doesNotGoIn(cutter);
  return done({
    task,
    ...told,
    minutes,
    against: cut.against,
    warnings: cut.warnings,
  });
}

/**
 * The best owned tool for a work: nothing against it first, then the quickest with its change; one that is in already saves the
 * change. Refuses with what would do, and the nearest that is owned.
 */
export function operationOf(
  { id: feature, name, crown, way, critical }: WorkOf,
  work: Work,
  earlier: readonly FeatureOperation[],
  place: OperationPlace,
): Outcome<FeatureOperation> {
  const key: FeatureKey = `${feature}/${work.task}`;
  const before = earlier.at(-1) ?? null;
  const ofFeature = earlier.filter((o) => o.feature === feature);
  const shared = {
    key,
    feature,
    title: say`${capital(name)}: ${work.title}`,
    sweep: work.sweep,
    top: work.top,
    floor: work.floor,
    crown,
    way,
    by: work.tool.by,
    opensFrom: null,
    exact: work.exact,
    measure: work.measure && critical ? { ...work.measure, critical } : work.measure,
  };
  const measuring = work.measure ? handlingTimes.measure : 0;
  if (work.tool.by === "hand")
    return done({
      ...shared,
      levels: [],
      cutter: null,
      toolName: work.tool.with,
      diameter: 0,
      set: null,
      task: null,
      cut: null,
      why: words("Done by hand, the part held in the bench vise or where it is."),
      others: [],
      tilt: null,
      warnings: [...work.notes],
      minutes: { cutting: work.tool.minutes, handling: measuring },
      sameTool: true,
    });
  const wanted = place.own[key]?.cutter ?? null;
  const made = place.cutters.map((cutter) => ({
    cutter,
    outcome: withCutter(work, key, cutter, place, ofFeature),
  }));
  const can = made.flatMap(({ cutter, outcome }) => (outcome.ok ? [{ cutter, made: outcome.value }] : []));
  const cost = ({ cutter, made: m }: (typeof can)[number]) =>
    m.minutes + (cutter.id === before?.cutter ? 0 : handlingTimes.cutterChange);
  can.sort(
    (a, b) => a.made.against - b.made.against || cost(a) - cost(b) || (a.cutter.id < b.cutter.id ? -1 : 1),
  );
  const best = can.find((c) => c.cutter.id === wanted) ?? can[0];
  if (!best) {
    // Where one would do if there were room for it, the room is the reason.
    const tooLong = place.tooLong.map(({ cutter, refusal }) => {
      const outcome = withCutter(work, key, cutter, place, ofFeature);
      return { cutter, outcome: outcome.ok ? refusal : outcome };
    });
    return nothingDoes(work, [...tooLong, ...made]);
  }
  const sameTool = best.cutter.id === before?.cutter;
  const next = can.find((c) => c !== best);
  const tilt = work.tool.by === "mill" ? work.tool.tilt : null;
  const opensFrom =
    best.cutter.kind === "boringHead" && work.tool.by === "hole" ? (work.tool.enters ?? null) : null;
  return done({
    ...shared,
    levels: best.made.levels,
    opensFrom,
    cutter: best.cutter.id,
    toolName: best.cutter.name,
    diameter: best.made.diameter,
    set: best.made.set,
    task: best.made.task,
    cut: best.made.cut,
    why: whyThis(
      best.cutter.id === wanted,
      sameTool,
      next && { name: next.cutter.name, more: cost(next) - cost(best) },
    ),
    others: can.filter((c) => c !== best).map((c) => ({ cutter: c.cutter.id, minutes: cost(c) })),
    tilt,
    warnings: [
      ...work.notes,
      ...best.made.warnings,
      ...(leavesRadius(work.sweep) ? [staysRound(best.made.diameter / 2)] : []),
      ...(best.cutter.kind === "twistDrill"
        ? drillGrabs({
            through: work.floor > place.standing,
            diameter: best.made.diameter,
            thickness: tidy(place.standing - work.top),
            heldDown: place.heldDown,
          })
        : []),
    ],
    minutes: {
      cutting: best.made.minutes,
      handling:
        measuring +
        (sameTool ? 0 : handlingTimes.cutterChange + handlingTimes.touchOff) +
        (tilt === null ? 0 : 2 * handlingTimes.indicate) +
        (opensFrom === null ? 0 : handlingTimes.openHead),
    },
    sameTool,
  });
}

const staysRound = (radius: Mm): Warning =>
  note(
    rule(
      "M20.round",
    )`Inside corners keep the cutter's radius: ${mm(tidy(radius))}. If the mating part is sharp, file the corner or relieve it.`,
  );

function whyThis(
  chosen: boolean,
  sameTool: boolean,
  next: { name: string; more: number } | undefined,
): Phrase {
  const cost = !next
    ? words("the only one in the shop that can do this.")
    : next.more >= 0
      ? say`${next.name} is ${quantity("time", next.more)} slower.`
      : say`${next.name} is ${quantity("time", -next.more)} quicker.`;
  return chosen
    ? say`Your choice: ${cost}`
    : sameTool
      ? say`Already in the spindle; ${cost}`
      : say`No warnings; ${cost}`;
}
