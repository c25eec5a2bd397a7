import { axisOf, downOf, type Face, faceNames } from "../frame/index.ts";
import {
  faceCalled,
  type Together,
  heightsUnder,
  isGlued,
  type Lies,
  type ParallelsUnder,
  type Seat,
} from "../holding/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { cutterOf, faceOf, isFaceSetup, type Setup, squaredAgainst } from "../route/index.ts";
import {
  capital,
  note,
  type Phrase,
  precise,
  rule,
  say,
  stop,
  warn,
  type Warning,
  words,
} from "../working/index.ts";
import { partOut } from "./record.ts";
import { answered, byIndicator, type MakeTick, type Tick } from "./tick.ts";
import { heldWithin } from "./held-within.ts";
import { blockTicks } from "./block-ticks.ts";
import { calledIn, passesTick, swapTicks, tableClampTicks, tableTicks } from "./table-ticks.ts";

/**
 * Ticks of placing the part: what goes in, in order; before that, what is carried to another machine and set up there.
 * @param machine what the machine is called
 */
export const placeTicks = (setup: Setup, machine: string, tick: MakeTick): Tick[] => [
  ...(setup.carried ? carriedTicks(setup, machine, tick) : []),
  ...seatTicks(setup, tick),
];

function carriedTicks({ seat, operations }: Setup, machine: string, tick: MakeTick): Tick[] {
  const tools = operations.some((o) => cutterOf(o) !== null) ? ", cutters with their holders" : "";
  return [
    tick(
      "carried",
      say`Carried to the ${machine}: part, ${seat.table ? "straps and packing" : "vise with its parallels"}${tools}, instruments, drawing`,
    ),
    ...(seat.table
      ? [tick("table-bare", words("Its table wiped, nothing left on it"))]
      : [
          byIndicator(
            tick("vise-along", words("Vise bolted down there, its fixed jaw indicated in line with X")),
            viseInLine,
          ),
        ]),
    tick("read-before", words("What is cut so far measured and as it was: nothing was knocked on the way")),
  ];
}

/** From end to end of the fixed jaw, mm (guess). */
const viseInLine: Mm = 0.02;

/** What stays clamped is only looked at. */
function seatTicks(setup: Setup, tick: MakeTick): Tick[] {
  const { entry, device, seat, at } = setup;
  if (entry === "stays")
    return [
      tick(
        "still",
        words(
          isGlued(seat)
            ? "Glue still holds: pushed hard by hand, the part does not move"
            : device === "table"
              ? "Straps as they were, none loosened"
              : "Vise as it was, not loosened",
        ),
      ),
    ];
  if (entry === "swapped") return swapTicks(setup, tick);
  if (device === "vBlocks") return blockTicks(setup, tick);
  if (device === "table") return tableTicks(seat, calledIn(setup), tick);
  return !isFaceSetup(setup)
    ? viseTicks(seat, `the ${at.fixed} face`, at.up, tick)
    : [
        ...viseTicks(seat, faceCalled(setup.before, seat.fixed), faceOf(setup).face, tick),
        ...(seat.soft
          ? [
              tick(
                "soft",
                rule(
                  "M50.soft",
                )`Soft packing, card or a strip of aluminum, between ${faceCalled(setup.before, seat.fixed)} and the fixed jaw: raw it would hold the part off ${faceCalled(setup.before, downOf(setup.at))}`,
              ),
            ]
          : []),
      ];
}

/**
 * Ticks of placing a part in the vise.
 * @param fixed what the face at the fixed jaw is called
 * @param end the end that hangs out past the jaws, where one does
 */
function viseTicks(seat: Seat, fixed: string, end: Face, tick: MakeTick): Tick[] {
  return [
    tick("wiped", words("Jaws, bed and part wiped clean")),
    ...(seat.parallels ? [tick("parallels", parallelsIn(seat.parallels, seat.together))] : []),
    ...(seat.points ? [tick("points", pointsIn)] : []),
    ...(seat.stop ? [tick("stop", words("Stop set at the end of the part that the cut pushes it to"))] : []),
    ...(seat.paper ? [tick("paper", words("A strip of paper between the part and each jaw"))] : []),
    tick(
      "seated",
      say`${capital(fixed)} to the fixed jaw, the ${seat.up} face up${seat.overhang !== null ? say`, the ${end} end ${mm(seat.overhang)} out past the jaws` : say``}`,
    ),
    ...(seat.together ? [tick("beside", besideWords[seat.together])] : []),
    ...(seat.jack ? [tick("jack", words("Jack under the end that hangs out most, just touching"))] : []),
    ...(seat.rod
      ? [
          tick(
            "rod",
            rule(
              "M06.rod",
            )`${seat.together === "end to end" ? "A short round rod" : "Round rod"} ${mm(seat.rod.diameter)} between moving jaw and ${seat.together === "end to end" ? "each piece" : "part"}, ${mm(seat.rod.height)} above the bed`,
          ),
        ]
      : []),
  ];
}

/** Where a second piece goes. */
const besideWords: Record<Together, Phrase> = {
  "end to end": words(
    "A second piece at its right, 2 mm apart, seated the same way on the same parallels. Without one, this piece alone in the middle of the jaws",
  ),
  "between the jaws": words(
    "A second piece between it and the moving jaw, seated the same way, the faces that meet wiped clean",
  ),
  stacked: words(
    "A second piece below it, the same face up, edges flush against fixed jaw and stop, nothing between the two",
  ),
};

const pointsIn = words("Three pieces of packing below, one of them a wedge or jack that can be set");

/** How parallels go in: one pair, one pair on another, one alone, or a pair for each of two pieces. */
function parallelsIn(under: ParallelsUnder, together: Seat["together"]): Phrase {
  const { height, inset, single } = under;
  const [lower, upper] = heightsUnder(under);
  const rubbed = words(", rubbed with the hand and nothing felt");
  if (together === "between the jaws")
    return say`Two pairs of parallels ${mm(height)} high${rubbed}, on the bed, a pair under each piece`;
  if (single)
    return upper === undefined
      ? say`One parallel ${mm(height)} high${rubbed}, on the bed, at the center, ${mm(inset)} from the fixed jaw`
      : say`One parallel ${mm(lower!)} high and one of ${mm(upper)} on it, ${mm(height)} together${rubbed} between them, on the bed, at the center, ${mm(inset)} from the fixed jaw`;
  const which =
    upper === undefined
      ? say`Parallels ${mm(height)} high${rubbed}`
      : say`Parallels ${mm(lower!)} high and the ${mm(upper)} ones on them, ${mm(height)} together${rubbed} between them either`;
  return inset > 0
    ? say`${which}, on the bed, each ${mm(inset)} in from its jaw, clear of what is cut through`
    : say`${which}, on the bed, one at each jaw`;
}

/**
 * Ticks of tightening, in the order that must be kept.
 * @param since what was done before the part or a clamp moved; null where it never did
 */
export function clampTicks(setup: Setup, since: Moved | null, tick: MakeTick): Tick[] {
  const { entry, device, seat } = setup;
  const again = since?.cut ? [recheckedTick(heldWithin(setup), tick)] : [];
  if (entry === "swapped" && !since) return [heldTick(heldWithin(setup), tick)];
  switch (device) {
    case "table":
      return [...tableClampTicks(setup, tick), ...again];
    case "vBlocks":
      return [
        tick("tight", words(seat.table ? "Nuts tightened in turn, a little each" : "Vise tight")),
        ...(seat.table ? [passesTick(tick)] : []),
        byIndicator(
          tick(
            "indicated",
            seat.square
              ? words("Side of the shaft indicated upright, both ways")
              : words("Side of the shaft indicated along X, its crown level"),
          ),
          heldWithin(setup),
        ),
        ...again,
      ];
    case "vise":
      return [...viseClampTicks(setup, tick), ...again];
  }
}

/** What a move of the part or a clamp came after. */
export interface Moved {
  /** Metal was cut already. */
  cut: boolean;
}

const recheckedTick = (within: Mm, tick: MakeTick): Tick =>
  byIndicator(
    tick(
      "rechecked",
      rule(
        "M14.moved",
      )`Indicator over what is cut already: within ${precise(mm(within), 3)} from end to end. If it reads more, the part has shifted: measure before the next cut`,
    ),
    within,
  );

const heldTick = (within: Mm, tick: MakeTick): Tick =>
  byIndicator(
    tick(
      "held",
      rule(
        "M14.swapped",
      )`Indicator reads as before, within ${precise(mm(within), 3)}. More: the part moved; set it anew, and check what was cut`,
    ),
    within,
  );

/** Ticks of tightening a vise: no pull after the tapping (M50). */
function viseClampTicks(setup: Setup, tick: MakeTick): Tick[] {
  const { seat } = setup;
  const against = squaredAgainst(setup);
  return [
    ...(against !== null
      ? [
          tick(
            "squared",
            say`Set upright with a square on the bed, its blade to ${isFaceSetup(setup) ? faceCalled(setup.before, against) : `the ${against} face`}, held lightly by the jaws`,
          ),
        ]
      : []),
    ...(seat.points
      ? [tick("aligned", words("Third point set until an indicator over the top reads level on average"))]
      : []),
    tick(
      "tight",
      seat.tap
        ? words("Vise tightened hard")
        : words("Vise tightened, part pressed down by hand, not tapped"),
    ),
    ...(seat.tap
      ? [
          tick(
            "tapped",
            rule("M50.tap")`Tapped down with a soft hammer. Do not tighten again: it would lift the part`,
          ),
        ]
      : []),
    ...(seat.together ? [bothTick(seat.together, tick)] : []),
    ...(seat.parallels && !seat.points ? [triedTick(seat.parallels, setup.lies, tick)] : []),
    ...(seat.parallels || seat.points || setup.lies === "raw" ? [] : [beddedTick(setup.lies, tick)]),
  ];
}

/** Of two pieces a jaw holds the wider one: the other is tried. */
const bothTick = (how: Together, tick: MakeTick): Tick =>
  answered(
    tick("both", rule("M46.both")`Both pieces pushed and pulled by hand: neither moves`),
    {
      id: "both-loose",
      says: words("One moves"),
      then: stop(
        rule("M46.loose")`${
          how === "end to end"
            ? "The narrower one is loose: loosen, measure both widths, pack the narrower with paper or shim of the difference, and tighten again. Or take them one by one."
            : "Loosen, wipe the faces that meet, look for a burr or a chip between the two, and tighten again. Or take them one by one."
        }`,
      ),
      serves: false,
    },
    tick,
  );

/** Under more than this a part on the bare bed is not down, mm: a feeler or a strip of paper. */
const underBed = 0.05;

/** Whether a part that lies on the bare bed is down at all corners: there is no parallel to try by hand. */
const beddedTick = (lies: Lies, tick: MakeTick): Tick =>
  answered(
    tick(
      "bedded",
      say`A feeler of ${precise(mm(underBed), 2)}, or a strip of paper, goes under no corner of the part`,
    ),
    {
      id: "bedded-under",
      says: words("It goes under a corner"),
      then:
        lies === "on both"
          ? warn(
              rule(
                "M50.bed",
              )`Tap once more over that corner. If it still goes: loosen, take the part out, look for a chip or a burr there, wipe, and clamp again.`,
            )
          : eitherMayBeLoose[lies],
      serves: lies !== "on both",
    },
    tick,
  );

const eitherMayBeLoose: Record<Exclude<Lies, "on both">, Warning> = {
  raw: note(
    rule(
      "M50.raw",
    )`A raw face never sits everywhere. See that the part does not rock under your hand; if it does, put paper or a soft shim under the loose corner, and tighten again. That is good enough: only the next face, cut from this seat, has to be true.`,
  ),
  bought: note(
    rule(
      "M50.bought",
    )`Two faces that came finished need not be square to each other, so the part may sit on one side only. That is good enough if it does not rock: the face cut now is square to the one at the fixed jaw.`,
  ),
  "jaw not clean": note(
    rule(
      "M50.notClean",
    )`The face at the fixed jaw is not clean, so the part may sit on one side only. This cut comes out of square by as much as the part leans: measure it before you work from it.`,
  ),
};

/** M50: parallels tried by hand. Under a raw face one may well be loose: that is an answer too, and needs no tapping. */
function triedTick({ single }: ParallelsUnder, lies: Lies, tick: MakeTick): Tick {
  const tried = tick(
    "tried",
    words(
      single ? "The parallel tried by hand: it does not move" : "Both parallels tried by hand: neither moves",
    ),
  );
  return answered(
    tried,
    lies === "on both"
      ? {
          id: "tried-loose",
          says: words("One is loose"),
          then: warn(
            rule(
              "M50.loose",
            )`Tap once more over the loose one. Still loose: loosen, take the part out, look for a chip or a burr under it, wipe, and clamp again.`,
          ),
          serves: false,
        }
      : {
          id: "tried-loose",
          says: words("One is loose"),
          then: eitherMayBeLoose[lies],
          serves: true,
        },
    tick,
  );
}

/** Each one that went in comes out. */
const parallelsOut = (under: ParallelsUnder): Phrase => {
  const layers = heightsUnder(under).length;
  if (under.single) return words(layers === 1 ? "The parallel out" : "The parallel and the one on it out");
  return words(layers === 1 ? "Both parallels out" : "All four parallels out");
};

/** What was put in is taken out (M08), and a head that was tilted last is set upright. */
export function takeOutTicks(setup: Setup, tilted: boolean, squareness: Mm | null, tick: MakeTick): Tick[] {
  const { seat, device } = setup;
  return [
    ...(tilted ? [tick("upright", words("Head upright again, trammed and locked"))] : []),
    isGlued(seat)
      ? tick(
          partOut,
          words(
            "Spindle stopped, part warmed until the glue lets go and slid off: gloves on, window open. Glue wiped off with solvent",
          ),
        )
      : tick(partOut, words(`Spindle stopped, part ${seat.table ? "off the table" : "out of the vise"}`)),
    ...(seat.rod ? [tick("out-rod", words("Round rod out"))] : []),
    ...(seat.jack ? [tick("out-jack", words("Jack out"))] : []),
    ...(seat.paper ? [tick("out-paper", words("Paper out"))] : []),
    ...(seat.soft ? [tick("out-soft", words("Soft packing out"))] : []),
    ...(seat.stop ? [tick("out-stop", words("Stop off"))] : []),
    ...(seat.parallels ? [tick("out-parallels", parallelsOut(seat.parallels))] : []),
    ...(seat.points ? [tick("out-points", words("All three points out"))] : []),
    ...(seat.table
      ? [
          ...(seat.table.straps > 0
            ? [tick("out-straps", words("Straps, studs and T-nuts off the table"))]
            : []),
          ...(device === "vBlocks"
            ? []
            : seat.table.plate
              ? [tick("out-plate", words("Plate off the table"))]
              : seat.points
                ? []
                : [tick("out-packing", words("Packing off the table"))]),
        ]
      : []),
    ...(device === "vBlocks" ? [tick("out-blocks", words("V-blocks out"))] : []),
    ...(squareness === null ? [] : squareTick(setup, squareness, tick)),
  ];
}

/** Before anything hangs on the second face it is tried against the first: from there an error goes into every other. */
function squareTick(setup: Setup, squareness: Mm, tick: MakeTick): Tick[] {
  if (!isFaceSetup(setup)) return [];
  const { face } = faceOf(setup);
  const first = faceNames.find((f) => setup.after.faces[f].order === 1);
  if (setup.after.faces[face].order !== 2 || !first || axisOf(first) === axisOf(face)) return [];
  return [
    answered(
      tick(
        "squared-2",
        say`Square in the corner of face 1 and face 2, against the light: no light, or no more than ${precise(mm(squareness), 3)} over 100 mm`,
      ),
      {
        id: "squared-2-light",
        says: words("Light shows"),
        then: warn(
          rule(
            "M39.second",
          )`Before anything is cut from it: deburr and wipe both faces and try again. If light stays, try a feeler of ${precise(mm(squareness), 3)}: where it goes, look for a chip at the fixed jaw or under the rod, and recut face 2. Turn the square round: light that changes sides is the square's.`,
        ),
        serves: false,
      },
      tick,
    ),
  ];
}
