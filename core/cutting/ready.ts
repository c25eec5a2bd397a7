import { feedPerTooth, leastChip, type Material, type Range, stickoutSteps } from "../handbook/index.ts";
import type { Mm, Rpm } from "../quantity/index.ts";
import {
  type AxisScrew,
  type Cutter,
  cuttingDiameter,
  type Holder,
  houseFactor,
  type Machine,
  type Shop,
} from "../shop/index.ts";
import { speedDiameter } from "./engagement.ts";
import { comfortableTurn } from "./feed.ts";
import { ruleSubject, type Setting, settingFor } from "./limits.ts";
import { chooseSpeed, type SpeedChoice, stickoutFactor } from "./speed.ts";
import type { CutTask } from "./task.ts";

/** What a cut is made on and in. */
export interface CutPlace {
  machine: Machine;
  material: Material;
  shop: Pick<Shop, "holders" | "houseRules">;
}

/** What does not go with the depth: cutter in its holder, speed, range of the feed. */
export interface Ready extends CutPlace {
  task: CutTask;
  cutter: Cutter;
  holder: Holder | null;
  speed: SpeedChoice;
  fzRange: Range;
  feedFactor: number;
  /** Settings by width: each carries a table of forces. */
  settings: Map<Mm, Setting>;
}

/**
 * Chooses the speed and the range of the feed for a cutter.
 * @param atMost no faster than this, rpm: where a faster spindle would only rub
 */
export function makeReady(
  task: CutTask,
  cutter: Cutter,
  holder: Holder | null,
  place: CutPlace,
  atMost: Rpm = Infinity,
): Ready {
  const { machine, material, shop } = place;
  const rules = shop.houseRules;
  const d = cuttingDiameter(cutter);
  const speed = chooseSpeed({
    machine,
    material,
    cutter,
    diameter: cutter.kind === "ballEnd" ? speedDiameter(cutter, 0.25 * d) : d,
    rules,
    quick: task.aim === "quick",
    own: task.own.rpm,
    chipTop: Math.min(atMost, chipTopOf(machine.axes[task.feedAlong], cutter)),
  });
  const feedFactor =
    (stickoutFactor(cutter) ?? stickoutSteps.at(-1)!).feed *
    houseFactor(rules, "feed", ruleSubject({ machine, cutter, material })).factor;
  const [low, high] = feedPerTooth(material.group, cutter.kind, d, cutter.teeth);
  return {
    task,
    cutter,
    holder,
    ...place,
    speed,
    feedFactor,
    fzRange: [low * feedFactor, high * feedFactor],
    settings: new Map(),
  };
}

/** A chip is to be thicker than the least by so much. */
const overLeastChip = 1.3;

/** Above this the quickest feed of an axis, by power or by hand, no longer makes a chip, rpm. */
function chipTopOf({ powerFeeds, lead }: AxisScrew, { kind, material, teeth }: Cutter): number {
  const quickest = Math.max(...powerFeeds, (60 * lead) / comfortableTurn[0]);
  return quickest / (teeth * leastChip(kind, material) * overLeastChip);
}

/** The setting at a width of cut, with its table of forces worked once. */
export function settingOf(ready: Ready, width: Mm): Setting {
  const known = ready.settings.get(width);
  if (known) return known;
  const { task, cutter, holder, machine, material } = ready;
  const made = settingFor({
    task,
    cutter,
    holder,
    machine,
    material,
    rules: ready.shop.houseRules,
    spindle: ready.speed,
    width,
  });
  ready.settings.set(width, made);
  return made;
}

/** The screw that feeds. */
export const feedAxis = ({ machine, task }: Pick<Ready, "machine" | "task">): AxisScrew =>
  machine.axes[task.feedAlong];
