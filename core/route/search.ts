import type { Face, Orientation } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Left } from "./extra-operations.ts";
import { type Move, type Moves, stateOf } from "./moves.ts";
import { type ChainLink, linkOf } from "./reference-chain.ts";

/**
 * Search for the best order of cutting. A state is the piece and what its faces were located from; a move is a clamping with all that is done in it; the cost
 * is time and risk in minutes, and an error beyond its tolerance counts as the rework it would cost. Best first (A*): what is
 * still to come is bounded by the cheapest way to do what is left were there no errors. Deterministic.
 */

/** Minutes of rework for an error beyond its tolerance, and for each time it is exceeded again (guess). */
const rework = { once: 45, more: 30, most: 300 } as const;
/** States taken up before the search gives the best it has: all orders of a block that misses its tolerance are too many. */
const mostStates = 90;
/** Every so many states one is followed straight to its end: the best end so far cuts off what cannot be better. */
const diveEvery = 6;

/** A clamping of the order found: whether its top face is cut, and the keys of what else is done. */
export interface FoundClamping {
  at: Orientation;
  cutsFace: boolean;
  extras: string[];
}

export interface Found {
  clampings: FoundClamping[];
  /** Those that cut a face. */
  order: Orientation[];
  /** Minutes with risks and rework. */
  cost: number;
  /** States taken up on the way. */
  expansions: number;
  /** Nothing cheaper can be: false when the search stopped at its bound with the best it had. */
  proven: boolean;
}

/** Rework for an error that is so many times its tolerance, minutes. */
const reworkOf = (share: number): number =>
  share <= 1 ? 0 : Math.min(rework.most, rework.once + rework.more * (share - 1));

interface Node {
  piece: Piece;
  moves: readonly Move[];
  links: ReadonlyMap<Face, ChainLink>;
  left: Left;
  /** How many faces and operations are left. */
  todo: number;
  /** Worst pair so far over its tolerance. */
  share: number;
  /** Minutes of the setups so far, without rework. */
  spent: number;
  /** Least the whole route can cost from here. */
  bound: number;
}

const startOf = (moves: Moves): Node => ({
  piece: moves.raw,
  moves: [],
  links: new Map(),
  left: moves.all,
  todo: moves.all.faces.length + moves.all.extras.length,
  share: 0,
  spent: 0,
  bound: moves.least(moves.raw, moves.all),
});

const keys = new WeakMap<ChainLink, string>();

/** What a face was located from, without the scatter that every seat has alike. */
function linkKey(link: ChainLink): string {
  const known = keys.get(link);
  if (known !== undefined) return known;
  const made = `${link.face}:${Object.entries(link.rotations)
    .map(([axis, rotation]) =>
      [...rotation]
        .filter(([cause]) => !/^seat:\d+[xyz]$/.test(cause))
        .map(([cause, count]) =>
          cause.startsWith("seat:")
            ? `${axis}${cause}${count.toExponential(2)}`
            : `${axis}${cause.replace(/\d+$/, "")}${count.toFixed(1)}`,
        )
        .sort()
        .join(),
    )
    .join(";")}`;
  keys.set(link, made);
  return made;
}

/**
 * What decides the rest of a route: what is left, and what the faces cut were located from, not in which order. Where no
 * tolerance is asked for only the first counts.
 */
const keyOf = ({ links, left, piece }: Node): string =>
  [
    stateOf(piece, left.faces),
    left.extras.map((e) => e.key).join(),
    ...[...links.values()].map(linkKey).sort(),
  ].join("|");

/** States taken up between two yields. */
const yieldEvery = 20;

/**
 * The cheapest order of cutting all faces that need it, with the operations on them; null when they cannot all be held and
 * cut in any order. Yields the states taken up now and then; ended early by `return` there is no answer, and sent `false` it
 * stops with a whole order, the best so far.
 */
export function* searchSteps(moves: Moves): Generator<number, Found | null, boolean | undefined> {
  const start = startOf(moves);
  if (!Number.isFinite(start.bound)) return null;
  const open: Node[] = [start];
  const seen = new Map<string, number>();
  let best = null as Node | null;
  let expansions = 0;
  const dive = (from: Node) => {
    const end = straightOn(moves, from);
    if (end && (!best || end.bound < best.bound - 1e-9)) best = end;
  };
  while (open.length > 0) {
    let at = 0;
    for (let i = 1; i < open.length; i++) {
      const [a, b] = [open[i]!, open[at]!];
      if (a.bound < b.bound - 1e-9 || (a.bound < b.bound + 1e-9 && a.todo < b.todo)) at = i;
    }
    const [node] = open.splice(at, 1) as [Node];
    // All that is open can only end dearer than the best end.
    if (best && best.bound <= node.bound + 1e-9) return foundOf(best, expansions, true);
    if (node.todo === 0) return foundOf(node, expansions, true);
    const goOn = ++expansions % yieldEvery === 0 ? yield expansions : true;
    if (expansions % diveEvery === 1 || goOn === false) dive(node);
    if (expansions > mostStates || goOn === false) return best && foundOf(best, expansions, false);
    for (const next of nextNodes(moves, node)) {
      if (!Number.isFinite(next.bound) || (best && next.bound >= best.bound - 1e-9)) continue;
      const key = keyOf(next);
      if ((seen.get(key) ?? Infinity) <= next.bound + 1e-9) continue;
      seen.set(key, next.bound);
      open.push(next);
    }
  }
  return best && foundOf(best, expansions, true);
}

/** The search in one go; `goOn` is asked now and then, false stops it with the best so far. */
export function searchOrder(moves: Moves, goOn: (expansions: number) => boolean = () => true): Found | null {
  const search = searchSteps(moves);
  let step = search.next();
  while (!step.done) step = search.next(goOn(step.value));
  return step.value;
}

const foundOf = (node: Node, expansions: number, proven: boolean): Found => ({
  clampings: node.moves.map(({ at, setup, extras }) => ({
    at,
    cutsFace: setup !== null,
    extras: extras.map((e) => e.key),
  })),
  order: node.moves.flatMap(({ at, setup }) => (setup ? [at] : [])),
  cost: node.bound,
  expansions,
  proven,
});

/** The states one clamping on. */
function* nextNodes(moves: Moves, node: Node): Generator<Node> {
  for (const move of moves.from(node.piece, node.left)) {
    const link = moves.tolerated && move.setup ? linkOf(move.setup, node.links, moves.vise) : null;
    const share = link ? Math.max(node.share, moves.share(link, node.links)) : node.share;
    const spent = node.spent + move.cost;
    yield {
      piece: move.after,
      moves: [...node.moves, move],
      links: link ? new Map(node.links).set(link.face, link) : node.links,
      left: move.left,
      todo: move.left.faces.length + move.left.extras.length,
      share,
      spent,
      bound: spent + moves.least(move.after, move.left) + reworkOf(share),
    };
  }
}

/** States that one dive may take up: a few more than a route is long. */
const diveStates = 30;

/** The cheapest next move again and again, back where it leads nowhere; null when that comes to no end soon. */
function straightOn(moves: Moves, node: Node, left = { states: diveStates }): Node | null {
  if (node.todo === 0) return node;
  if (left.states-- <= 0) return null;
  const next = [...nextNodes(moves, node)]
    .filter((n) => Number.isFinite(n.bound))
    .sort((a, b) => a.bound - b.bound);
  for (const one of next) {
    const whole = straightOn(moves, one, left);
    if (whole) return whole;
  }
  return null;
}

/** Every order, looked at one by one: what the search is tested against. Only for few faces. */
export function exhaustiveOrder(moves: Moves): Found | null {
  let best: Node | undefined;
  let expansions = 0;
  const visit = (node: Node) => {
    expansions++;
    if (node.todo === 0) {
      if (!best || node.bound < best.bound - 1e-9) best = node;
    } else for (const next of nextNodes(moves, node)) visit(next);
  };
  visit(startOf(moves));
  return best ? foundOf(best, expansions, true) : null;
}
