import { alongJaws, axisOf, type Face, type Orientation } from "../frame/index.ts";
import { strapHold } from "../handbook/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Aid, AidKind } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import {
  done,
  type Outcome,
  type Refusal,
  refused,
  rule,
  say,
  warn,
  type Warning,
} from "../working/index.ts";
import { boltForce } from "./clamp-force.ts";
import type { Seat } from "./seat.ts";
import { studLength, studWarnings } from "./strap.ts";
import { openSeat } from "./open-seat.ts";

export interface TableRequest {
  piece: Piece;
  at: Orientation;
  /** Edge that the straps reach over. */
  over: Face;
  aids: readonly Aid[];
  /** What comes off the top, mm. */
  removal: Mm;
  paper: boolean;
  stop: boolean;
  points: boolean;
}

/** Straps on one edge: no more than this many. */
const mostStraps = 3;
/** Left free between the straps of both sides at least, mm. */
const leastFree = 10;
/** How far a holder of 44 reaches in beside the wall a cutter of 10 makes, and what is left between them, mm (guess). */
const holderReach = 17;
const strapClear = 2;
/** From the end of an edge to the middle of its first strap, and from there to the next. */
const besideStrap = strapHold.wide / 2 + holderReach + strapClear;
/** Between the tip of a strap and the lane beside it, mm: lanes are laid by eye, and a raw part bulges. */
const clearOfTip = 1;

/** How far in from its edge straps keep a cutter off the top, mm; 0 in the vise. */
export const coveredByStraps = ({ table }: Pick<Seat, "table">): Mm =>
  table && table.straps > 0 ? table.reach + clearOfTip : 0;

/** Nut and T-nut on a stud, mm. */
const nutHeight = 10;
const tNutHeight = 12;

/** How far a stud stands out beyond the edge its strap goes over, and over its nut, mm (guess). */
const studOut = 12;
const studEnd = 5;

/** The stud nearest to a side that is cut on the table: how far its near side is from that side, how high it stands over the part; mm. */
export interface StudBeside {
  away: Mm;
  rise: Mm;
}

/** The stud that a spindle nose comes nearest to along a side of a strapped part; null in a vise. */
export function studBeside(seat: Seat, face: Face): StudBeside | null {
  const { table } = seat;
  if (!table || table.straps === 0) return null;
  const half = strapHold.stud / 2;
  const rise = strapHold.thick + nutHeight + studEnd;
  const overBack = axisOf(table.over) === axisOf(seat.fixed);
  const [edge, across] = overBack ? [seat.along, seat.between] : [seat.between, seat.along];
  // Opposite the straps the whole part lies between; at an end the first of them stands a share of the edge away.
  const away = axisOf(face) === axisOf(table.over) ? across + studOut : edge / (table.straps + 1);
  return { away: tidy(away - half), rise };
}

/** What a stud passes over a part on what lies under it, with nut and T-nut. */
const stackOver = (standing: Mm, packing: Mm = strapHold.packing) => ({
  passes: [strapHold.lips, packing, standing, strapHold.thick],
  nut: nutHeight,
  tNut: tNutHeight,
  diameter: strapHold.stud,
});

/**
 * What studs and T-nuts of the shop say against strapping a part (M47): the shortest stud that does, a T-nut of its thread, the
 * pull against what the slot bears. Empty for a seat in a vise.
 */
export function strapWarnings(
  { table, standing }: Pick<Seat, "table" | "standing">,
  aids: readonly Aid[],
  /** Width of the table's slots, mm; null while nobody measured them. */
  tSlot: Mm | null,
): Warning[] {
  if (!table || table.straps === 0) return [];
  const stack = stackOver(standing, table.packing);
  const { owned: stud } = studsFor({ table, standing }, aids) ?? { owned: null };
  const tNuts = aids.filter((a) => a.kind === "tNut");
  if (!stud || tNuts.length === 0) return [];
  const ofThread = tNuts.filter((a) => a.thread === stud.thread);
  if (ofThread.length === 0)
    return [
      warn(
        rule(
          "M47.thread",
        )`The studs are ${stud.thread || "of no thread that is entered"}, the T-nuts ${tNuts[0]!.thread || "of none"}: they do not go together. Correct it in the shop (S), or get T-nuts of that thread.`,
      ),
    ];
  const fitting = tSlot === null ? ofThread : ofThread.filter((a) => fitsSlot(a.to, tSlot));
  if (tSlot !== null && fitting.length === 0)
    return [
      warn(
        rule(
          "M47.table",
        )`The T-nuts of that thread are for a slot of ${mm(ofThread[0]!.to)}; the slots of this table are ${mm(tSlot)} wide: too wide they do not go in, too narrow they turn and break the lips. Get T-nuts for ${mm(tSlot)}.`,
      ),
    ];
  const slot = Math.max(...fitting.map((a) => a.to));
  return studWarnings(
    { ...stack, length: stud.length, slot, tNutWidth: slot, underTNut: 0.3 * stack.diameter },
    boltForce(strapHold.pull, strapHold.stud) ?? 0,
  );
}

/** A T-nut this much narrower than its slot still does not turn in it, mm. */
const slotPlay = 1;
const fitsSlot = (tNut: Mm, slot: Mm): boolean => tNut <= slot + 1e-6 && tNut >= slot - slotPlay;

/** The shortest stud that straps need, and the one of the shop that is nearest to it; null for a seat without straps. */
export function studsFor(
  { table, standing }: Pick<Seat, "table" | "standing">,
  aids: readonly Aid[],
): { needed: Mm; owned: { length: Mm; thread: string; name: string } | null } | null {
  if (!table || table.straps === 0) return null;
  const needed = studLength(stackOver(standing, table.packing));
  const [owned] = aids
    .filter((a) => a.kind === "stud" && a.to >= needed)
    .map((a) => ({ length: Math.max(a.from, needed), thread: a.thread, name: a.name }))
    .sort((a, b) => a.length - b.length);
  return { needed, owned: owned ?? null };
}

/** How many things of a kind there are. */
const countOf = (aids: readonly Aid[], kind: AidKind) =>
  aids.filter((a) => a.kind === kind).reduce((sum, a) => sum + a.count, 0);

/** Straps that can be set at once: each takes a stud and a T-nut. */
export const strapsOwned = (aids: readonly Aid[]): number =>
  Math.min(countOf(aids, "strap"), countOf(aids, "stud"), countOf(aids, "tNut"));

/** M15: fewer than two straps let a part turn. @param orStop a stop would do instead of the second */
export const fewStraps = (owned: number, orStop = false): Refusal =>
  refused(
    rule(
      "M15.none",
    )`Strapping it to the table takes two straps with studs and T-nuts; the shop has ${owned}. One alone lets the part turn.`,
    say`Enter straps, studs and T-nuts in the shop${orStop ? ", or set a stop" : ""}.`,
  );

/** M47: studs that are too short for a part so high on what lies under it; null when some do. */
export function noStudFor(standing: Mm, packing: Mm, aids: readonly Aid[]): Refusal | null {
  const needed = studLength(stackOver(standing, packing));
  const longest = Math.max(0, ...aids.filter((a) => a.kind === "stud").map((a) => a.to));
  return needed > longest
    ? refused(
        rule(
          "M47.noStud",
        )`A part ${mm(standing)} high on ${mm(packing)} of packing needs studs of ${mm(needed)}; the longest are ${mm(longest)}.`,
        say`Lay the part down, or get longer studs.`,
      )
    : null;
}

/**
 * A part strapped to the table on packing, its straps over one edge (domain.md 4 and 5). Refuses one strap alone without a
 * stop (M15), and studs that are too short for the height (M47).
 */
export function seatOnTable(request: TableRequest): Outcome<Seat> {
  const { piece, at, aids } = request;
  const along = piece.sizes[alongJaws(at)];
  const room = Math.floor(along / besideStrap) - 1;
  const owned = Math.min(mostStraps, strapsOwned(aids));
  const straps = Math.min(owned, room);
  if (owned > 0 && (straps < 1 || (straps === 1 && owned > 1 && !request.stop)))
    return refused(
      rule(
        "M15.room",
      )`An edge of ${mm(along)} is too short for two straps with the cutter holder passing its ends; allow ${mm(3 * besideStrap)}.`,
      say`Hold it in the vise.`,
    );
  if (straps === 0 || (straps === 1 && !request.stop)) return fewStraps(straps, straps === 1);
  const standing = piece.sizes[axisOf(at.up)];
  const between = piece.sizes[axisOf(at.fixed)];
  if (between < 2 * strapHold.reach + leastFree)
    return refused(
      rule(
        "M11.narrow",
      )`The straps cover ${mm(strapHold.reach)} on each side; too little of the ${mm(between)} between is left to cut.`,
      say`Hold it in the vise.`,
    );
  const short = noStudFor(standing, strapHold.packing, aids);
  if (short) return short;
  const { paper, stop, points, removal } = request;
  const { packing, reach } = strapHold;
  return done(
    openSeat(
      piece,
      at,
      { packing, straps, over: request.over, reach, plate: null, at: [] },
      { paper, stop, points, removal },
    ),
  );
}
