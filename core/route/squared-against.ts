import { alongJaws, type Face, facesOf } from "../frame/index.ts";
import { isReference } from "../stock/index.ts";
import { isFaceSetup, type Setup } from "./setup.ts";

/**
 * The face a square on the bed is put against, where a part that stands upright has nothing below that was cut square: of the two
 * faces across the jaws the one that was cut first, else any machined one. Null where it sits by what is below it.
 */
export function squaredAgainst(setup: Setup): Face | null {
  if (!setup.seat.square || setup.device !== "vise") return null;
  const sides = facesOf(alongJaws(setup.at));
  if (!isFaceSetup(setup)) return sides[0];
  if (setup.seat.tap) return null;
  const { before } = setup;
  const order = (face: Face) =>
    isReference(before, face) ? (before.faces[face].order ?? Number.MAX_SAFE_INTEGER) : Infinity;
  return [...sides].sort((a, b) => order(a) - order(b))[0]!;
}
