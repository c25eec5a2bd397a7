import { solve } from "yalps";
import { axesAcross, type Axis, axisNames, axisOf, type Face, facesOf, type Sizes } from "../frame/index.ts";
import { type Mm, notNegative, positive } from "../quantity/index.ts";

import { type CoreLies, coreLies, type FoundCore } from "./core-walls.ts";
import type { Probed } from "./stock.ts";

/** Where the finished part lies in a rough lump so that the smallest allowance of its faces is as large as it can be. */

/** Of one size: where its finished low face lies, and what is over the need at the worse side. All mm. */
export interface AxisBalance {
  low: Mm;
  /** The smaller allowance of the two faces over what each needs; below 0 where the lump does not give it. */
  surplus: Mm;
  feasible: boolean;
  shortfall: Mm;
}

/**
 * Balance of one size, closed form: the worst point of either raw face decides.
 * x = (max low + need low + min high − need high − w) ÷ 2
 * @param low, high places of the raw faces along the size, mm, counted from one zero
 * @param need what has to come off either face to clean it up, mm
 * @returns null without a point at both faces, or for sizes that cannot be
 */
export function balanceAxis(
  low: readonly Mm[],
  high: readonly Mm[],
  finished: Mm,
  need: { low: Mm; high: Mm },
): AxisBalance | null {
  if (low.length === 0 || high.length === 0 || ![...low, ...high].every(Number.isFinite)) return null;
  if (!positive(finished) || !notNegative(need.low, need.high)) return null;
  const [worstLow, worstHigh] = [Math.max(...low), Math.min(...high)];
  const surplus = (worstHigh - worstLow - finished - need.low - need.high) / 2;
  return {
    low: worstLow + need.low + surplus,
    surplus,
    feasible: surplus >= -1e-9,
    shortfall: Math.max(0, -surplus),
  };
}

/**
 * What a thickness alone tells: all that is over the finished size at the thinnest place, and half of it a side.
 * A bowed lump can need more.
 */
export function balanceThickness(readings: readonly Mm[], finished: Mm, need: Mm) {
  if (readings.length === 0 || !positive(...readings, finished) || !notNegative(need)) return null;
  const total = Math.min(...readings) - finished;
  return { total, eachSide: total / 2, feasible: total / 2 >= need - 1e-9 };
}

/** A point probed on a raw face: where it lies along the three sizes, mm, in the frame it was measured from. */
export interface FacePoint {
  face: Face;
  at: Sizes;
}

/** A small motion of the lump against the finished part: shift in mm, turn about the three sizes in rad. */
export interface Motion {
  shift: Sizes;
  turn: Sizes;
}

export const noMotion: Motion = {
  shift: { length: 0, width: 0, height: 0 },
  turn: { length: 0, width: 0, height: 0 },
};

/** A point after a small motion, p + t + r × p. */
export function moved({ shift, turn }: Motion, p: Sizes): Sizes {
  return {
    length: p.length + shift.length + turn.width * p.height - turn.height * p.width,
    width: p.width + shift.width + turn.height * p.length - turn.length * p.height,
    height: p.height + shift.height + turn.length * p.width - turn.width * p.length,
  };
}

/** A point after the motion as it is, not its small form: turned about length, then width, then height, then shifted. */
export function turned({ shift, turn }: Motion, p: Sizes): Sizes {
  const [cx, sx] = [Math.cos(turn.length), Math.sin(turn.length)];
  const [cy, sy] = [Math.cos(turn.width), Math.sin(turn.width)];
  const [cz, sz] = [Math.cos(turn.height), Math.sin(turn.height)];
  const [x1, y1, z1] = [p.length, cx * p.width - sx * p.height, sx * p.width + cx * p.height];
  const [x2, y2, z2] = [cy * x1 + sy * z1, y1, -sy * x1 + cy * z1];
  return {
    length: cz * x2 - sz * y2 + shift.length,
    width: sz * x2 + cz * y2 + shift.width,
    height: z2 + shift.height,
  };
}

/** How far a point lies outside the finished face it belongs to, mm: what comes off there. */
export function allowanceAt(face: Face, p: Sizes, finished: Sizes): Mm {
  const axis = axisOf(face);
  return face === facesOf(axis)[0] ? -p[axis] : p[axis] - finished[axis];
}

/** How the lump may be moved, and what its faces need. */
export interface BalanceAsked {
  /** Most it may be turned about a size, rad; 0 forbids a tilt. */
  tilt: number;
  /** What has to come off a face to clean it up, mm; 0 where nothing is said. */
  need?: Partial<Record<Face, Mm>>;
  /** Faces that are set and stay as they are: only what comes off the others is balanced. */
  locked?: readonly Face[];
  /** Cores that stay raw. */
  cores?: readonly FoundCore[];
  /** Brings the cores as near to where they are drawn as the faces leave room for. */
  evenWalls?: boolean;
}

export interface Balance {
  motion: Motion;
  /** The smallest allowance over its need, mm; below 0 where a face stays raw. */
  smallest: Mm;
  /** Of every probed face: least and most that comes off it, mm. */
  faces: Partial<Record<Face, { least: Mm; most: Mm }>>;
  /** As the lump lay when it was measured. */
  asPlaced: Mm;
  /** How the cores lie then. */
  cores: CoreLies[];
}

/** Fewest points of a face that say how it lies. */
export const fewestPoints = 3;
/** Turns are counted in mm over this length, so that no number of the program is much larger than another. */
const over = 100;

/** The sizes that can be balanced: both faces were probed. */
export const balancedAxes = (points: readonly FacePoint[]): Axis[] =>
  axisNames.filter((axis) => facesOf(axis).every((face) => points.some((p) => p.face === face)));

/** Whether every face that counts has points enough to say how it lies, so that a tilt means something. */
export const canTilt = (points: readonly FacePoint[]): boolean =>
  balancedAxes(points).every((axis) =>
    facesOf(axis).every((face) => points.filter((p) => p.face === face).length >= fewestPoints),
  );

/**
 * The shift and the small tilt that leave the largest smallest allowance: a linear program over every probed point. Of all
 * motions that reach it the one with the least tilt is taken. A size of which only one face was probed, or none, is left as it lies;
 * without three points a face nothing is tilted.
 * @param finished sizes of the finished part, its low corner at the zero of the points, mm
 * @returns null where no size can be balanced, or a number is none
 */
export function balanceLump(
  probed: readonly FacePoint[],
  finished: Sizes,
  asked: BalanceAsked,
): Balance | null {
  const axes = balancedAxes(probed);
  const points = probed.filter((p) => axes.includes(axisOf(p.face)));
  if (points.length === 0) return null;
  if (!axisNames.every((axis) => positive(finished[axis])) || !notNegative(asked.tilt)) return null;
  if (!points.every(({ at }) => axisNames.every((axis) => Number.isFinite(at[axis])))) return null;
  const how = { ...asked, tilt: canTilt(points) ? asked.tilt : 0 };
  const need = (face: Face) => asked.need?.[face] ?? 0;
  const free = points.filter((p) => !asked.locked?.includes(p.face));
  if (free.length === 0) return null;
  const best = program(points, finished, how, null);
  if (best === null) return null;
  const cores = asked.cores ?? [];
  const even = asked.evenWalls === true && cores.length > 0;
  // Cores have their way only with what is over the need.
  const reach = even ? Math.min(best.smallest, 0) : best.smallest;
  const motion = (program(points, finished, how, { reach: reach - 1e-7, cores: even ? cores : [] }) ?? best)
    .motion;
  const over = (m: Motion, of: readonly FacePoint[]) =>
    Math.min(...of.map((p) => allowanceAt(p.face, moved(m, p.at), finished) - need(p.face)));
  const faces: Balance["faces"] = {};
  for (const { face, at } of points) {
    const off = allowanceAt(face, moved(motion, at), finished);
    const before = faces[face];
    faces[face] = { least: Math.min(before?.least ?? off, off), most: Math.max(before?.most ?? off, off) };
  }
  return {
    motion,
    smallest: over(motion, free),
    faces,
    asPlaced: over(noMotion, free),
    cores: cores.map((core) => coreLies(core, moved(motion, core.at), finished)),
  };
}

/** The size of a turn beside that of an offset, where both are made small: an offset counts first. */
const lightly = 1e-3;

/** Solves for the largest smallest allowance, or with that given for cores least off where they are drawn, and the least tilt. */
function program(
  points: readonly FacePoint[],
  finished: Sizes,
  { tilt, need = {}, locked = [] }: BalanceAsked,
  given: { reach: Mm; cores: readonly FoundCore[] } | null,
): { smallest: Mm; motion: Motion } | null {
  // Variables of the solver are never negative: each goes both ways as the difference of two.
  const columns: { [name: string]: { [row: string]: number } } = {};
  const add = (name: string, row: string, value: number) => {
    for (const [sign, of] of [
      [1, `${name}+`],
      [-1, `${name}-`],
    ] as const)
      columns[of] = { ...columns[of], [row]: sign * value };
  };
  const constraints: { [row: string]: { min?: number; max?: number; equal?: number } } = {};
  /** How far a place moves along a size, as a row of the program; r × p, the turn counted in mm over a hundred. */
  const moves = (row: string, axis: Axis, at: Sizes, sign: number) => {
    add(`t-${axis}`, row, sign);
    const arms: Record<Axis, Partial<Record<Axis, number>>> = {
      length: { width: at.height, height: -at.width },
      width: { height: at.length, length: -at.height },
      height: { length: at.width, width: -at.length },
    };
    for (const about of axisNames) {
      const arm = arms[axis][about];
      if (arm !== undefined && tilt > 0) add(`r-${about}`, row, (sign * arm) / over);
    }
  };
  points.forEach(({ face, at }, i) => {
    const axis = axisOf(face);
    const sign = face === facesOf(axis)[0] ? -1 : 1;
    const row = `p${i}`;
    moves(row, axis, at, sign);
    const now = allowanceAt(face, at, finished) - (need[face] ?? 0);
    if (locked.includes(face)) constraints[row] = { min: -now };
    else {
      if (given === null) add("m", row, -1);
      constraints[row] = { min: -now + (given?.reach ?? 0) };
    }
  });
  for (const about of axisNames)
    if (tilt > 0) {
      const row = `limit-${about}`;
      add(`r-${about}`, row, 1);
      constraints[row] = { min: -tilt * over, max: tilt * over };
    }
  // A core may lie off either way: what is made small is no less than both.
  given?.cores.forEach(({ at, across, drawn }, i) => {
    across.forEach((axis, k) => {
      const off: { [row: string]: number } = { goal: 1 };
      columns[`off${i}-${axis}`] = off;
      for (const sign of [1, -1]) {
        const row = `c${i}-${axis}${sign}`;
        moves(row, axis, at, -sign);
        off[row] = 1;
        constraints[row] = { min: sign * (at[axis] - drawn[k]!) };
      }
    });
  });
  if (given === null) add("m", "goal", 1);
  else {
    const weight = given.cores.length > 0 ? lightly : 1;
    for (const [name, column] of Object.entries(columns)) if (name.startsWith("r-")) column.goal = weight;
  }
  const found = solve({
    direction: given === null ? "maximize" : "minimize",
    objective: "goal",
    constraints,
    variables: columns,
  });
  if (found.status !== "optimal") return null;
  const values = new Map(found.variables);
  const value = (name: string) => (values.get(`${name}+`) ?? 0) - (values.get(`${name}-`) ?? 0);
  const of = (what: "t" | "r", factor: number) =>
    Object.fromEntries(axisNames.map((axis) => [axis, value(`${what}-${axis}`) / factor])) as Sizes;
  return { smallest: given?.reach ?? value("m"), motion: { shift: of("t", 1), turn: of("r", over) } };
}

/** A rest under the lump: where along its two level sizes it stands, mm, and what is put under it, mm. */
export interface Packing {
  at: { length: Mm; width: Mm };
  under: Mm;
}

/**
 * What goes under each of three rests so that the lump lies tilted as the balance wants it, seen from above: two at its front, one at
 * the middle of its back, a tenth in from the edges. The lowest gets nothing.
 */
export function packingFor({ turn }: Motion, { length, width }: Sizes): Packing[] {
  const rests = [
    { length: 0.1 * length, width: 0.1 * width },
    { length: 0.9 * length, width: 0.1 * width },
    { length: 0.5 * length, width: 0.9 * width },
  ];
  const rise = rests.map((at) => turn.length * at.width - turn.width * at.length);
  const lowest = Math.min(...rise);
  return rests.map((at, i) => ({ at, under: rise[i]! - lowest }));
}

/** Where the two finished faces of a size are scribed, mm over the plate, the lump standing on its low face as the balance has it. */
export function scribedAt(
  axis: Axis,
  { faces }: Pick<Balance, "faces">,
  finished: Sizes,
): { low: Mm; high: Mm } | null {
  const low = faces[facesOf(axis)[0]];
  return low ? { low: low.most, high: low.most + finished[axis] } : null;
}

/** Points that are whole, in the frame they were measured from. */
export const facePoints = (points: readonly Probed[]): FacePoint[] =>
  points.flatMap(({ face, first, second, reads }) => {
    if (first === null || second === null || reads === null) return [];
    const [a, b] = axesAcross(face);
    return [{ face, at: { [axisOf(face)]: reads, [a]: first, [b]: second } as unknown as Sizes }];
  });
