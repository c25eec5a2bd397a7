import { mm, quantity } from "../quantity/index.ts";
import { type Phrase, precise, rule, say } from "../working/index.ts";
import type { Finding, FindingSort } from "./finding.ts";

/** What was found, as a foreman would say it: what can happen, where, how much. All sentences of the room. */

const size = (f: Finding) => precise(mm(f.size), 2);
const pair = ({ what }: Finding): [string, string] => {
  const [first = "", second = ""] = what.split(" | ");
  return [first, second];
};
const axis = ({ what }: Finding) => what.toUpperCase();
/** What is named by what it is: the block, or a feature. */
const named = ({ what }: Finding, names: ReadonlyMap<string, string>) => names.get(what) ?? what;

const sentences: Record<FindingSort, (f: Finding, names: ReadonlyMap<string, string>) => Phrase> = {
  hits: (f) => say`The ${pair(f)[0]} hits ${pair(f)[1]}, ${size(f)} deep.`,
  ploughs: (f) => say`The cutter runs ${size(f)} into the part on the way, where no cut is called for.`,
  shank: (f) => say`The ${f.what} rubs on metal still standing, ${size(f)} in.`,
  backsIn: () =>
    say`Backing off downward drives the cutter into the part: on this machine the head comes down.`,
  tooMuch: (f) =>
    say`The stroke is ${precise(mm(f.size + (f.told ?? 0)), 2)} ${f.what}; the cut allows ${precise(mm(f.told ?? 0), 2)}.`,
  tooHard: (f) =>
    pair(f)[1] === "the plan"
      ? say`The ${pair(f)[0]} needs ${quantity("ratio", f.size)} times the power this cut was planned with.`
      : say`The ${pair(f)[0]} needs ${quantity("ratio", f.size)} times what the machine can give.`,
  nothing: () => say`Nothing comes off here.`,
  endless: () => say`Pass after pass is called for and nothing comes off: it never ends.`,
  rubs: (f) => say`${f.what} rubs: the chip is ${precise(mm(f.size), 4)} thinner than its edge can cut.`,
  stopped: (f) => say`A cut is called for, and the spindle was never started (${f.what}).`,
  wrongWay: (f) => say`It must turn the other way: ${f.what}.`,
  otherSpeed: (f) => say`The cut is meant for ${pair(f)[0]} rpm; the spindle is set to ${pair(f)[1]}.`,
  otherTool: (f) => say`The cut is meant for ${pair(f)[0]}; in the spindle is ${pair(f)[1]}.`,
  zeroTool: (f) => say`This zero is touched with ${pair(f)[0]}; in the spindle is ${pair(f)[1]}.`,
  finderFast: (f) => say`The edge finder would turn at ${quantity("spindleSpeed", f.size)}: it flies apart.`,
  stale: (f) => say`${axis(f)} is used after its zero went stale.`,
  slack: (f) =>
    say`${axis(f)} comes to this stop from the other side than its zero: slack leaves it ${size(f)} off.`,
  halved: (f) =>
    say`${axis(f)} is halved between touches from either side: slack puts the center ${size(f)} off.`,
  onAir: (f) => say`The part has no metal over ${f.what}: it rests on air there.`,
  noGrip: (f) => say`There is no metal of the part at ${f.what}: it is not gripped.`,
  lessGrip: (f) => say`The grip at ${f.what} is ${size(f)} less than the setup says.`,
  tips: (f) => say`${size(f)} of the part hangs free past the jaws: it sags and tips. Support it.`,
  leftIn: (f) => say`Still in from the setup before: ${f.what}.`,
  side: (f) => say`The ${pair(f)[0]} end does not lie to the ${pair(f)[1]}, where the step puts it.`,
  reach: (f) => say`There is no room for it: ${size(f)} too much (${f.what}).`,
  notTold: () => say`No figure says where this is: with the head tilted it is set by eye.`,
  plunge: (f) => say`${f.what} goes ${size(f)} straight down into metal, and has no teeth at its center.`,
  left: (f, names) => say`Metal is left over the drawing: ${size(f)} at ${named(f, names)}.`,
  below: (f, names) => say`Cut below the drawing: ${size(f)} at ${named(f, names)}.`,
};

/**
 * A finding as a sentence.
 * @param names what features are called, by their id
 */
export function findingPhrase(finding: Finding, names: ReadonlyMap<string, string> = new Map()): Phrase {
  const { parts } = sentences[finding.sort](finding, names);
  return { ...rule(`walked.${finding.sort}`)``, parts };
}
