import { chooseCut, type CutTask, nothingOwn } from "../cutting/index.ts";
import { axisOf, type Face } from "../frame/index.ts";
import { withTopCut } from "../holding/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { Cutter } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Held } from "./held.ts";
import { extentOf, faceOperation, type NextCut } from "../squaring/index.ts";
import type { RouteContext } from "./route-context.ts";
import { faceOf, type FaceSetup } from "./setup.ts";

/** Within this half of a tolerance the size is not left to a cutter that is kept for scale, mm (guess). */
const closeSize = 0.05;
/** What such a cutter leaves for the good one, mm (guess). */
export const leftForGood: Mm = 0.4;

/** A cutter that scale may spoil. */
const isSpare = ({ condition, rating }: Cutter): boolean =>
  condition === "expendable" || rating.scale === "good";

/**
 * How the scale of a face comes off first, where the cutter that can be spared for it is not the one for a close size; null
 * where one cutter does both.
 * @param held the whole face
 * @param task its cut
 * @param cutter the cutter chosen for it, by its id
 */
export function scaleFirst(
  { face, extent }: NextCut,
  { held, task, cutter }: { held: Held; task: CutTask; cutter: string },
  context: RouteContext,
): Held | null {
  const { everyCutter, own } = context;
  const chosen = everyCutter.find((c) => c.id === cutter);
  const removal = tidy(held.removal - leftForGood);
  if (
    extent !== "face" ||
    held.kind === "side" ||
    !task.hardSkin ||
    (task.halfTolerance ?? Infinity) > closeSize ||
    removal < Math.max(task.skin, leftForGood) ||
    (own[faceOperation(face)] ?? nothingOwn).cutter !== null ||
    !chosen ||
    !isSpare(chosen)
  )
    return null;
  const bare = { ...task, skin: 0, hardSkin: false, total: leftForGood };
  const finish = chooseCut(bare, context.shop.cutters, context);
  const good = finish.ok ? everyCutter.find((c) => c.id === finish.value.best.cutter) : undefined;
  if (!good || isSpare(good)) return null;
  return { ...held, extent: "rough", removal, to: tidy(held.to + leftForGood), sized: false };
}

/** The face whose scale is off and whose size is still to be cut, in the same clamping; null after any other setup. */
export function stillToFinish(last: FaceSetup | undefined): NextCut | null {
  if (!last || extentOf(faceOf(last).key) !== "rough") return null;
  return { at: last.at, face: faceOf(last).face, extent: "face", hold: "vise", over: null };
}

/** The seat that was roughed in, still clamped, with what is left to the size. */
export function heldToFinish(piece: Piece, last: FaceSetup, context: RouteContext): Held {
  const { axis, cut, from, to } = faceOf(last);
  const now = piece.sizes[axis];
  const target = context.target[axis];
  return {
    at: last.at,
    seat: withTopCut(last.seat, tidy(from - to)),
    entry: "stays",
    kind: cut.kind,
    extent: "face",
    removal: Math.max(0, tidy(now - target)),
    from: now,
    to: now > target ? target : now,
    sized: true,
    rest: null,
    endReason: null,
  };
}

/** The piece once the scale is off: no reference yet, and its face is not counted as cut. */
export const withoutScale = (piece: Piece, face: Face, to: Mm): Piece => ({
  ...piece,
  faces: { ...piece.faces, [face]: { ...piece.faces[face], condition: "milled", clean: false } },
  sizes: { ...piece.sizes, [axisOf(face)]: to },
});
