import { type Mm, tidy } from "../quantity/index.ts";
import type { FeatureOperation, Sweep } from "../route/index.ts";
import { type SetupFrame, sweepInSetup } from "./setup-frame.ts";
import { type SpindleWay } from "./spindle-way.ts";
import { spindleWays } from "./ways.ts";

/** One thing the hands do: come to a place, go down, or feed to a stop. */
export interface FeatureMove {
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
  /** Which level of how many. */
  level: number;
  levels: number;
}

/** How far a positioning move may be off where nothing is cut by it, mm. */
const inAir = 0.5;

interface Here {
  x: Mm | null;
  y: Mm | null;
  z: Mm | null;
}

const near = (a: Mm | null, b: Mm): boolean => a !== null && Math.abs(a - b) < 1e-6;

/**
 * Every move of an operation in order, from one zero. Between two ways the cutter goes up clear, unless the next begins where the
 * last ended.
 * @param shift how much further out walls are cut than planned, mm
 * @returns null where the cutter does not go in
 */
export function featureMoves(
  operation: FeatureOperation,
  frame: SetupFrame,
  shift: Mm = 0,
): FeatureMove[] | null {
  const sweep = sweepInSetup(frame, operation.sweep);
  if (sweep.kind === "disc") return discMoves(operation, sweep);
  const ways = spindleWays(sweep, operation, shift);
  if (!ways) return null;
  const moves: FeatureMove[] = [];
  const here: Here = { x: null, y: null, z: null };
  const put = (move: Omit<FeatureMove, "number">) => {
    moves.push({ number: moves.length + 1, ...move });
    if (move.to.x !== undefined) here.x = move.to.x;
    if (move.to.y !== undefined) here.y = move.to.y;
    if (move.to.z !== undefined) here.z = move.to.z;
  };
  const depths = operation.levels.length > 0 ? operation.levels : [operation.floor];
  const ownDepth = ways.some((w) => w.depth !== null);
  const rounds: { way: SpindleWay; depth: Mm; level: number; levels: number }[] = ownDepth
    ? stairs(ways)
    : // A hole is finished before the next; an area is cut level by level.
      depths.flatMap((depth, i) =>
        ways.map((way) => ({
          way: i % 2 === 1 && turnsBack(way) ? reversed(way) : way,
          depth,
          level: i + 1,
          levels: depths.length,
        })),
      );
  for (const { way, depth, level, levels } of rounds) {
    const [start, ...rest] = way.points;
    if (!start) continue;
    // M33: with the head tilted the knee goes further than the cut is deep, square to what it cuts.
    const z = operation.tilt === null ? -depth : tidy(-depth / Math.cos((operation.tilt * Math.PI) / 180));
    const stated = { level, levels, exact: operation.exact };
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
        exact: precise ? operation.exact : inAir,
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
        exact: way.stops[i + 1] ? operation.exact : inAir,
      });
    });
  }
  return moves;
}

/** Stairs each have their own depth: those at one depth are one level. */
function stairs(ways: readonly SpindleWay[]) {
  const depths = [...new Set(ways.map((w) => w.depth ?? 0))].sort((a, b) => a - b);
  return depths.flatMap((depth, i) =>
    ways
      .filter((w) => (w.depth ?? 0) === depth)
      .map((way) => ({ way, depth, level: i + 1, levels: depths.length })),
  );
}

/** A slot cut at full width goes back the way it came at the next depth. */
const turnsBack = (way: SpindleWay): boolean => way.cuts === "full" && !way.closed && way.points.length === 2;

const reversed = (way: SpindleWay): SpindleWay => ({
  ...way,
  points: [...way.points].reverse(),
  stops: [...way.stops].reverse(),
});

/** A disc cutter: along to its place, down to the middle of the shaft, then in from the side it was touched on. */
function discMoves(operation: FeatureOperation, sweep: Extract<Sweep, { kind: "disc" }>): FeatureMove[] {
  const common = { level: 1, levels: 1, exact: operation.exact };
  // Zero in Z is the crown touched with the lower end of the cutter; its middle goes to the middle of the shaft.
  const z = tidy(-(sweep.radius + sweep.width / 2));
  return [
    { number: 1, kind: "go", to: { x: sweep.along }, axis: "x", notPast: false, cuts: "air", ...common },
    { number: 2, kind: "down", to: { z }, axis: "z", notPast: false, cuts: "air", ...common },
    {
      number: 3,
      kind: "in",
      to: { y: tidy(sweep.depth) },
      axis: "y",
      notPast: true,
      cuts: "down",
      ...common,
    },
  ];
}
