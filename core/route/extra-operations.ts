import type { Face } from "../frame/index.ts";
import { isReference, type Piece } from "../stock/index.ts";

/** An operation other than a face: a slot, a hole, a chamfer. It is done in any clamping that shows its side. */
export interface ExtraOperation {
  key: string;
  /** Faces of which one must be up. */
  approaches: readonly Face[];
  /** Faces that must be references before it: what it is dimensioned from. */
  needs: readonly Face[];
  /** Keys of operations that come before it. */
  after: readonly string[];
  /** Faces that are no reference any more once it is done. */
  destroys: readonly Face[];
  minutes: number;
}

/** What is still to do. */
export interface Left {
  faces: readonly Face[];
  extras: readonly ExtraOperation[];
}

export const minutesOf = (extras: readonly ExtraOperation[]): number =>
  extras.reduce((sum, extra) => sum + extra.minutes, 0);

/**
 * What can be done while a side is up: everything whose references are there and whose forerunners are done, for later it
 * would want a setup of its own. What destroys a reference is done with the rest, or left for later: both are given.
 */
export function doneWhileHeld(
  piece: Piece,
  up: Face,
  left: Left,
): { extras: readonly ExtraOperation[]; after: Piece }[] {
  const gather = (destroying: boolean): { extras: ExtraOperation[]; after: Piece } => {
    const extras: ExtraOperation[] = [];
    let after = piece;
    for (;;) {
      const next = left.extras
        .filter(
          (e) =>
            !extras.includes(e) &&
            e.approaches.includes(up) &&
            (destroying || e.destroys.length === 0) &&
            e.needs.every((face) => isReference(after, face)) &&
            e.after.every((key) => !left.extras.some((o) => o.key === key && !extras.includes(o))),
        )
        // What destroys comes after all else that can be done.
        .sort((a, b) => a.destroys.length - b.destroys.length)[0];
      if (!next) return { extras, after };
      extras.push(next);
      after = next.destroys.reduce(noReference, after);
    }
  };
  const careful = gather(false);
  const all = gather(true);
  return all.extras.length > careful.extras.length ? [careful, all] : [careful];
}

const noReference = (piece: Piece, face: Face): Piece => ({
  ...piece,
  faces: { ...piece.faces, [face]: { ...piece.faces[face], clean: false } },
});
