import type { Face } from "../frame/index.ts";
import { mm, type Mm, tidy } from "../quantity/index.ts";
import { note, type Phrase, rule, say, warn, type Warning } from "../working/index.ts";
import { type Measured, sideFace, type Work } from "./recipe.ts";
import { hasCorner } from "./sweep-size.ts";
import { type Area, lanesAlong, type SideName, sideNames } from "./sweep.ts";
import type { Point } from "./spindle-way.ts";

/** Left on walls by roughing, mm (domain.md 8). */
export const wallAllowance = 0.25;
/** A cutter for a slot is narrower than it by at least this, so that each wall has something to cut, mm. */
export const underWidth = 0.3;
/** How exact a roughing place must be, mm. */
export const roughly = 0.1;
/** A drill for a start hole is smaller than the slot by about this, mm (domain.md 8). */
export const drillUnder = 1.5;

interface Depths {
  top: Mm;
  floor: Mm;
}

/** What an area is called and how exact it is to be. */
export interface AreaAsked extends Depths {
  up: Face;
  area: Area;
  what: string;
  /** Smallest radius in a corner, mm; null for any. */
  corner: Mm | null;
  measure: Measured | null;
  halfTolerance: Mm | null;
  exact: Mm;
  notes?: readonly Warning[];
  /** Its width is what is measured: each of the two walls by itself. */
  each?: boolean;
  /** Started in drilled holes: the cutter need not cut to its center. */
  drilled?: boolean;
  /** Where the hole is that it goes down in, beside a boss. */
  start?: Point;
  /** Put before the tasks' names, where a feature has several areas. */
  prefix?: string;
}

const wallsOf = ({ walls }: Area): SideName[] => sideNames.filter((side) => walls[side]);

/** The narrowest place a cutter must go through: between two walls, or between a wall and the boss. */
const gapOf = ({ x, y, walls, boss }: Area): Mm =>
  Math.min(
    walls.xLow && walls.xHigh ? x[1] - x[0] : Infinity,
    walls.yLow && walls.yHigh ? y[1] - y[0] : Infinity,
    ...(boss
      ? [
          walls.xLow ? boss.x[0] - x[0] : Infinity,
          walls.xHigh ? x[1] - boss.x[1] : Infinity,
          walls.yLow ? boss.y[0] - y[0] : Infinity,
          walls.yHigh ? y[1] - boss.y[1] : Infinity,
        ]
      : []),
  );

/** Whether a cutter has to go down into solid metal: nowhere to come in from. */
export const isClosed = (area: Area): boolean => wallsOf(area).length === 4;

/** Where two walls meet a cutter comes no further in than its own radius: one much wider than the area clears little of it. */
function mostInCorner(area: Area): Mm {
  const { x, y } = area;
  return hasCorner(area) ? Math.max(always, 2 * Math.min(x[1] - x[0], y[1] - y[0])) : Infinity;
}
/** Cutters up to this may clear any corner, mm (guess). */
const always = 16;

/** Roughing an area out, something left on its walls. */
export function clearWork(asked: AreaAsked): Work {
  const { area, what, prefix = "" } = asked;
  const gap = gapOf(area);
  const most = Math.min(gap - (area.boss ? 2 * wallAllowance : underWidth), mostInCorner(area));
  const lanes = lanesAlong(area);
  return {
    task: `${prefix}rough`,
    title: say`Rough out the ${what}`,
    sweep: {
      kind: "clear",
      area,
      leave: wallsOf(area).length > 0 || area.boss ? wallAllowance : 0,
      ...(asked.start ? { start: asked.start } : {}),
    },
    top: asked.top,
    floor: asked.floor,
    tool: {
      by: "mill",
      kind: lanes.walls === 2 || area.boss ? "slot" : "step",
      most: Number.isFinite(most) ? tidy(most) : null,
      least: null,
      plunges: isClosed(area) && !asked.drilled,
      total: null,
      halfTolerance: null,
      tilt: null,
    },
    exact: roughly,
    measure: null,
    notes: asked.notes ?? [],
  };
}

/** The walls of an area: each by itself where a width is measured between two, else all in one round. */
export function wallWorks(asked: AreaAsked): Work[] {
  const { area, up, what, corner, prefix = "" } = asked;
  const sides = wallsOf(area);
  const lanes = lanesAlong(area);
  const most = Math.min(corner === null ? Infinity : 2 * corner, gapOf(area) - underWidth);
  const work = (task: string, title: Phrase, of: readonly SideName[], more: Partial<Work> = {}): Work => ({
    task: `${prefix}${task}`,
    title,
    sweep: { kind: "walls", area, sides: of, of: "area" },
    top: asked.top,
    floor: asked.floor,
    tool: {
      by: "mill",
      kind: "side",
      most: Number.isFinite(most) ? tidy(most) : null,
      least: null,
      plunges: false,
      total: wallAllowance,
      halfTolerance: asked.halfTolerance,
      tilt: null,
    },
    exact: asked.exact,
    measure: null,
    notes: [],
    ...more,
  });
  const facing: readonly SideName[] =
    lanes.walls === 2 ? (lanes.along === "x" ? ["yLow", "yHigh"] : ["xLow", "xHigh"]) : [];
  if (asked.each && facing.length === 2 && asked.measure) {
    const [first, last] = facing as [SideName, SideName];
    return [
      work(
        `wall-${sideFace(up, first)}`,
        say`Wall of the ${what} toward the ${sideFace(up, first)}`,
        [first],
        {
          measure: { ...asked.measure, before: true },
        },
      ),
      work(`wall-${sideFace(up, last)}`, say`Wall of the ${what} toward the ${sideFace(up, last)}`, [last], {
        measure: asked.measure,
        notes: [
          note(
            rule(
              "M28.each",
            )`Cut each wall separately, with a cutter narrower than the slot: a full-width cutter cuts oversize by its run-out.`,
          ),
        ],
      }),
    ];
  }
  return sides.length === 0
    ? []
    : [
        work(
          sides.length === 1 ? `wall-${sideFace(up, sides[0]!)}` : "walls",
          sides.length === 1 ? say`Wall of the ${what}` : say`Walls of the ${what}`,
          sides,
          { measure: asked.measure },
        ),
      ];
}

/** The four sides of a boss that stands in an area. */
export function bossWork(asked: AreaAsked, measure: Measured | null): Work {
  return {
    task: "boss",
    title: say`Sides of the boss in the ${asked.what}`,
    sweep: { kind: "walls", area: asked.area, sides: sideNames, of: "boss" },
    top: asked.top,
    floor: asked.floor,
    tool: {
      by: "mill",
      kind: "side",
      most: Number.isFinite(gapOf(asked.area)) ? tidy(gapOf(asked.area) - underWidth) : null,
      least: null,
      plunges: false,
      total: wallAllowance,
      halfTolerance: asked.halfTolerance,
      tilt: null,
    },
    exact: asked.exact,
    measure,
    notes: [],
  };
}

/** Length of the point of a 118° drill, mm. */
const pointOf = (diameter: Mm): Mm => tidy((diameter / 2) * Math.tan((31 * Math.PI) / 180));

/** Holes to start a cutter in that does not cut to its center. */
export function startHoles(
  at: readonly (readonly [Mm, Mm])[],
  gap: Mm,
  { top, floor, through }: Depths & { through: boolean },
  what: string,
): Work {
  const wanted = tidy(gap - drillUnder);
  return {
    task: "start-hole",
    title: say`Drill ${at.length === 1 ? "a start hole" : "both ends"} for the ${what}`,
    sweep: { kind: "points", at },
    top,
    // Through: its point goes past the floor, so that it is as wide all the way.
    floor: through ? tidy(floor + pointOf(wanted)) : tidy(Math.max(top, floor - 0.2)),
    tool: {
      by: "hole",
      kinds: ["twistDrill"],
      diameter: wanted,
      over: drillUnder - 0.2,
      under: wanted * 0.5,
      wanted: say`A drill of about ${mm(wanted)}`,
    },
    // It is cut away as long as it stays within the slot.
    exact: tidy(drillUnder / 2),
    measure: null,
    notes: [
      note(
        rule(
          "M27.drill",
        )`±${mm(tidy(drillUnder / 2))} is close enough: milling removes it.${through ? say` Let the point out at the far side.` : say` Stop the point ${mm(0.2)} above the floor.`}`,
      ),
    ],
  };
}

/** M28: a cutter as wide as the slot in one go. */
export const asWideAs = (width: Mm): Warning =>
  warn(
    rule(
      "M28.width",
    )`A full-width cutter cuts oversize by its run-out: ${mm(width)} or more. Indicate it, and try it in scrap first.`,
  );
