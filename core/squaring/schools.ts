import { type Axis, faceNames, type Orientation } from "../frame/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import { faceUp, type NextCut } from "./next-cut.ts";
import { nextOnTable } from "./on-the-table.ts";
import { isThin, nextOnPlate } from "./on-a-plate.ts";
import { nextAround } from "./round-the-block.ts";
import { nextInTwoSetups } from "./two-setups.ts";
import { nextInOrder, nextWidest } from "./widest-first.ts";

/** The schools of squaring (domain.md 4); an order of one's own stands beside them. */
export const schoolNames = [
  "round",
  "widest",
  "twoSetups",
  "table",
  "plate",
  "casting",
  "castingOnTable",
] as const;
export type SchoolName = (typeof schoolNames)[number];
export type School = SchoolName | Orientation[];

/** What each school is called and what it is good for, in a line. */
export const schoolWords: Record<SchoolName, { name: string; what: string }> = {
  round: { name: "Round the block", what: "six setups, the ordinary way for rough stock" },
  widest: { name: "Widest first", what: "two parallel faces first, for squareness" },
  twoSetups: {
    name: "Two setups",
    what: "sides run round with the side of the cutter; a witness line stays",
  },
  table: { name: "On the table", what: "strapped on packing, straps moved once a side" },
  plate: { name: "On a plate", what: "a thin part glued down, top and edges in one clamping" },
  casting: { name: "Casting", what: "set on three points, then two parallel faces first" },
  castingOnTable: {
    name: "Casting on the table",
    what: "strapped on three points, straps moved once a side",
  },
};

/** What a school is called. */
export const schoolName = (school: School): string =>
  typeof school === "string" ? schoolWords[school].name : "An order of its own";

/** Whether a school sets uneven castings on three points. */
export const onPoints = (school: School): boolean => school === "casting" || school === "castingOnTable";

/** The rule of a school: what is cut next, and how it is held; null when all is cut. */
export function schoolRule(school: School, ends: Axis): (piece: Piece) => NextCut | null {
  if (typeof school !== "string") return (piece) => faceUp(nextInOrder(piece, school));
  switch (school) {
    case "round":
      return (piece) => faceUp(nextAround(piece, ends));
    case "widest":
    case "casting":
      return (piece) => faceUp(nextWidest(piece, ends));
    case "twoSetups":
      return nextInTwoSetups;
    case "table":
    case "castingOnTable":
      return nextOnTable;
    case "plate":
      return nextOnPlate;
  }
}

/** Whether a school is for a block at all: a casting's for cast faces, the table's own for what has none, a plate for what is thin. */
export function schoolApplies(school: SchoolName, piece: Piece): boolean {
  const cast = faceNames.some((f) => piece.faces[f].condition === "cast" && !isReference(piece, f));
  if (school === "casting" || school === "castingOnTable") return cast;
  if (school === "plate") return isThin(piece);
  return school !== "table" || !cast;
}
