import { handFacts, type HandKind } from "../handbook/index.ts";
import { keyOfSetup, type Setup } from "../route/index.ts";
import { capital, type Phrase, say, warn, words } from "../working/index.ts";
import { type Progress, progressOf } from "./progress.ts";
import { newStep, type Step } from "./step.ts";

/** Work by hand as it is planned. */
export interface PlannedHandwork {
  id: string;
  kind: HandKind;
  where: string;
  when: "before" | "after";
  minutes: number;
}

const titleOf = ({ kind, where }: Pick<PlannedHandwork, "kind" | "where">): Phrase =>
  where.trim() === ""
    ? words(capital(handFacts[kind].text))
    : say`${capital(handFacts[kind].text)}: ${where.trim()}`;

/**
 * Steps of work by hand: what to take care of, a tick that it is done, a tick that it was checked. They stand with the first setup or
 * the last, whose records they are kept with; none where nothing is planned.
 */
export function handSteps(
  list: readonly PlannedHandwork[],
  when: PlannedHandwork["when"],
  setups: readonly Setup[],
  progress: Progress,
): Step[] {
  const setup = when === "before" ? setups[0] : setups.at(-1);
  if (!setup) return [];
  const key = when === "before" ? keyOfSetup(setup) : setup.operations.at(-1)!.key;
  const ticks = progressOf(progress, key)?.ticks;
  return list
    .filter((hand) => hand.when === when)
    .map((hand) => {
      const { caution, check } = handFacts[hand.kind];
      const tick = (id: string, phrase: Phrase) => ({ id, phrase, done: ticks?.has(id) ?? false });
      return newStep(key, setup.number, "handwork", `by-hand-${hand.id}`, titleOf(hand), {
        ticks: [
          tick(`by-hand-${hand.id}`, say`Done: ${handFacts[hand.kind].text}`),
          tick(`by-hand-${hand.id}-checked`, words(check)),
        ],
        notes: [warn(words(caution))],
        minutes: hand.minutes,
      });
    });
}
