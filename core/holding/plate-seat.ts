import { alongJaws, axisOf, type Orientation } from "../frame/index.ts";
import { glueHold, holdingSafety } from "../handbook/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import type { Aid } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { done, type Outcome, refused, rule, say, words } from "../working/index.ts";
import { type GripCapacity, strapCapacity } from "./grip-capacity.ts";
import { openSeat } from "./open-seat.ts";
import { isGlued, type Seat } from "./seat.ts";

/** The side of a cutter goes so far into the plate below, to leave no burr, mm. */
export const intoPlate = 0.3;

/** The smallest plate of the shop that a part so large lies on whole, thick enough; undefined when there is none. */
export const plateFor = (aids: readonly Aid[], across: Mm, thick: Mm = 1): Aid | undefined =>
  aids
    .filter((a) => a.kind === "plate" && a.from >= thick && a.to >= across - 1e-6)
    .sort((a, b) => a.to - b.to)[0];

/** So much of a plate below stays whole under a tool, mm; and glue holds on so much of a face below at least (guess). */
export const leftOfPlate = 4;
const leastRests = 0.5;

/** How large a plate at least is, for both sizes of a part on it, mm. */
const plateNeeded = (piece: Piece, at: Orientation): Mm =>
  Math.max(piece.sizes[axisOf(at.fixed)], piece.sizes[alongJaws(at)]);

/**
 * A thin part glued to a plate that is bolted to the table: nothing stands over it or beside it (domain.md 5, thin parts).
 * @param removal what comes off the top, mm
 * @param comesOut how far tools come out below, mm: so much of the plate they go into
 * @param rests how much of the face below still stands, as a share
 */
export function seatOnPlate({
  piece,
  at,
  aids,
  removal = 0,
  comesOut = 0,
  rests = 1,
}: {
  piece: Piece;
  at: Orientation;
  aids: readonly Aid[];
  removal?: Mm;
  comesOut?: Mm;
  rests?: number;
}): Outcome<Seat> {
  const needed = plateNeeded(piece, at);
  const plate = plateFor(aids, needed, comesOut > 0 ? comesOut + leftOfPlate : 1);
  if (rests < leastRests)
    return refused(
      rule("holding.littleGlued")`Earlier cuts leave too little of the face below to hold by glue.`,
      words("Glue it before that face is cut away, or strap it."),
    );
  if (!plate) {
    const owned = aids.filter((a) => a.kind === "plate");
    return refused(
      owned.length === 0
        ? rule(
            "holding.noPlate",
          )`It takes a flat plate to glue the part to, ${mm(needed)} or more across; the shop has none.`
        : rule(
            "holding.smallPlate",
          )`The part is ${mm(needed)} long${comesOut > 0 ? say`, and tools come ${mm(comesOut)} out of it below` : say``}; the largest backing plate is ${mm(Math.max(...owned.map((a) => a.to)))} across and ${mm(Math.max(...owned.map((a) => a.from)))} thick.`,
      words("Enter a flat plate of aluminum or steel in the shop (S), as a backing plate."),
    );
  }
  return done(
    openSeat(
      piece,
      at,
      {
        packing: plate.from,
        straps: 0,
        over: at.fixed,
        reach: 0,
        plate: { id: plate.id, glued: true, rests },
        at: [],
      },
      { removal },
    ),
  );
}

/** What glue holds under a part: the whole of a machined face, and a share of a raw one. */
export function glueCapacity(seat: Seat): GripCapacity {
  const share = (seat.tap ? 1 : glueHold.rawShare) * (seat.table?.plate?.rests ?? 1);
  const area = seat.between * seat.along * share;
  const along = area * glueHold.shear;
  return {
    clamp: along,
    along,
    lift: area * glueHold.pull,
    tipping: (area * glueHold.pull * Math.min(seat.between, seat.along)) / 4,
    arm: seat.standing,
    rest: Infinity,
    safety: holdingSafety,
    name: say`glue under the part, ${quantity("force", along)}`,
    lifts: seat.tap
      ? words("straps, where there is room for them")
      : words("a machined face below, or straps"),
    source: `${glueHold.shear} N/mm² along, ${glueHold.pull} N/mm² against lift (guess: instant glue on clean metal)${
      seat.tap ? "" : ", on a third of a raw face"
    }; safety ${holdingSafety} (guess)`,
  };
}

/** What straps or glue hold of a part on the table. */
export const tableGrip = (seat: Seat): GripCapacity =>
  isGlued(seat) ? glueCapacity(seat) : strapCapacity(seat);
