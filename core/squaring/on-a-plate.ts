import { type Face, facesOf, opposite, orientation } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { NextCut } from "./next-cut.ts";
import { worseFace } from "./round-the-block.ts";
import { around, backWhileAllAround, firstWide, lowestAxis } from "./two-setups.ts";

/** Lowest size a part may have to be squared on a plate, mm (guess): thicker ones are held in jaws. */
const thinUpTo = 15;

/** Whether a part is thin enough to be glued down. */
export const isThin = (piece: Piece): boolean => piece.sizes[lowestAxis(piece.sizes)] <= thinUpTo;

/**
 * The "on a plate" school: a thin part glued by its worse side has its top faced and its edges cut with the side of the cutter in one
 * clamping; turned over onto what was faced, the other side follows.
 */
export function nextOnPlate(piece: Piece): NextCut | null {
  const [low, high] = facesOf(lowestAxis(piece.sizes));
  const first = firstWide(piece) ?? worseFace(piece, high, low);
  const fixed = backWhileAllAround(piece, first);
  const make = (up: Face, face: Face): NextCut => ({
    at: orientation(up, fixed)!,
    face,
    extent: "face",
    hold: "plate",
    over: fixed,
  });
  if (piece.faces[first].order === null) return make(first, first);
  const open = around({ up: first, fixed }).find((f) => piece.faces[f].order === null);
  if (open) return make(first, open);
  const second = opposite(first);
  return piece.faces[second].order === null ? make(second, second) : null;
}
