import { type LengthUnit, mm, showQuantity } from "../quantity/index.ts";
import type { Machine } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import type { Step } from "./step.ts";

const axisOf = (axis: string): string => axis.toUpperCase();

/** A figure as it is heard: a minus is a word, and the digits after the point are said one by one. */
export const heard = (text: string): string =>
  text
    .replace(/[−-](?=\d)/g, "minus ")
    .replace(/\.(\d+)/g, (_, digits: string) => ` point ${[...digits].join(" ")}`)
    .replace(/\bmm\b/g, "millimeters")
    .replace(/(\d|point [\d ]+) in\b/g, "$1 inches");

/** What is read out of a step: what to do, and where to stop; short enough to be heard over a spindle. */
export function aloud(step: Step, unit: LengthUnit, { axes }: Pick<Machine, "axes">): string {
  const size = (value: number) => heard(showQuantity(mm(value), unit));
  if (step.pass) return `Pass ${step.pass.number}. Stop at ${size(step.pass.reads)}.`;
  if (step.move) {
    const stops = step.move.targets.map((t) => `${axisOf(t.axis)} ${size(t.settled.stop)}`).join(", ");
    return `${{ go: "Go to", down: "Down to", feed: "Feed to", in: "Feed in to" }[step.move.move.kind]} ${stops}.`;
  }
  if (step.touch) {
    const { axis, setting } = step.touch;
    // A collar is set to nothing; what the paper adds is counted in the stops.
    return axes[axis].readout === null
      ? `Touch off. Set the ${axisOf(axis)} collar to 0.`
      : `Touch off. Set ${axisOf(axis)} to ${size(setting)}.`;
  }
  return `${heard(phraseText(step.title, unit).replace(/\.$/, ""))}.`;
}
