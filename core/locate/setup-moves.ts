import { type Stroke, type Point } from "../recipes/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { FeatureKey, FeatureOperation, FeatureSetup } from "../route/index.ts";
import { featureMoves } from "./feature-moves.ts";
import type { Locating } from "./locate-setup.ts";
import { Standing, type Swath } from "./standing.ts";
import { strapHold } from "../handbook/index.ts";

/** Moves by operation. */
export type SetupMoves = ReadonlyMap<FeatureKey, readonly Stroke[]>;

/** How much further out each wall is cut than planned, mm. */
export type Shifts = Readonly<Partial<Record<FeatureKey, number>>>;

/** The last answer for a setup: moves are asked for at every tick, and seldom change. */
const known = new WeakMap<FeatureSetup, { key: string; moves: SetupMoves }>();

/**
 * Every move of a setup, operation by operation, through the metal that is there: a way that finds none is not told, and what
 * only leads through air says so. An operation whose cutter does not go in has none.
 */
export function setupMoves(setup: FeatureSetup, locating: Locating, shifts: Shifts = {}): SetupMoves {
  const key = JSON.stringify([locating.frame, locating.gone, shifts]);
  const last = known.get(setup);
  if (last?.key === key) return last.moves;
  const moves = new Map<FeatureKey, readonly Stroke[]>();
  let swaths: readonly Swath[] = [];
  for (const operation of setup.operations) {
    if (operation.by === "hand") {
      moves.set(operation.key, []);
      continue;
    }
    const planned = featureMoves(operation, locating.frame, shifts[operation.key] ?? 0) ?? [];
    const standing = new Standing(locating, locating.frame, operation.crown, swaths);
    moves.set(operation.key, asksOfMetal(operation) ? throughMetal(planned, operation, standing) : planned);
    swaths = standing.swaths;
  }
  known.set(setup, { key, moves });
  return moves;
}

/**
 * A place along a lying shaft where its crown stands for good, so that Z can be touched there again at any time: the nearest to
 * where an operation begins, in its section and clear of everything that is cut in the setup.
 * Where it stands nowhere for good, a place where it stands still.
 * @param now what cutters went over so far
 * @returns X as the readout counts it, mm; null where the crown is cut away all along
 */
export function crownPlace(
  { operations, seat }: Pick<FeatureSetup, "operations" | "seat">,
  locating: Locating,
  of: FeatureOperation,
  moves: SetupMoves,
  now: readonly Swath[],
): Mm | null {
  const forGood = operations.flatMap((o) => swathsOf(moves.get(o.key) ?? [], o));
  const straps = seat.table?.at.map(({ left }) => left) ?? [];
  return crownAfter(forGood, locating, of, moves, straps) ?? crownAfter(now, locating, of, moves, straps);
}

/** Where the crown stands once cutters went over what is said, nearest to where an operation begins; null where it does not. */
function crownAfter(
  swaths: readonly Swath[],
  locating: Locating,
  of: FeatureOperation,
  moves: SetupMoves,
  /** Middles of straps that lie over it, from the left end, mm. */
  straps: readonly Mm[],
): Mm | null {
  const { frame } = locating;
  const standing = new Standing(locating, frame, of.crown, swaths);
  const across = locating.sizes[frame.y.axis] / 2;
  const y = tidy(frame.y.sign * (across - frame.y.zero));
  const ends = [0, locating.sizes[frame.x.axis]].map((end) => frame.x.sign * (end - frame.x.zero));
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const wanted = (moves.get(of.key) ?? []).find((m) => m.to.x !== undefined)?.to.x ?? (low + high) / 2;
  const r = of.diameter / 2;
  const free = (x: Mm) =>
    straps.every((left) => Math.abs(x - low - left) > besideStrap + r) &&
    [x - besideCrown, x, x + besideCrown].every((p) => standing.metalAt([p, y], -crownSkin)) &&
    [x - r, x + r].every((p) => !standing.metalAt([p, y], crownSkin));
  const places = Array.from({ length: Math.floor(high - low) }, (_, i) => tidy(low + i + 0.5));
  return places
    .filter(free)
    .reduce<Mm | null>(
      (best, x) => (best === null || Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best),
      null,
    );
}

/** The crown stands so far beside the touch, and is asked about so far below and above it, mm. */
const besideCrown = 1;
const crownSkin = 0.05;
/** Half a strap and what is left beside it, mm. */
const besideStrap = strapHold.wide / 2 + 3.5;

/** What a cutter went over on some of its moves. */
export const swathsOf = (
  moves: readonly Stroke[],
  { diameter }: Pick<FeatureOperation, "diameter">,
): Swath[] => [...traced(moves, diameter)].flatMap(({ swath }) => swath ?? []);

/** What each move of a cutter goes over, down to its end; null while it goes to its place, up clear. */
function* traced(moves: readonly Stroke[], diameter: Mm): Generator<{ move: Stroke; swath: Swath | null }> {
  let at: Point = [0, 0];
  let z = 0;
  for (const move of moves) {
    const from = at;
    at = [move.to.x ?? at[0], move.to.y ?? at[1]];
    z = move.to.z ?? z;
    const swath = { from: move.kind === "down" ? at : from, to: at, radius: diameter / 2, z };
    yield { move, swath: move.kind === "go" ? null : swath };
  }
}

/** Whether an operation's cutter is a straight round whose end lies at the depth that is told. */
const asksOfMetal = ({ by, tilt, sweep }: FeatureOperation): boolean =>
  by === "mill" && tilt === null && sweep.kind !== "disc";

/** Moves with what they meet: from one place to the next either all are told or, where nothing is cut between, none. */
function throughMetal(
  planned: readonly Stroke[],
  { diameter }: FeatureOperation,
  standing: Standing,
): Stroke[] {
  const told: Stroke[] = [];
  let visit: Stroke[] = [];
  const finish = () => {
    if (visit.some((m) => m.cuts !== "air")) told.push(...visit);
    visit = [];
  };
  for (const { move, swath } of traced(planned, diameter)) {
    if (!swath) {
      finish();
      visit.push(move);
      continue;
    }
    // A spring pass is made though nothing stands: what bent away is cut by it.
    const cuts = move.spring || standing.meets(swath);
    if (cuts) standing.cut(swath);
    visit.push({ ...move, cuts: !cuts ? "air" : move.cuts === "air" ? "down" : move.cuts });
  }
  finish();
  return told.map((move, i) => ({ ...move, number: i + 1 }));
}
