import { axisOf, type Face, faceNames, type Orientation, orientation } from "../frame/index.ts";
import { handlingTimes } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { pairError, worstShare } from "./predicted-error.ts";
import { type ChainLink, linkOf, type Located } from "./reference-chain.ts";
import { cutterFor, type Held, heldTask, holdFor, noCut, pieceAfter, removalFor } from "./hold.ts";
import { type RouteContext } from "./route-context.ts";

/**
 * Search for the best order of cutting. A state is the piece and what its faces were located from; a move is a setup; the cost
 * is time and risk in minutes, and an error beyond its tolerance counts as the rework it would cost. Best first (A*): what is
 * still to come is bounded by the cheapest way to cut the faces left were there no errors, which hangs only on which faces
 * are cut. Deterministic.
 */

/** Minutes that a risk counts as (guess): a seat on a face that is no reference, a rod, a tall or shallow grip. */
const risk = { provisional: 4, rod: 1.5, tall: 3, shallow: 4 } as const;
/** Minutes of rework for an error beyond its tolerance, and for each time it is exceeded again (guess). */
const rework = { once: 45, more: 30, most: 300 } as const;
/** States taken up before the search gives the best it has: all orders of a block that misses its tolerance are too many. */
const mostStates = 200;

export interface SearchAsked {
  squareness: Mm | null;
  parallelism: Mm | null;
}

export interface Found {
  order: Orientation[];
  /** Minutes with risks and rework. */
  cost: number;
  /** States taken up on the way. */
  expansions: number;
  /** Nothing cheaper can be: false when the search stopped at its bound with the best it had. */
  proven: boolean;
}

/** Faces that have something to come off or are not machined yet. */
export const facesToCut = (piece: Piece, context: RouteContext): Face[] =>
  faceNames.filter(
    (face) =>
      piece.faces[face].order === null &&
      (removalFor(piece, face, context).removal > noCut || !isReference(piece, face)),
  );

interface Move {
  setup: Located;
  after: Piece;
  cost: number;
}

const handling = (sized: boolean) =>
  handlingTimes.setup +
  handlingTimes.touchOff +
  handlingTimes.deburr +
  handlingTimes.measure * (sized ? 2 : 1);

/** The moves of a block with their costs, each worked once: they hang on which faces are cut, not on their order. */
export class Moves {
  readonly #raw: Piece;
  readonly #context: RouteContext;
  readonly #asked: SearchAsked;
  readonly #moves = new Map<string, Move | null>();
  readonly #cuts = new Map<string, { minutes: number; lanes: number } | null>();
  readonly #least = new Map<string, number>();
  readonly faces: Face[];

  constructor(raw: Piece, context: RouteContext, asked: SearchAsked) {
    this.#raw = raw;
    this.#context = context;
    this.#asked = asked;
    this.faces = facesToCut(raw, context);
  }

  get raw(): Piece {
    return this.#raw;
  }

  #cut(piece: Piece, face: Face, held: Held) {
    // Two faces of one axis in the same condition are cut alike.
    const { condition } = piece.faces[face];
    const key = `${axisOf(face)} ${condition} ${held.kind} ${axisOf(held.seat.fixed)} ${held.sized} ${held.removal}`;
    const known = this.#cuts.get(key);
    if (known !== undefined) return known;
    const choice = cutterFor(heldTask(piece, face, held, this.#context), held.seat, this.#context);
    const made = choice.ok ? { minutes: choice.value.best.minutes, lanes: choice.value.best.lanes } : null;
    this.#cuts.set(key, made);
    return made;
  }

  /** The move that cuts a face with another at the fixed jaw; null when it cannot be held or cut. */
  of(piece: Piece, left: readonly Face[], at: Orientation): Move | null {
    const key = `${left.join()} ${at.up} ${at.fixed}`;
    const known = this.#moves.get(key);
    if (known !== undefined) return known;
    const made = this.#worked(piece, 1 + this.faces.length - left.length, at);
    this.#moves.set(key, made);
    return made;
  }

  #worked(piece: Piece, number: number, at: Orientation): Move | null {
    const held = holdFor(piece, at, this.#context);
    if (!held.ok) return null;
    const { seat, kind, sized } = held.value;
    const cut = this.#cut(piece, at.up, held.value);
    if (!cut) return null;
    const cost =
      cut.minutes +
      handling(sized) +
      (isReference(piece, seat.fixed) ? 0 : risk.provisional) +
      (seat.rod ? risk.rod : 0) +
      (seat.projection > 1.5 * seat.grip ? risk.tall : 0) +
      (seat.effectiveGrip < 5 ? risk.shallow : 0);
    const setup: Located = {
      at: held.value.at,
      seat,
      face: at.up,
      number,
      before: piece,
      cut: { kind, lanes: cut.lanes },
    };
    return { setup, after: pieceAfter(piece, at.up, held.value), cost };
  }

  /** Least cost of the faces left were there no errors; Infinity when they cannot all be cut. */
  least(piece: Piece, left: readonly Face[]): number {
    if (left.length === 0) return 0;
    const key = left.join();
    const known = this.#least.get(key);
    if (known !== undefined) return known;
    let least = Infinity;
    for (const { move, rest } of this.from(piece, left))
      least = Math.min(least, move.cost + this.least(move.after, rest));
    this.#least.set(key, least);
    return least;
  }

  /** All moves of a state. */
  *from(piece: Piece, left: readonly Face[]): Generator<{ at: Orientation; move: Move; rest: Face[] }> {
    for (const up of left) {
      for (const fixed of faceNames) {
        const at = orientation(up, fixed);
        const move = at && this.of(piece, left, at);
        if (at && move) yield { at, move, rest: left.filter((f) => f !== up) };
      }
    }
  }

  /** How far a face just cut is out to those cut before it, as a share of the tolerances. */
  share(link: ChainLink, before: ReadonlyMap<Face, ChainLink>): number {
    const { squareness, parallelism } = this.#asked;
    if (squareness === null && parallelism === null) return 0;
    const { target, machine, vise } = this.#context;
    const asked = { target, machine, vise, squareness, parallelism };
    return worstShare([...before.values()].map((other) => pairError(other, link, asked)));
  }
}

/** Rework for an error that is so many times its tolerance, minutes. */
const reworkOf = (share: number): number =>
  share <= 1 ? 0 : Math.min(rework.most, rework.once + rework.more * (share - 1));

interface Node {
  piece: Piece;
  order: Orientation[];
  links: ReadonlyMap<Face, ChainLink>;
  left: Face[];
  /** Worst pair so far over its tolerance. */
  share: number;
  /** Minutes of the setups so far, without rework. */
  spent: number;
  /** Least the whole route can cost from here. */
  bound: number;
}

/** What decides the rest of a route: faces cut and what they were located from, not in which order. */
function keyOf(links: ReadonlyMap<Face, ChainLink>): string {
  const one = ({ face, rotations }: ChainLink) =>
    `${face}:${Object.entries(rotations)
      .map(([axis, rotation]) =>
        [...rotation]
          .filter(([cause]) => !cause.startsWith("seat:"))
          .map(([cause, count]) => `${axis}${cause.replace(/\d+$/, "")}${count.toFixed(1)}`)
          .sort()
          .join(),
      )
      .join(";")}`;
  return [...links.values()].map(one).sort().join("|");
}

/**
 * The cheapest order of cutting all faces that need it; null when they cannot all be held and cut in any order.
 * @param goOn asked now and then with the states taken up; false stops the search with the best so far
 */
export function searchOrder(moves: Moves, goOn: (expansions: number) => boolean = () => true): Found | null {
  const { raw, faces } = moves;
  const root = moves.least(raw, faces);
  if (!Number.isFinite(root)) return null;
  const open: Node[] = [
    { piece: raw, order: [], links: new Map(), left: faces, share: 0, spent: 0, bound: root },
  ];
  const seen = new Map<string, number>();
  let best: Node | null = null;
  let expansions = 0;
  while (open.length > 0) {
    let at = 0;
    for (let i = 1; i < open.length; i++) {
      const [a, b] = [open[i]!, open[at]!];
      if (a.bound < b.bound - 1e-9 || (a.bound < b.bound + 1e-9 && a.left.length < b.left.length)) at = i;
    }
    const [node] = open.splice(at, 1) as [Node];
    if (best && best.bound <= node.bound + 1e-9) break;
    if (node.left.length === 0) {
      best = node;
      continue;
    }
    if (++expansions > mostStates || (expansions % 50 === 0 && !goOn(expansions))) {
      // Straight on from here: a whole route is always given.
      const rest = best ?? straightOn(moves, node);
      return { order: rest.order, cost: rest.bound, expansions, proven: false };
    }
    for (const next of nextNodes(moves, node)) {
      if (!Number.isFinite(next.bound) || (best && next.bound >= best.bound - 1e-9)) continue;
      const key = keyOf(next.links);
      if ((seen.get(key) ?? Infinity) <= next.bound + 1e-9) continue;
      seen.set(key, next.bound);
      open.push(next);
    }
  }
  return best && { order: best.order, cost: best.bound, expansions, proven: true };
}

/** The states one setup on. */
function* nextNodes(moves: Moves, node: Node): Generator<Node> {
  for (const { at, move, rest } of moves.from(node.piece, node.left)) {
    const link = linkOf(move.setup, node.links);
    const share = Math.max(node.share, moves.share(link, node.links));
    const spent = node.spent + move.cost;
    yield {
      piece: move.after,
      order: [...node.order, at],
      links: new Map(node.links).set(at.up, link),
      left: rest,
      share,
      spent,
      bound: spent + moves.least(move.after, rest) + reworkOf(share),
    };
  }
}

/** The cheapest next move again and again. */
function straightOn(moves: Moves, from: Node): Node {
  let node = from;
  while (node.left.length > 0)
    node = [...nextNodes(moves, node)].reduce((a, b) => (b.bound < a.bound - 1e-9 ? b : a));
  return node;
}

/** Every order, looked at one by one: what the search is tested against. Only for few faces. */
export function exhaustiveOrder(moves: Moves): Found | null {
  let best: Node | undefined;
  let expansions = 0;
  const visit = (node: Node) => {
    expansions++;
    if (node.left.length === 0) {
      if (!best || node.bound < best.bound - 1e-9) best = node;
    } else for (const next of nextNodes(moves, node)) visit(next);
  };
  visit({
    piece: moves.raw,
    order: [],
    links: new Map(),
    left: moves.faces,
    share: 0,
    spent: 0,
    bound: 0,
  });
  return best ? { order: best.order, cost: best.bound, expansions, proven: true } : null;
}
