import type { FeatureSetup } from "../route/index.ts";
import { say, words } from "../working/index.ts";
import { takeOutTicks, viseClampTicks, viseTicks } from "./holding-ticks.ts";
import type { MakeTick, Tick } from "./tick.ts";

/** Ticks of placing the part: a block as for its faces, a shaft in V-blocks. */
export function placing({ seat, device, entry, at }: FeatureSetup, tick: MakeTick): Tick[] {
  if (entry === "stays") return [tick("still", words("Vise as it was, not loosened"))];
  if (device === "vise") return viseTicks(seat, `the ${at.fixed} face`, at.up, tick);
  return [
    tick("wiped", words("V-blocks, jaws and shaft wiped clean")),
    tick(
      "blocks",
      seat.square
        ? words("V-block upright against the fixed jaw")
        : words("V-blocks on parallels against the fixed jaw, the same height"),
    ),
    ...(seat.stop ? [tick("stop", words("Stop set at the end of the shaft"))] : []),
    ...(seat.paper ? [tick("paper", words("A strip of paper between the shaft and each jaw"))] : []),
    tick(
      "seated",
      seat.square
        ? say`The ${at.up} end up, squared`
        : say`Shaft in the blocks along X, its ${at.up} side up`,
    ),
  ];
}

/** Ticks of tightening, in the order that must be kept. */
export const clamping = ({ seat, device }: FeatureSetup, tick: MakeTick): Tick[] =>
  device === "vise"
    ? viseClampTicks(seat, tick)
    : [
        tick("tight", words("Vise tight")),
        tick(
          "indicated",
          seat.square
            ? words("Side of the shaft indicated upright, both ways")
            : words("Side of the shaft indicated along X, its crown level"),
        ),
      ];

/** What was put in is taken out (M08), and a head that was tilted last is set upright. */
export const takeOut = ({ seat, device, operations }: FeatureSetup, tick: MakeTick): Tick[] => [
  ...((operations.findLast((o) => o.by !== "hand")?.tilt ?? null) === null
    ? []
    : [tick("upright", words("Head upright again, trammed and locked"))]),
  ...takeOutTicks({ seat }, tick),
  ...(device === "vBlocks" ? [tick("out-blocks", words("V-blocks out"))] : []),
];
