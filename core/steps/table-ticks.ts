import { downOf, type Face } from "../frame/index.ts";
import { faceCalled, isGlued, type Seat } from "../holding/index.ts";
import { mm } from "../quantity/index.ts";
import { isFaceSetup, type Setup } from "../route/index.ts";
import { isReference } from "../stock/index.ts";
import { type Phrase, precise, rule, say, words } from "../working/index.ts";
import { heldWithin } from "./held-within.ts";
import { byIndicator, type MakeTick, type Tick } from "./tick.ts";

/** What a face is called in a setup: by its number where faces are cut, else by its place. */
export const calledIn =
  (setup: Setup) =>
  (face: Face): string =>
    isFaceSetup(setup) ? faceCalled(setup.before, face) : `the ${face} face`;

/** Straps that stand where nothing is cut, from the left along each edge. */
function strapTicks({ at, reach }: NonNullable<Seat["table"]>, tick: MakeTick): Tick[] {
  const edges = (["back", "front"] as const).flatMap((edge) => {
    const [first, ...others] = at.filter((s) => s.edge === edge).map(({ left }) => left);
    if (first === undefined) return [];
    const places = others.reduce<Phrase>((so, left) => say`${so} and ${mm(left)}`, say`${mm(first)}`);
    return [
      tick(
        `straps-${edge}`,
        say`Over the ${edge} edge: ${others.length === 0 ? "a strap" : "straps"} ${places} from the left end, ${mm(reach)} in`,
      ),
    ];
  });
  return [
    ...edges,
    tick(
      "straps",
      rule(
        "M41.clear",
      )`Each strap over what carries the part, its stud close to the part, its heel level or a little high`,
    ),
  ];
}

/** Ticks of placing a part on the table: strapped over one edge, clear of all cuts, or glued to a plate. */
export function tableTicks(seat: Seat, called: (face: Face) => string, tick: MakeTick): Tick[] {
  const { table } = seat;
  if (!table) return [];
  if (isGlued(seat)) return glueTicks(seat, called, tick);
  if (table.at.length > 0) return clearTicks(seat, tick);
  return [
    tick("wiped", words("Table, packing and part wiped clean")),
    seat.points
      ? tick(
          "points",
          say`Three pieces of packing ${mm(table.packing)} high below, clear of what is cut, one of them a wedge or jack that can be set`,
        )
      : tick("packing", say`Packing ${mm(table.packing)} high under the part, clear of what is cut`),
    ...(seat.paper ? [tick("paper", words("Paper between packing and part"))] : []),
    tick("seated", say`The ${seat.up} face up, the ${seat.fixed} edge to the back, along X`),
    ...(seat.stop ? [tick("stop", words("Stop against the side that the cut pushes it to"))] : []),
    tick(
      "straps",
      rule(
        "M41.support",
      )`${table.straps} straps over the ${table.over} edge of ${called(seat.up)}, each over packing, its heel level or a little high`,
    ),
  ];
}

/** A part under straps that stand clear of all that is cut. */
function clearTicks(seat: Seat, tick: MakeTick): Tick[] {
  const { table } = seat;
  if (!table) return [];
  return [
    tick("wiped", words("Table, packing and part wiped clean, no burr below")),
    table.plate
      ? tick("plate", say`Plate ${mm(table.packing)} thick under all of the part, flat on the table`)
      : tick(
          "packing",
          say`Packing ${mm(table.packing)} high under each place where a strap will press, all the same height`,
        ),
    ...(seat.paper ? [tick("paper", words("Paper under the part"))] : []),
    tick("seated", say`The ${seat.up} face up, the ${seat.fixed} edge to the back, along X`),
    ...(seat.stop ? [tick("stop", words("Stop against the side that the cut pushes it to"))] : []),
    ...strapTicks(table, tick),
  ];
}

/** A thin part onto its plate: the plate true first, then glue on what is bare and clean. */
const glueTicks = (seat: Seat, called: (face: Face) => string, tick: MakeTick): Tick[] => [
  tick(
    "plate",
    say`Plate ${mm(seat.table?.packing ?? 0)} thick bolted to the table, its bolts beside where the part goes`,
  ),
  byIndicator(
    tick("plate-flat", say`Indicator over the plate, where the part goes: within ${precise(mm(0.02), 2)}`),
    0.02,
  ),
  tick("wiped", words("Plate and part free of oil, with a clean rag and solvent, and dry")),
  tick(
    "glue",
    say`Instant glue thin all over ${called(downOf(seat))}. Window open; no glue on skin, none near a flame`,
  ),
  tick(
    "seated",
    say`The ${seat.up} face up, the ${seat.fixed} edge to the back, along X, pressed down hard by hand`,
  ),
];

/** M14: a strap is moved with another one holding, and the part is checked before the next cut. */
export const swapTicks = ({ seat }: Setup, tick: MakeTick): Tick[] => [
  tick("swap-watch", words("Indicator set against an edge that is cut, reading noted")),
  tick("swap-on", say`A strap over the ${seat.table?.over ?? ""} edge on and tight, over packing`),
  tick("swap-off", words("Then remove one old strap; swap the rest one at a time")),
];

/** Straps are set by eye: nothing is started before the spindle was moved past them. */
export const passesTick = (tick: MakeTick): Tick =>
  tick(
    "clear-of-cut",
    words("Spindle off, moved over all places of this setup: holder and cutter pass every strap and stud"),
  );

/** Ticks of tightening a part on the table. */
export const tableClampTicks = (setup: Setup, tick: MakeTick): Tick[] => [
  ...(setup.seat.table && setup.seat.table.at.length > 0 ? [passesTick(tick)] : []),
  isGlued(setup.seat)
    ? tick(
        "tight",
        words("Glue set as long as its label says, and the part does not move when you push it hard"),
      )
    : tick("tight", words("Nuts tightened in turn, a little each")),
  setup.seat.points
    ? tick("aligned", words("Third point set until an indicator over the top reads level on average"))
    : !isFaceSetup(setup) || isReference(setup.before, setup.seat.fixed)
      ? byIndicator(
          tick(
            "aligned",
            say`Indicator along the ${setup.seat.fixed} edge: within ${precise(mm(heldWithin(setup)), 3)}`,
          ),
          heldWithin(setup),
        )
      : tick("aligned", say`The ${setup.seat.fixed} edge along X by eye or rule: it is not machined yet`),
];
