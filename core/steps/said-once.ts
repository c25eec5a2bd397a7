import { cautions } from "../handbook/index.ts";
import { phraseText, type Warning } from "../working/index.ts";
import type { Step } from "./step.ts";

/** Cautions of any work at a spindle: they stand at the first step of a setup they go with. */
const general = new Set<string>(Object.values(cautions));

/** What the hand needs at every corner, said or not. */
const everyTime = new Set(["corner.feed"]);

/**
 * What stands on every step is read on none: a general caution and the same fluid are said once a setup, a note that says the
 * same once an operation. Every other warning stands wherever it is so.
 */
export function saidOnce(steps: readonly Step[]): Step[] {
  const said = new Set<string>();
  const isNew = ({ op, kind }: Step, { phrase, severity }: Warning): boolean => {
    const text = phraseText(phrase, "mm");
    const once =
      general.has(text) || phrase.id === "fluid"
        ? text
        : severity === "note" && kind !== "measure" && !everyTime.has(phrase.id ?? "")
          ? `${op} ${text}`
          : null;
    if (once === null) return true;
    if (said.has(once)) return false;
    said.add(once);
    return true;
  };
  return steps.map((step) => ({ ...step, notes: step.notes.filter((note) => isNew(step, note)) }));
}

/** Why a cut is planned as it is: it is read at the desk, with the cut, and asks nothing of the hands. */
const ofThePlan = new Set([
  "feed.below",
  "speed.lowerNeighbor",
  "speed.topsOut",
  "speed.slowed",
  "skin.width",
  // The tick for the rotation says it where it is looked at.
  "M18.reversed",
]);
/** Whether a warning is told at the machine; all of them stand with the setup and the cut at the desk. */
export const forTheHands = ({ severity, phrase }: Warning): boolean =>
  severity !== "note" || !ofThePlan.has(phrase.id ?? "");
