import { type Face, facesOf, opposite, orientation } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { NextCut } from "./next-cut.ts";
import { worseFace } from "./round-the-block.ts";
import { around, backWhileAllAround, firstWide, lowestAxis } from "./two-setups.ts";

/**
 * The "on the table" school (domain.md 4): strapped over one edge on packing, what is free of the top is faced and three
 * edges are cut with the side of the cutter; then the straps go over the edge opposite, one at a time, and the rest follows.
 * Turned over, the other face in two parts.
 */
export function nextOnTable(piece: Piece): NextCut | null {
  const [low, high] = facesOf(lowestAxis(piece.sizes));
  const first = firstWide(piece) ?? worseFace(piece, high, low);
  const fixed = backWhileAllAround(piece, first);
  const before = opposite(fixed);
  const make = (up: Face, face: Face, extent: NextCut["extent"], over: Face): NextCut => ({
    at: orientation(up, fixed)!,
    face,
    extent,
    hold: "table",
    over,
  });
  if (piece.faces[first].order === null) return make(first, first, "part", fixed);
  const free = around({ up: first, fixed }).filter((f) => f !== fixed);
  const open = free.find((f) => piece.faces[f].order === null);
  if (open) return make(first, open, "face", fixed);
  if (piece.faces[first].rest !== null) return make(first, first, "rest", before);
  if (piece.faces[fixed].order === null) return make(first, fixed, "face", before);
  const second = opposite(first);
  if (piece.faces[second].order === null) return make(second, second, "part", fixed);
  if (piece.faces[second].rest !== null) return make(second, second, "rest", before);
  return null;
}
