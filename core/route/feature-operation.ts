import {
  type Cut,
  cutTask,
  cutTime,
  nothingOwn,
  type OwnConditions,
  rememberedCut,
  toolCut,
} from "../cutting/index.ts";
import type { GripCapacity } from "../holding/index.ts";
import { cutterKindFacts, handlingTimes, type Material } from "../handbook/index.ts";
import { type Mm, mm, type MmPerMin, quantity, type Rpm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Machine, type Shop } from "../shop/index.ts";
import {
  done,
  type Outcome,
  type Phrase,
  type Refusal,
  refused,
  rule,
  say,
  type Warning,
  words,
} from "../working/index.ts";
import { capital } from "./capital.ts";
import type { FeatureKey } from "./feature-key.ts";
import type { Measured, Work } from "./recipes/recipe.ts";
import {
  type Area,
  lanesAlong,
  lanesBetween,
  lanesOfTrack,
  type Sweep,
  widestLane,
} from "./recipes/sweep.ts";

/** One operation of a feature with its tool and conditions: plain data, planned anew from the drawing each time. */
export interface FeatureOperation {
  key: FeatureKey;
  feature: string;
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
  set: { rpm: Rpm; setting: string; vf: MmPerMin; feedBy: "power" | "hand"; pace: number } | null;
  /** The working of a milling cut; null for others. */
  cut: Cut | null;
  why: Phrase;
  /** Other cutters that could, with what they would take, minutes. */
  others: { cutter: string; minutes: number }[];
  exact: Mm;
  measure: Measured | null;
  /** Degrees the head is tilted. */
  tilt: number | null;
  warnings: Warning[];
  minutes: { cutting: number; handling: number };
  /** The cutter is still in from the operation before. */
  sameTool: boolean;
}

export interface OperationPlace {
  machine: Machine;
  material: Material;
  shop: Shop;
  /** Those of the shop that there is room for. */
  cutters: readonly Cutter[];
  grip: GripCapacity | null;
  own: Partial<Record<FeatureKey, OwnConditions>>;
}

/** What ways over an area come to: how many, how long, and how wide each is; mm. */
function lanesOf(sweep: Sweep, diameter: Mm): { lanes: number; length: Mm; width: Mm } {
  switch (sweep.kind) {
    case "clear": {
      const { area, leave } = sweep;
      const along = lanesAlong(area);
      const free = along.across - leave * along.walls;
      const lanes =
        along.walls === 2
          ? lanesBetween(along.across, diameter, leave)
          : Math.max(1, Math.ceil(free / (widestLane * diameter) - 1e-9));
      return {
        lanes: area.boss ? lanes * 2 : lanes,
        length: along.length,
        width: along.walls === 2 ? diameter : Math.min(diameter, free / lanes),
      };
    }
    case "walls": {
      const { area, sides, of } = sweep;
      const at = of === "boss" && area.boss ? area.boss : area;
      const length = sides.reduce(
        (sum, side) => sum + (side.startsWith("x") ? at.y[1] - at.y[0] : at.x[1] - at.x[0]),
        0,
      );
      return { lanes: 1, length, width: 0 };
    }
    case "tracks":
      return {
        lanes: sweep.tracks.reduce((sum, t) => sum + lanesOfTrack(t, diameter), 0),
        length: sweep.run.to - sweep.run.from,
        width: diameter * 0.5,
      };
    case "arc":
      return {
        lanes: Math.max(2, Math.ceil(Math.sqrt(sweep.depth / (2 * sweep.cusp))) * 2),
        length: sweep.run.to - sweep.run.from,
        width: diameter * 0.5,
      };
    case "region": {
      const { x, y } = sweep.around;
      return {
        lanes: Math.ceil((y[1] - y[0]) / (0.6 * diameter)),
        length: x[1] - x[0],
        width: 0.6 * diameter,
      };
    }
    case "contour": {
      const xs = sweep.outline.map((c) => c.x);
      const ys = sweep.outline.map((c) => c.y);
      return {
        lanes: 1,
        length: 2 * (Math.max(...xs) - Math.min(...xs) + Math.max(...ys) - Math.min(...ys)),
        width: 0,
      };
    }
    case "points":
      return { lanes: sweep.at.length, length: 0, width: diameter };
    case "disc":
      return { lanes: 1, length: sweep.depth, width: diameter };
  }
}

/** Minutes to come to a place and back off by hand (guess). */
const perPlace = 0.25;

type Made = Pick<FeatureOperation, "cut" | "set" | "levels" | "diameter"> & {
  minutes: number;
  against: number;
  warnings: Warning[];
};

/** The work done with one cutter; refuses with the reason when it cannot. */
function withCutter(work: Work, key: FeatureKey, cutter: Cutter, place: OperationPlace): Outcome<Made> {
  const { tool, top, floor, sweep } = work;
  const own = place.own[key] ?? nothingOwn;
  const d = cuttingDiameter(cutter);
  const { lanes, length, width } = lanesOf(sweep, d);
  const total = tidy(floor - top);
  if (tool.by === "hand") return refused(words("Done by hand."), words("No cutter is needed."));
  if (tool.by !== "mill") {
    const wrong = notThis(tool, cutter);
    if (wrong) return wrong;
    const screw =
      tool.by === "hole"
        ? place.machine.axes.z
        : sweep.kind === "disc"
          ? place.machine.axes.y
          : place.machine.axes.x;
    const made = toolCut(cutter, place, screw, tool.by === "hole" ? floor : 0, tool.pitch ?? null, own);
    if (!made.ok) return made;
    const { vf, warnings, ...set } = made.value;
    const way = tool.by === "hole" ? total : length + d;
    return done({
      cut: null,
      set: { vf, rpm: set.rpm, setting: set.setting, feedBy: set.feedBy, pace: set.pace },
      levels: [floor],
      diameter: d,
      minutes: lanes * (cutTime(way, 2, 2, vf) + perPlace),
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
    total: side ? sideTotal(tool.total ?? 0.25, sweep, d) : Math.max(total, 0.05),
    plunges: tool.plunges,
    halfTolerance: bySide ? tool.halfTolerance : null,
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
  return done({
    cut,
    set: {
      rpm: cut.rpm,
      setting: cut.setting,
      vf: side ? cut.finishVf : cut.vf,
      feedBy: cut.feedBy,
      pace: cut.pace,
    },
    levels,
    diameter: d,
    minutes: lanes * cut.minutes + lanes * levels.length * perPlace,
    against: cut.against,
    warnings: cut.warnings,
  });
}

/** What roughing leaves on walls: more where a corner is larger than the cutter's and must not be cut into. */
export function leftOnWalls(area: Area, leave: Mm, diameter: Mm): Mm {
  const closed = Object.values(area.walls).every(Boolean) && area.boss === null;
  const larger = area.corner - diameter / 2;
  return closed && leave > 0 && larger > 0 && lanesAlong(area).across > 2 * area.corner + 1e-6
    ? Math.max(leave, tidy(larger * (1 - Math.SQRT1_2) + 0.05))
    : leave;
}

/** What a wall's cut takes off: what roughing leaves, or where one way down the middle was narrower than the slot, more. */
function sideTotal(total: Mm, sweep: Sweep, diameter: Mm): Mm {
  if (sweep.kind !== "walls" || sweep.of === "boss") return total;
  const { across, walls } = lanesAlong(sweep.area);
  const left = leftOnWalls(sweep.area, total, diameter);
  if (left > total) return left;
  return walls === 2 && lanesBetween(across, diameter, total) === 1
    ? Math.max(0.02, tidy((across - diameter) / 2))
    : total;
}

/** Whether a cutter leaves a square corner between wall and floor. */
const square = (cutter: Cutter): boolean =>
  cutter.kind !== "ballEnd" && cutter.kind !== "cornerRadius" && cutter.enteringAngle > 89.5;

/** M20: a milling cutter too wide, or not of the size that is to be made. */
function wrongSize(tool: Extract<Work["tool"], { by: "mill" }>, cutter: Cutter, work: Work): Refusal | null {
  const d = cuttingDiameter(cutter);
  if (!cutterKindFacts[cutter.kind].cuts.includes(tool.kind) || (tool.kind !== "face" && !square(cutter)))
    return refused(say`${cutter.name} leaves no square floor and wall.`, words("Take an end mill."));
  if (tool.kind === "groove") return null;
  if (tool.most !== null && d > tool.most + 1e-6)
    return refused(
      rule("M20.wide")`${cutter.name} is ${mm(d)} wide; at most ${mm(tool.most)} goes in here.`,
      say`Take a cutter of at most ${mm(tool.most)}.`,
    );
  if (tool.least !== null && d < tool.least - 1e-6)
    return refused(
      rule("M20.corner")`${cutter.name} is ${mm(d)}; ${mm(tool.least)} or more is wanted here.`,
      say`Take a cutter of ${mm(tool.most ?? tool.least)}.`,
    );
  if (tool.kind !== "side" && tool.kind !== "face" && cutter.fluteLength < work.floor - work.top)
    return refused(
      rule(
        "M20.flute",
      )`The flutes of ${cutter.name} are ${mm(cutter.fluteLength)} long; it goes ${mm(tidy(work.floor - work.top))} deep: the shank would rub.`,
      words("Take a longer cutter."),
    );
  return null;
}

function notThis(tool: Extract<Work["tool"], { by: "hole" | "form" }>, cutter: Cutter): Refusal | null {
  const d = cuttingDiameter(cutter);
  const no = (reason: Phrase) => refused(reason, say`${tool.wanted} would do.`);
  if (!tool.kinds.includes(cutter.kind)) return no(say`${cutter.name} is no tool for this.`);
  // A boring head is set to the size.
  if (
    cutter.kind !== "boringHead" &&
    (d > tool.diameter + tool.over + 1e-6 || d < tool.diameter - tool.under - 1e-6)
  )
    return no(rule("M20.size")`${cutter.name} is ${mm(d)}; ${mm(tool.diameter)} is wanted.`);
  if (tool.angle !== undefined && Math.abs(cutter.enteringAngle - tool.angle) > 0.5)
    return no(say`${cutter.name} has another angle: ${quantity("angle", cutter.enteringAngle)}.`);
  if (tool.width !== undefined && Math.abs(cutter.fluteLength - tool.width) > 0.06)
    return no(
      rule("M20.size")`${cutter.name} is ${mm(cutter.fluteLength)} wide; ${mm(tool.width)} is wanted.`,
    );
  if (cutter.kind === "endMill" && tool.by === "hole" && !cutter.centerCutting)
    return no(rule("M20.plunge")`${cutter.name} does not cut to its center.`);
  return null;
}

/** How near a tool of the wrong size is to what is wanted: smaller is nearer. */
const offBy = (tool: Work["tool"], cutter: Cutter): number =>
  tool.by === "hole" || tool.by === "form"
    ? (tool.kinds.includes(cutter.kind) ? 0 : 1e6) + Math.abs(cuttingDiameter(cutter) - tool.diameter)
    : 0;

/**
 * The best owned tool for a work: nothing against it first, then the quickest with its change; one that is in already saves the
 * change. Refuses with what would do, and the nearest that is owned.
 */
export function operationOf(
  { id: feature, name, crown }: { id: string; name: string; crown: Mm },
  work: Work,
  before: Pick<FeatureOperation, "cutter"> | null,
  place: OperationPlace,
): Outcome<FeatureOperation> {
  const key: FeatureKey = `${feature}/${work.task}`;
  const shared = {
    key,
    feature,
    title: say`${capital(name)}: ${work.title}`,
    sweep: work.sweep,
    top: work.top,
    floor: work.floor,
    crown,
    by: work.tool.by,
    exact: work.exact,
    measure: work.measure,
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
    outcome: withCutter(work, key, cutter, place),
  }));
  const can = made.flatMap(({ cutter, outcome }) => (outcome.ok ? [{ cutter, made: outcome.value }] : []));
  const cost = ({ cutter, made: m }: (typeof can)[number]) =>
    m.minutes + (cutter.id === before?.cutter ? 0 : handlingTimes.cutterChange);
  can.sort(
    (a, b) => a.made.against - b.made.against || cost(a) - cost(b) || (a.cutter.id < b.cutter.id ? -1 : 1),
  );
  const best = can.find((c) => c.cutter.id === wanted) ?? can[0];
  if (!best) return nothingDoes(work, made, place.cutters);
  const sameTool = best.cutter.id === before?.cutter;
  const next = can.find((c) => c !== best);
  const tilt = work.tool.by === "mill" ? work.tool.tilt : null;
  return done({
    ...shared,
    levels: best.made.levels,
    cutter: best.cutter.id,
    toolName: best.cutter.name,
    diameter: best.made.diameter,
    set: best.made.set,
    cut: best.made.cut,
    why: whyThis(
      best.cutter.id === wanted,
      sameTool,
      next && { name: next.cutter.name, more: cost(next) - cost(best) },
    ),
    others: can.filter((c) => c !== best).map((c) => ({ cutter: c.cutter.id, minutes: cost(c) })),
    tilt,
    warnings: [...work.notes, ...best.made.warnings],
    minutes: {
      cutting: best.made.minutes,
      handling:
        measuring +
        (sameTool ? 0 : handlingTimes.cutterChange + handlingTimes.touchOff) +
        (tilt === null ? 0 : 2 * handlingTimes.indicate),
    },
    sameTool,
  });
}

function whyThis(
  chosen: boolean,
  sameTool: boolean,
  next: { name: string; more: number } | undefined,
): Phrase {
  const cost = !next
    ? words("it is the only one in the shop that can do this.")
    : next.more >= 0
      ? say`${next.name} would take ${quantity("time", next.more)} more.`
      : say`${next.name} would take ${quantity("time", -next.more)} less.`;
  return chosen
    ? say`You chose it: ${cost}`
    : sameTool
      ? say`It is in already; ${cost}`
      : say`Nothing speaks against it, and ${cost}`;
}

function nothingDoes(
  work: Work,
  made: { cutter: Cutter; outcome: Outcome<Made> }[],
  cutters: readonly Cutter[],
): Refusal {
  const { tool } = work;
  if (tool.by === "hole" || tool.by === "form") {
    const near = cutters
      .filter((c) => tool.kinds.includes(c.kind))
      .sort((a, b) => offBy(tool, a) - offBy(tool, b))[0];
    const fitting = made.find(({ outcome, cutter }) => !outcome.ok && cutter === near);
    return refused(
      rule(
        "M20.none",
      )`${work.title}: you own none that does it.${near && fitting && !fitting.outcome.ok ? say` ${fitting.outcome.reason}` : say``}`,
      say`${tool.wanted} would do${near ? say`; nearest you own is ${near.name}` : say``}.`,
    );
  }
  const said = (id: string) => made.find(({ outcome }) => !outcome.ok && outcome.reason.id === id);
  const closest =
    said("M21.nothing") ??
    said("M20.plunge") ??
    said("M20.flute") ??
    said("M20.stickout") ??
    said("M20.corner") ??
    said("M20.wide") ??
    made[0];
  const most = tool.by === "mill" ? tool.most : null;
  return closest && !closest.outcome.ok
    ? refused(
        say`${work.title}: ${closest.outcome.reason}`,
        most === null
          ? closest.outcome.suggestion
          : say`An end mill of at most ${mm(most)} with flutes of ${mm(tidy(work.floor - work.top))} would do.`,
      )
    : refused(words("There is no cutter in the shop for this."), words("Enter one in the shop."));
}
