import type { ParseProblem, ParseProblemId } from "../quantity/index.ts";
import { type Phrase, say } from "./phrase.ts";

const sentences: Record<ParseProblemId, (at: string) => Phrase> = {
  empty: () => say`Nothing entered yet. Type the size as on the drawing.`,
  "not-a-number": (at) => say`"${at}" is not a size. Type for example 60 ±0.05, 2 3/8 in or 15 thou.`,
  "two-points": (at) => say`"${at}" has more than one decimal point. Which digits belong together?`,
  "zero-denominator": (at) => say`"${at}" divides by zero. Check the number under the line.`,
  "odd-denominator": (at) =>
    say`"${at}": fractions of an inch go by halves, quarters, 8ths, 16ths, 32nds and 64ths. Check the number under the line.`,
  "unknown-unit": (at) => say`"${at}" is not a unit known here. Use mm, cm, in or thou.`,
  "tolerance-unfinished": () => say`The tolerance after ± is missing. Type it, or take the ± away.`,
  "tolerance-negative": () => say`A tolerance after ± has no minus sign.`,
  "fit-unknown": (at) => say`The fit class "${at}" is not in the tables here. Type the limits instead.`,
  thousands: (at) => say`"${at}" can be read in two ways. Write the decimals with a point.`,
  "bare-tenth": (at) =>
    say`"${at}" is 0.1 mm to some and 0.0001 in to others. Write the number with its unit.`,
  "power-of-ten": (at) =>
    say`"${at}" reads like a power of ten. Write the number out, or put a space before a fit class.`,
  chain: (at) => say`"${at}" reads like a chain of sizes. Type one size.`,
  "two-units": (at) => say`"${at}" names two units. Type one.`,
  "too-large": (at) => say`"${at}" is longer than any part on a manual mill. Check the unit and the point.`,
};

/** The sentence that tells a person what is wrong with what they typed and what to do. */
export function entryProblem(problem: ParseProblem): Phrase {
  return sentences[problem.id](problem.at);
}
