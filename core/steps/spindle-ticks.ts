import { cautions, cutterKindFacts, type Material } from "../handbook/index.ts";
import { type CutForFluid, fluidWords } from "../cutting/index.ts";
import { type Mm, mm, quantity, type Rpm } from "../quantity/index.ts";
import { type Cutter, holderOf, type Machine, pickSetting, type Shop } from "../shop/index.ts";
import { note, type Phrase, rule, say, stop, warn, type Warning, words } from "../working/index.ts";
import { answered, type MakeTick, type Tick } from "./tick.ts";

/** Which way a cutter must turn, and where one stands to see it. */
export interface Turns {
  way: "clockwise" | "counterclockwise";
  seen: "from above" | "from the outer end of the arbor";
}

/** What a setup is walked on and with. */
export interface WalkPlace {
  machine: Machine;
  shop: Pick<Shop, "cutters" | "holders">;
  material: Pick<Material, "fluid" | "workHardens">;
  /** The paper that is touched through, mm. */
  paper: Mm;
  /** Squareness the drawing asks for, mm over 100 mm; null for none. */
  squareness: Mm | null;
}

/** What is said when a tool goes in: eyes, the manual, and the fluid of its cut. */
export const toolNotes = ({ material }: Pick<WalkPlace, "material">, cut: CutForFluid): Warning[] => [
  warn(words(cautions.eyes)),
  note(fluidWords(material, cut)),
  note(words(cautions.manual)),
];

/** What stands in the spindle: a cutter by its id, or what a zero is found with; and how fast it turns. */
export interface InSpindle {
  tool: string;
  rpm: Rpm;
}

/** What goes into the spindle, or turns otherwise. */
export interface SpindleAsked extends Pick<WalkPlace, "machine" | "shop"> {
  cutter: Cutter | undefined;
  set: { rpm: Rpm; setting: string } | null;
  /** What the spindle was set to before; null when that is not known. */
  before: Rpm | null;
}

/**
 * Which way a cutter must turn. On an arbor, seen from its outer end, the teeth go to the right at the bottom: against a table
 * that feeds the work to the left, as the cut is told.
 */
export const turnsOf = (cutter: Cutter | undefined, machine: Machine): Turns => {
  const left = cutter?.hand === "left";
  const onArbor = machine.kind === "horizontal" || (cutter && cutterKindFacts[cutter.kind].mount === "arbor");
  return onArbor
    ? { way: left ? "clockwise" : "counterclockwise", seen: "from the outer end of the arbor" }
    : { way: left ? "counterclockwise" : "clockwise", seen: "from above" };
};

/** A tool goes in: what holds it, how far it stands out, how tight it is drawn in (M45). */
function toolPhrase(tool: string, { cutter, shop }: SpindleAsked): Phrase {
  const held = cutter ? holderOf(cutter, shop) : null;
  const holder = held?.ok ? held.value : null;
  const own = holder?.tightness ?? "";
  if (cutter && cutterKindFacts[cutter.kind].mount === "arbor")
    return say`Spindle stopped, brake on; ${tool} on ${holder ? say`the ${holder.name}` : say`its arbor`} between collars, the support in place, the nut tightened ${own || "last"}`;
  const where = holder ? say` in the ${holder.name}` : say``;
  const out = cutter ? say`, ${mm(cutter.stickout)} out of its holder` : say``;
  return say`Spindle stopped, brake on; ${tool}${where}${out}; drawbar by hand first, then ${own || "with the wrench"}`;
}

/** The spindle at a speed: how it is set, and when the range is changed. */
function speedPhrase({ machine, set, before }: SpindleAsked): Phrase {
  if (!set) return words("Spindle switched off and in neutral: it is turned by hand");
  const { range } = pickSetting(machine, set.rpm);
  const last = before === null ? null : pickSetting(machine, before).range;
  const changes = machine.ranges.length > 1 && range.name !== last?.name;
  const when =
    range.change === "running"
      ? say`. This drive is set only while it runs`
      : changes
        ? say`. The range is changed only at standstill`
        : say``;
  return say`Spindle set to ${quantity("spindleSpeed", set.rpm)}: ${set.setting}${when}`;
}

/** M18, M40: which way it must turn, asked before the first cut with it, with the answer that stops. */
function rotationTick({ cutter, machine, set }: SpindleAsked, tick: MakeTick, again = ""): Tick {
  const { way, seen } = turnsOf(cutter, machine);
  const handed = cutter?.hand === "left" ? say`${cutter.name} is left-handed: ` : say``;
  const range = set && pickSetting(machine, set.rpm).range;
  const turned = range?.reversed ? say`. In the ${range.name} the switch works the other way round` : say``;
  return answered(
    tick(
      `rotation${again}`,
      again
        ? say`Spindle on again: ${handed}it turns ${way} seen ${seen}`
        : say`Spindle started for a moment: ${handed}it turns ${way} seen ${seen}${turned}`,
    ),
    {
      id: `wrong-way${again}`,
      says: words("It turns the wrong way"),
      then: stop(
        rule(
          "M18.wrongWay",
        )`Stop the spindle before it touches anything. Set the switch over, let it run down, and look at the hand of the cutter; then start it again and look.`,
      ),
      serves: false,
    },
    tick,
  );
}

/** After a stop to measure: the switch can have been set over since, so it is looked at at every start. */
export const startedAgainTick = (asked: SpindleAsked, number: number, tick: MakeTick): Tick =>
  rotationTick(asked, tick, `-${number}`);

/** Ticks for another speed of the tool that is in. */
export const speedTicks = (asked: SpindleAsked, tick: MakeTick): Tick[] => [
  tick("speed", speedPhrase(asked)),
  rotationTick(asked, tick),
];

/** Ticks before a spindle turns with a tool (M40): tool, speed, what else is to be set, then wrench, guard and rotation. */
export const spindleTicks = (
  tool: string,
  asked: SpindleAsked,
  tick: MakeTick,
  more: readonly Tick[] = [],
): Tick[] => [
  tick("cutter", toolPhrase(tool, asked)),
  tick(asked.set ? "speed" : "neutral", speedPhrase(asked)),
  ...more,
  tick("wrench", words("Wrench off the drawbar, key out of the chuck, handle off the vise")),
  tick("guard", words("Guard in place, glasses on, nothing loose on the table")),
  ...(asked.set ? [rotationTick(asked, tick)] : []),
];
