import type { Face } from "../frame/index.ts";
import type { Seat } from "../holding/index.ts";
import { mm } from "../quantity/index.ts";
import type { Setup } from "../route/index.ts";
import { type Phrase, rule, say, words } from "../working/index.ts";
import type { MakeTick, Tick } from "./tick.ts";

/** Where V-blocks stand, when what is drilled through must come out beside them. */
function standing([first, second]: readonly number[]): Phrase {
  const from = say`from the part's left end`;
  return second === undefined
    ? say`: one, its center ${mm(first!)} ${from}. What you drill through comes out beside it`
    : say`: their centers ${mm(first!)} and ${mm(second)} ${from}. What you drill through comes out beside them`;
}

/** A shaft in V-blocks: along X, or upright. */
export const blockTicks = (setup: Setup, tick: MakeTick): Tick[] =>
  setup.seat.table ? blocksOnTableTicks(setup.seat, setup.at.up, tick) : blocksInViseTicks(setup, tick);

/** A shaft in V-blocks on the table, a strap across it over each. */
const blocksOnTableTicks = (seat: Seat, up: Face, tick: MakeTick): Tick[] => [
  tick("wiped", words("V-blocks, table and shaft wiped clean")),
  tick(
    "blocks",
    say`A matched pair of V-blocks on the table, bottoms keyed or set along X${standing(seat.blocks ?? [])}`,
  ),
  tick(
    "packing",
    say`Lowest line of the shaft ${mm(seat.table?.packing ?? 0)} or more above the table: pack both blocks alike if not`,
  ),
  ...(seat.paper ? [tick("paper", words("A strip of paper between the shaft and each block"))] : []),
  tick("seated", say`Shaft in the blocks along X, its ${up} side up`),
  tick(
    "straps",
    rule(
      "M41.blocks",
    )`A strap across the shaft over each V-block, soft packing under its tip, stud at the back, its heel level or a little high`,
  ),
];

const blocksInViseTicks = ({ seat, at }: Setup, tick: MakeTick): Tick[] => [
  tick("wiped", words("V-blocks, jaws and shaft wiped clean")),
  tick(
    "blocks",
    seat.square
      ? words("V-block upright against the fixed jaw")
      : say`V-blocks on parallels against the fixed jaw, the same height${seat.blocks ? standing(seat.blocks) : say``}`,
  ),
  ...(seat.stop ? [tick("stop", words("Stop set at the end of the shaft"))] : []),
  ...(seat.paper ? [tick("paper", words("A strip of paper between the shaft and each jaw"))] : []),
  tick(
    "seated",
    seat.square ? say`The ${at.up} end up, squared` : say`Shaft in the blocks along X, its ${at.up} side up`,
  ),
];
