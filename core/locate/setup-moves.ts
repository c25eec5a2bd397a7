import { type Mm, tidy } from "../quantity/index.ts";
import type { FeatureKey, FeatureOperation, FeatureSetup } from "../route/index.ts";
import { type FeatureMove, featureMoves } from "./feature-moves.ts";
import type { Locating } from "./locate-setup.ts";
import type { Point } from "./spindle-way.ts";
import { Standing, type Swath } from "./standing.ts";

/** Moves by operation. */
export type SetupMoves = ReadonlyMap<FeatureKey, readonly FeatureMove[]>;

/** How much further out each wall is cut than planned, mm. */
export type Shifts = Readonly<Partial<Record<FeatureKey, number>>>;

const known = new WeakMap<FeatureSetup, { locating: string; shifts: string; moves: SetupMoves }>();

/**
 * Every move of a setup, operation by operation, through the metal that is there: a way that finds none is not told, and what
 * only leads through air says so. An operation whose cutter does not go in has none.
 */
export function setupMoves(setup: FeatureSetup, locating: Locating, shifts: Shifts = {}): SetupMoves {
  const key = {
    locating: JSON.stringify([locating.frame, locating.gone.length]),
    shifts: JSON.stringify(shifts),
  };
  const last = known.get(setup);
  if (last && last.locating === key.locating && last.shifts === key.shifts) return last.moves;
  const moves = new Map<FeatureKey, readonly FeatureMove[]>();
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
  known.set(setup, { ...key, moves });
  return moves;
}

/**
 * A place along a lying shaft where its crown stands for good, so that Z can be touched there again at any time: the nearest to
 * where an operation begins, in its section and clear of everything that is cut in the setup.
 * @returns X as the readout counts it, mm; null where the crown is cut away all along
 */
export function crownPlace(
  { operations }: Pick<FeatureSetup, "operations">,
  locating: Locating,
  of: FeatureOperation,
  moves: SetupMoves,
): Mm | null {
  const { frame } = locating;
  const swaths = operations.flatMap((o) => swathsOf(moves.get(o.key) ?? [], o.diameter));
  const standing = new Standing(locating, frame, of.crown, swaths);
  const across = locating.sizes[frame.y.axis] / 2;
  const y = tidy(frame.y.sign * (across - frame.y.zero));
  const ends = [0, locating.sizes[frame.x.axis]].map((end) => frame.x.sign * (end - frame.x.zero));
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const wanted = (moves.get(of.key) ?? []).find((m) => m.to.x !== undefined)?.to.x ?? (low + high) / 2;
  const r = of.diameter / 2;
  const free = (x: Mm) =>
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

/** What the moves of an operation take away. */
function swathsOf(moves: readonly FeatureMove[], diameter: Mm): Swath[] {
  let at: Point = [0, 0];
  let z = 0;
  return moves.flatMap((move): Swath[] => {
    const from = at;
    at = [move.to.x ?? at[0], move.to.y ?? at[1]];
    if (move.kind === "go") return [];
    z = move.to.z ?? z;
    return [{ from: move.kind === "down" ? at : from, to: at, radius: diameter / 2, z }];
  });
}

/** Whether an operation's cutter is a straight round whose end lies at the depth that is told. */
const asksOfMetal = ({ by, tilt, sweep }: FeatureOperation): boolean =>
  by === "mill" && tilt === null && sweep.kind !== "disc";

/** One way over the part: come to it, go down, feed. */
interface Visit {
  move: FeatureMove;
  swath: Swath | null;
  meets: boolean;
}

function throughMetal(
  planned: readonly FeatureMove[],
  { diameter }: FeatureOperation,
  standing: Standing,
): FeatureMove[] {
  const radius = diameter / 2;
  let at: Point = [0, 0];
  let z = 0;
  const told: FeatureMove[] = [];
  let visit: Visit[] = [];
  const finish = () => {
    if (visit.some((v) => v.meets)) for (const v of visit) told.push(v.move);
    visit = [];
  };
  for (const move of planned) {
    const from = at;
    at = [move.to.x ?? at[0], move.to.y ?? at[1]];
    if (move.kind === "go") {
      finish();
      z = 0;
      visit.push({ move, swath: null, meets: false });
      continue;
    }
    z = move.to.z ?? z;
    const swath: Swath = { from: move.kind === "down" ? at : from, to: at, radius, z };
    const meets = standing.meets(swath);
    if (meets || move.spring) standing.cut(swath);
    visit.push({
      move: { ...move, cuts: meets || move.spring ? (move.cuts === "air" ? "down" : move.cuts) : "air" },
      swath,
      meets: meets || move.spring,
    });
  }
  finish();
  return told.map((move, i) => ({ ...move, number: i + 1, exact: tidy(move.exact) }));
}
