import { tidy } from "../quantity/index.ts";
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
