import { type Cut, passesForRest } from "../cutting/index.ts";
import { type Mm, type MmPerMin, tidy } from "../quantity/index.ts";
import { clearOff, reversed, type SpindleWay } from "./spindle-way.ts";
import type { Sweep } from "./sweep.ts";
import { spindleWays } from "./ways.ts";

/** One thing the hands do: come to a place, go down, or feed to a stop. */
export interface Stroke {
  /** Its place in the operation, from 1. */
  number: number;
  kind: "go" | "down" | "feed" | "in";
  /** Where it ends, as the readout counts it, mm; only the axes that move. Z counts from the face that is up, below zero. */
  to: { x?: Mm; y?: Mm; z?: Mm };
  /** The axis the hand is on; of two the one that is told first. */
  axis: "x" | "y" | "z";
  /** How exact it must be, mm. */
  exact: Mm;
  /** A stop that may not be passed. */
  notPast: boolean;
  cuts: SpindleWay["cuts"] | "air";
  /** Which level of how many; of walls at full depth which pass. */
  level: number;
  levels: number;
  round: "level" | "pass";
  /** mm/min; null by hand feel. */
  vf: MmPerMin | null;
  /** Most that it takes off sideways, mm; null where the operation's cut tells it. */
  takes: Mm | null;
  /** Once more at the same setting. */
  spring: boolean;
}

/** How far a positioning move may be off where nothing is cut by it, mm. */
const inAir = 0.5;

interface Here {
  x: Mm | null;
  y: Mm | null;
  z: Mm | null;
}

const near = (a: Mm | null, b: Mm): boolean => a !== null && Math.abs(a - b) < 1e-6;

/** What an operation does, as far as its strokes go. */
export interface StrokesAsked {
  sweep: Sweep;
  by: "mill" | "hole" | "form" | "hand";
  /** The working of a milling cut; null for others. */
  cut: Cut | null;
  /** Feed of what has none of its own, mm/min; null by hand feel. */
  set: { vf: MmPerMin; plunge: { vf: MmPerMin } | null } | null;
  /** Depths at which its ways are cut, mm below zero; the last is the floor. */
  levels: readonly Mm[];
  floor: Mm;
  /** Diameter that cuts, mm. */
  diameter: Mm;
  /** How exact its places must be, mm. */
  exact: Mm;
  /** Degrees the head is tilted. */
  tilt: number | null;
}

/**
 * Every stroke of an operation in order, from one zero. Between two ways the cutter goes up clear, unless the next begins where
 * the last ended.
 * @param shift how much further out walls are cut than planned, mm
 * @param toFixed which way a disc goes in: 1 where Y grows toward the fixed jaw
 * @returns null where the cutter does not go in
 */
export function strokesOf(operation: StrokesAsked, shift: Mm = 0, toFixed: 1 | -1 = 1): Stroke[] | null {
  const { sweep } = operation;
  if (sweep.kind === "disc") return discMoves(operation, sweep, toFixed);
  const rounds = bySide(operation)
    ? wallRounds(sweep, operation, shift)
    : levelRounds(sweep, operation, shift);
  if (!rounds) return null;
  return strokesAlong(rounds, operation);
}

/**
 * The strokes that follow ways at their depths, one after the other. The knee or head goes clear between two of them, unless the
 * next begins where the last ended.
 */
export function strokesAlong(
  rounds: readonly Round[],
  { exact, tilt, set }: Pick<StrokesAsked, "exact" | "tilt" | "set">,
): Stroke[] {
  const moves: Stroke[] = [];
  const here: Here = { x: null, y: null, z: null };
  const put = (move: Omit<Stroke, "number">) => {
    moves.push({ number: moves.length + 1, ...move });
    if (move.to.x !== undefined) here.x = move.to.x;
    if (move.to.y !== undefined) here.y = move.to.y;
    if (move.to.z !== undefined) here.z = move.to.z;
  };
  for (const { way, depth, ...told } of rounds) {
    const [start, ...rest] = way.points;
    if (!start) continue;
    // M33: with the head tilted the knee goes further than the cut is deep, square to what it cuts.
    const z = tilt === null ? -depth : tidy(-depth / Math.cos((tilt * Math.PI) / 180));
    const stated = { ...told, exact };
    if (!near(here.x, start[0]) || !near(here.y, start[1])) {
      const precise =
        way.entry === "plunge" || rest.length === 0 || (way.cuts !== "down" && way.points.length > 1);
      here.z = null;
      put({
        kind: "go",
        to: { x: start[0], y: start[1] },
        axis: "x",
        notPast: false,
        cuts: "air",
        ...stated,
        exact: precise ? exact : inAir,
      });
    }
    if (!near(here.z, z))
      put({
        kind: "down",
        to: { z },
        axis: "z",
        notPast: true,
        cuts: way.entry === "plunge" ? "down" : "air",
        ...stated,
        ...(way.entry === "plunge" && set?.plunge ? { vf: set.plunge.vf } : {}),
      });
    rest.forEach((point, i) => {
      const [dx, dy] = [point[0] - here.x!, point[1] - here.y!];
      put({
        kind: "feed",
        to: {
          ...(Math.abs(dx) > 1e-6 ? { x: point[0] } : {}),
          ...(Math.abs(dy) > 1e-6 ? { y: point[1] } : {}),
        },
        axis: Math.abs(dx) >= Math.abs(dy) ? "x" : "y",
        notPast: way.stops[i + 1] ?? false,
        cuts: way.cuts,
        ...stated,
        exact: way.stops[i + 1] ? exact : inAir,
      });
    });
  }
  return moves;
}

/** What a light pass leaves for another is less than this, mm. */
const nextToNothing = 0.005;

/** Of the passes of a wall the first that is made once more: with those after it, it takes off all that is left. */
function passFor(all: readonly Stroke[], left: Mm): number | undefined {
  let level = all.at(-1)?.level;
  for (let rest = left; level !== undefined && level > 1; level--) {
    rest -= all.find((s) => s.level === level && !s.spring)?.takes ?? 0;
    if (rest < nextToNothing) break;
  }
  return level;
}

/**
 * The last strokes of an operation once more, by what a reading left: a wall that much further out, in as many passes as that
 * takes, a floor that much deeper.
 * @param all its strokes with everything that moved them before; those of a wall are further out already
 * @param left what is left of a wall, or of a floor, mm
 */
export function strokesAgain(all: readonly Stroke[], left: { wall: Mm } | { floor: Mm }): Stroke[] {
  const deeper = "floor" in left ? left.floor : 0;
  const first = "wall" in left ? passFor(all, left.wall) : all.at(-1)?.level;
  const begins = all.findIndex((s) => s.level === first);
  const lap = all.slice(begins);
  // What came over from the level above begins there anew.
  const at = all.slice(0, begins).reduce<Stroke["to"]>((here, { to }) => ({ ...here, ...to }), {});
  const { x, y } = at;
  const over: Stroke[] =
    lap[0] && lap[0].kind !== "go" && x !== undefined && y !== undefined
      ? [{ ...lap[0], kind: "go", to: { x, y }, axis: "x", notPast: false, cuts: "air" }]
      : [];
  return [...over, ...lap]
    .filter((s) => !s.spring)
    .map((s, i) => ({
      ...s,
      number: i + 1,
      level: s.level - (first ?? 1) + 1,
      levels: s.levels - (first ?? 1) + 1,
      to: s.to.z === undefined ? s.to : { ...s.to, z: tidy(s.to.z - deeper) },
    }));
}

/** A way at a depth, and what is told of all its moves. */
export interface Round extends Pick<Stroke, "level" | "levels" | "round" | "vf" | "takes" | "spring"> {
  way: SpindleWay;
  depth: Mm;
}

/** Whether an operation cuts with the side of the cutter at full depth, pass by pass outward. */
const bySide = ({ sweep, cut, by }: StrokesAsked): boolean =>
  by === "mill" && cut?.kind === "side" && (sweep.kind === "walls" || sweep.kind === "contour");

/** The passes of a wall: those planned, or what a reading leaves of them; the last once more where the wall springs back. */
function wallRounds(sweep: Sweep, operation: StrokesAsked, shift: Mm): Round[] | null {
  const cut = operation.cut!;
  const total = tidy((cut.passes.at(-1)?.cumulative ?? 0) + shift);
  // M28: what is left for the wall is what was read, not what was planned.
  const passes =
    Math.abs(shift) < 1e-6 ? cut.passes : passesForRest(Math.max(total, 0), cut.depth, cut.finish);
  const laps = passes.map((p, i) => ({
    left: i === passes.length - 1 ? 0 : tidy(total - p.cumulative),
    takes: p.depth,
    vf: i === passes.length - 1 ? cut.finishVf : cut.vf,
    spring: false,
  }));
  const last = laps.at(-1);
  if (last && cut.spring) laps.push({ ...last, spring: true });
  const rounds: Round[] = [];
  for (const [i, { left, ...lap }] of laps.entries()) {
    const ways = spindleWays(sweep, operation, tidy(shift - left));
    if (!ways) return null;
    // Straight down beside a round is one cut: only the walls are come to pass by pass.
    const once = left === 0 && !lap.spring;
    const walls = ways.filter((way) => once || way.points.length > 1);
    const climbs = cut.climb === "all" || (cut.climb === "last" && left === 0);
    rounds.push(
      ...walls.map((way): Round => ({
        way: climbs && way.points.length > 1 ? reversed(way) : way,
        depth: operation.floor,
        level: i + 1,
        levels: laps.length,
        round: "pass",
        ...lap,
      })),
    );
  }
  return rounds;
}

/** The levels of an area, one below the other; a hole is finished before the next. */
function levelRounds(sweep: Sweep, operation: StrokesAsked, shift: Mm): Round[] | null {
  const ways = spindleWays(sweep, operation, shift);
  if (!ways) return null;
  const told = { round: "level", vf: operation.set?.vf ?? null, takes: null, spring: false } as const;
  if (ways.some((w) => w.depth !== null))
    return stairs(ways, operation.levels).map((r) => ({ ...r, ...told }));
  const depths = operation.levels.length > 0 ? operation.levels : [operation.floor];
  return depths.flatMap((depth, i) =>
    ways.map((way): Round => ({
      way: i % 2 === 1 && turnsBack(way) ? reversed(way) : way,
      depth,
      level: i + 1,
      levels: depths.length,
      ...told,
    })),
  );
}

/**
 * Stairs each have their own depth: those at one depth are one level. A stair higher than one pass may be deep is cut in several
 * that are even.
 * @param levels depths of the passes as they would go straight down: the first is the deepest there may be, mm
 */
function stairs(
  ways: readonly SpindleWay[],
  [most = Infinity]: readonly Mm[],
): Pick<Round, "way" | "depth" | "level" | "levels">[] {
  const depths = [...new Set(ways.map((w) => w.depth ?? 0))].sort((a, b) => a - b);
  const rounds = depths.flatMap((depth, i) => {
    const before = depths[i - 1] ?? 0;
    const passes = Math.max(1, Math.ceil((depth - before) / most - 1e-6));
    return Array.from({ length: passes }, (_, n) => ({
      depth: n + 1 === passes ? depth : tidy(before + ((depth - before) * (n + 1)) / passes),
      here: ways.filter((w) => (w.depth ?? 0) === depth),
    }));
  });
  return rounds.flatMap(({ depth, here }, i) =>
    here.map((way) => ({ way, depth, level: i + 1, levels: rounds.length })),
  );
}

/** A slot cut at full width goes back the way it came at the next depth, unless it is open at one end only. */
const turnsBack = (way: SpindleWay): boolean =>
  way.cuts === "full" && !way.closed && way.points.length === 2 && way.stops[0] === way.stops[1];

/** Where Z stands with the middle of a disc cutter on the middle of the shaft, its lower end having touched the crown; mm. */
export const discHeight = (sweep: Sweep): Mm =>
  sweep.kind === "disc" ? tidy(-(sweep.radius + sweep.width / 2)) : 0;

/** A disc cutter: along to its place beside the shaft, down to its middle, then in from the side it was touched on. */
function discMoves(
  operation: StrokesAsked,
  sweep: Extract<Sweep, { kind: "disc" }>,
  toward: 1 | -1,
): Stroke[] {
  const common = {
    level: 1,
    levels: 1,
    round: "level",
    exact: operation.exact,
    vf: operation.set?.vf ?? null,
    takes: null,
    spring: false,
  } as const;
  const z = discHeight(sweep);
  const beside = -toward * clearOff;
  return [
    {
      number: 1,
      kind: "go",
      to: { x: sweep.along, y: beside },
      axis: "x",
      notPast: false,
      cuts: "air",
      ...common,
    },
    { number: 2, kind: "down", to: { z }, axis: "z", notPast: false, cuts: "air", ...common },
    {
      number: 3,
      kind: "in",
      to: { y: tidy(toward * sweep.depth) },
      axis: "y",
      notPast: true,
      cuts: "down",
      ...common,
    },
  ];
}
