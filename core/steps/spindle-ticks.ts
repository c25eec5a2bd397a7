import { quantity } from "../quantity/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import type { Tick } from "./tick.ts";

/** Ticks for another speed of the tool that is in. */
export const speedTicks = (
  set: { rpm: number; setting: string },
  tick: (id: string, phrase: Phrase) => Tick,
): Tick[] => [
  tick("speed", say`Spindle set to ${quantity("spindleSpeed", set.rpm)}: ${set.setting}`),
  tick("rotation", words("Spindle started for a moment: it turns clockwise seen from above")),
];

/** Ticks before a spindle turns with a tool (M40): tool, speed, what else is to be set, then wrench, guard and rotation. */
export const spindleTicks = (
  tool: string,
  set: { rpm: number; setting: string } | null,
  tick: (id: string, phrase: Phrase) => Tick,
  more: readonly Tick[] = [],
): Tick[] => [
  tick("cutter", say`${tool} in the spindle, drawbar tight`),
  set
    ? tick("speed", say`Spindle set to ${quantity("spindleSpeed", set.rpm)}: ${set.setting}`)
    : tick("neutral", words("Spindle switched off and in neutral: it is turned by hand")),
  ...more,
  tick("wrench", words("Wrench off the drawbar, handle off the vise")),
  tick("guard", words("Guard in place, glasses on, nothing loose on the table")),
  ...(set
    ? [tick("rotation", words("Spindle started for a moment: it turns clockwise seen from above"))]
    : []),
];
