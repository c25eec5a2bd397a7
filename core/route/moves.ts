import { type Cut, type CutTask, rememberedCut } from "../cutting/index.ts";
import { axisOf, type Face, faceNames, type Orientation, orientation } from "../frame/index.ts";
import type { Seat } from "../holding/index.ts";
import type { Mm } from "../quantity/index.ts";
import { squareError, type Vise } from "../shop/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { handlingOf } from "./handling.ts";
import { type Held, noCut, pieceAfter, removalFor } from "./held.ts";
import { cutterFor, heldTask, holdFor } from "./hold.ts";
import { endsUpright } from "./hold-in-vise.ts";
import { faceUp } from "../squaring/index.ts";
import { doneWhileHeld, type ExtraOperation, type Left, minutesOf } from "./extra-operations.ts";
import { pairShare } from "./predicted-error.ts";
import type { ChainLink, Located } from "./reference-chain.ts";
import { risksOf } from "./risk.ts";
import type { RouteContext } from "./route-context.ts";

/** What the drawing asks of the squared block. */
export interface SearchAsked {
  squareness: Mm | null;
  parallelism: Mm | null;
}

/** Faces that have something to come off or are not machined yet. */
export const facesToCut = (piece: Piece, context: RouteContext): Face[] =>
  faceNames.filter(
    (face) =>
      piece.faces[face].order === null &&
      (removalFor(piece, face, context).removal > noCut || !isReference(piece, face)),
  );

/** A clamping: the face that is cut in it, if any, and what else is done while it is held. */
export interface Move {
  at: Orientation;
  /** Null where no face is cut. */
  setup: Located | null;
  extras: readonly ExtraOperation[];
  after: Piece;
  left: Left;
  /** Minutes with risks. */
  cost: number;
}

type BestCut = Pick<Cut, "minutes" | "lanes">;

/** A face cut with another at the fixed jaw. */
interface FaceMove {
  setup: Located;
  after: Piece;
  cost: number;
}

/** The moves of a block with their costs, each worked once: they hang on what is still to do, not on the order so far. */
export class Moves {
  readonly #context: RouteContext;
  readonly #asked: SearchAsked;
  readonly #moves = new Map<string, FaceMove | null>();
  readonly #held = new Map<string, { at: Orientation; cost: number } | null>();
  readonly #cuts = new Map<string, BestCut | null>();
  readonly #ungripped = new Map<string, Cut | null>();
  readonly #least = new Map<string, number>();
  readonly #hangs: boolean;
  readonly raw: Piece;
  readonly all: Left;
  /** Squareness or parallelism is asked for: what faces are located from matters. */
  readonly tolerated: boolean;

  constructor(raw: Piece, context: RouteContext, asked: SearchAsked, extras: readonly ExtraOperation[] = []) {
    this.raw = raw;
    this.#context = context;
    this.#asked = asked;
    this.tolerated = asked.squareness !== null || asked.parallelism !== null;
    this.#hangs = !endsUpright(context).upright;
    this.all = { faces: facesToCut(raw, context), extras };
  }

  #cut(piece: Piece, face: Face, held: Held) {
    // Two faces of one axis in the same condition are cut alike.
    const { condition } = piece.faces[face];
    const { kind, seat, sized, removal } = held;
    const cut = `${axisOf(face)} ${condition} ${kind} ${axisOf(seat.fixed)} ${sized} ${removal}`;
    const key = `${cut} ${seat.effectiveGrip} ${seat.rod !== null}`;
    const known = this.#cuts.get(key);
    if (known !== undefined) return known;
    const made = this.#gripped(cut, heldTask(piece, face, held, this.#context), seat);
    this.#cuts.set(key, made);
    return made;
  }

  /** The best cut in a grip: that of any grip where it holds, for a grip only takes away; else chosen anew. */
  #gripped(cut: string, task: CutTask, seat: Seat): BestCut | null {
    let best = this.#ungripped.get(cut);
    if (best === undefined) {
      const choice = cutterFor({ ...task, grip: null }, seat, this.#context);
      best = choice.ok ? choice.value.best : null;
      this.#ungripped.set(cut, best);
    }
    if (!best) return null;
    const cutter = this.#context.shop.cutters.find((c) => c.id === best.cutter);
    const held = cutter && rememberedCut(task, cutter, this.#context);
    if (held?.ok && held.value.minutes <= best.minutes + 1e-9) return held.value;
    const choice = cutterFor(task, seat, this.#context);
    return choice.ok ? choice.value.best : null;
  }

  /** The move that cuts a face with another at the fixed jaw; null when it cannot be held or cut. */
  #of(piece: Piece, left: readonly Face[], at: Orientation): FaceMove | null {
    const key = `${stateOf(piece, left)} ${at.up} ${at.fixed}`;
    const known = this.#moves.get(key);
    if (known !== undefined) return known;
    const made = this.#worked(piece, 1 + this.all.faces.length - left.length, at);
    this.#moves.set(key, made);
    return made;
  }

  #worked(piece: Piece, number: number, at: Orientation): FaceMove | null {
    const held = holdFor(piece, faceUp(at)!, this.#context);
    if (!held.ok) return null;
    const { seat, kind, sized } = held.value;
    const cut = this.#cut(piece, at.up, held.value);
    if (!cut) return null;
    const setup: Located = {
      at: held.value.at,
      seat,
      face: at.up,
      clamping: number,
      placed: piece,
      cut: { kind, lanes: cut.lanes },
    };
    return {
      setup,
      after: pieceAfter(piece, at.up, held.value),
      cost: cut.minutes + handlingOf("placed", sized) + risksOf(piece, held.value.seat),
    };
  }

  /** The cheapest clamping that only shows a side; null when it cannot be held so. */
  #shown(piece: Piece, left: readonly Face[], up: Face): { at: Orientation; cost: number } | null {
    const key = `${stateOf(piece, left)} ${up}`;
    const known = this.#held.get(key);
    if (known !== undefined) return known;
    let best: { at: Orientation; cost: number } | null = null;
    for (const fixed of faceNames) {
      const at = orientation(up, fixed);
      const held = at && holdFor(piece, faceUp(at)!, this.#context);
      // An end that would hang out does not show itself.
      if (!held?.ok || held.value.at.up !== up) continue;
      const cost = handlingOf("placed", false) + risksOf(piece, held.value.seat);
      if (!best || cost < best.cost - 1e-9) best = { at: held.value.at, cost };
    }
    this.#held.set(key, best);
    return best;
  }

  /** Least cost of what is left were there no errors; Infinity when the faces cannot all be cut. Never above the true cost. */
  least(piece: Piece, left: Left): number {
    // A reference that was cut away does not come back.
    const lost = (face: Face) => !left.faces.includes(face) && !isReference(piece, face);
    if (left.extras.some((e) => e.needs.some(lost))) return Infinity;
    const minutes = minutesOf(left.extras);
    // Sides that no face is cut on any more are shown once more for what is still to do there.
    const open = left.extras.filter((e) => e.approaches.every((up) => !left.faces.includes(up)));
    // While an end hangs out other sides are up: one of those may still show what is open.
    const shownYet = this.#hangs && left.faces.some((f) => axisOf(f) === this.#context.ends);
    const sides = new Set(open.filter((e) => e.approaches.length === 1).map((e) => e.approaches[0]!));
    const others = open.some((e) => e.approaches.every((up) => !sides.has(up))) ? 1 : 0;
    const again = shownYet ? 0 : sides.size + others;
    return this.#leastOfFaces(piece, left.faces) + minutes + again * handlingOf("placed", false);
  }

  #leastOfFaces(piece: Piece, left: readonly Face[]): number {
    if (left.length === 0) return 0;
    const key = stateOf(piece, left);
    const known = this.#least.get(key);
    if (known !== undefined) return known;
    let least = Infinity;
    for (const up of left)
      for (const fixed of faceNames) {
        const at = orientation(up, fixed);
        const move = at && this.#of(piece, left, at);
        if (move)
          least = Math.min(
            least,
            move.cost +
              this.#leastOfFaces(
                move.after,
                left.filter((f) => f !== up),
              ),
          );
      }
    this.#least.set(key, least);
    return least;
  }

  /** All moves of a state: a face cut, or only a side shown; with what else can be done in that clamping. */
  *from(piece: Piece, left: Left): Generator<Move> {
    for (const up of left.faces) {
      const faces = left.faces.filter((f) => f !== up);
      for (const fixed of faceNames) {
        const at = orientation(up, fixed);
        const move = at && this.#of(piece, left.faces, at);
        if (!at || !move) continue;
        // An end that hangs out lies flat: the side it shows is another.
        const shown = move.setup.at.up;
        for (const { extras, after } of doneWhileHeld(move.after, shown, { faces, extras: left.extras }))
          yield {
            at,
            setup: move.setup,
            extras,
            after,
            left: { faces, extras: left.extras.filter((e) => !extras.includes(e)) },
            cost: move.cost + minutesOf(extras),
          };
      }
    }
    for (const up of new Set(left.extras.flatMap((e) => e.approaches))) {
      if (left.faces.includes(up)) continue;
      const options = doneWhileHeld(piece, up, left).filter(({ extras }) => extras.length > 0);
      const shown = options.length > 0 ? this.#shown(piece, left.faces, up) : null;
      if (!shown) continue;
      for (const { extras, after } of options)
        yield {
          at: shown.at,
          setup: null,
          extras,
          after,
          left: { faces: left.faces, extras: left.extras.filter((e) => !extras.includes(e)) },
          cost: shown.cost + minutesOf(extras),
        };
    }
  }

  get vise(): Vise {
    return this.#context.vise;
  }

  /** How far a face just cut is out to those cut before it, as a share of the tolerances. */
  share(link: ChainLink, before: ReadonlyMap<Face, ChainLink>): number {
    const { squareness, parallelism } = this.#asked;
    const { target, machine, vise, shop } = this.#context;
    const asked = { target, machine, vise, square: squareError(shop), squareness, parallelism };
    return Math.max(0, ...[...before.values()].map((other) => pairShare(other, link, asked)));
  }
}

/** What a piece is for the moves: the faces still to cut, and those that are references no more. */
export const stateOf = (piece: Piece, left: readonly Face[]): string =>
  `${left.join()}|${faceNames.filter((f) => !left.includes(f) && !isReference(piece, f)).join()}`;
