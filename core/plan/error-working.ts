import { mm } from "../quantity/index.ts";
import { type PairError, pairKey } from "../route/index.ts";
import { line, say, words, type Working } from "../working/index.ts";

/** Key of the working of a predicted error: `error#left-top`. */
export type ErrorKey = `error#${string}`;
export const errorKey = (error: PairError): ErrorKey => `error#${pairKey(error)}`;

/** Every cause of a predicted error with its share; null when the plan has no such pair. */
export function errorWorking(key: string, errors: readonly PairError[], pair: string): Working | null {
  const error = errors.find((e) => pairKey(e) === pair);
  if (!error || !Number.isFinite(error.predicted)) return null;
  const [a, b] = error.faces;
  return {
    key,
    title:
      error.kind === "square"
        ? say`Working: ${a} square to ${b}, over ${mm(100)}`
        : say`Working: ${a} parallel to ${b}`,
    lines: [
      ...error.causes.map(({ name, share }) => line(name, mm(share), { decimals: 3 })),
      line("expected", mm(error.predicted), {
        decimals: 3,
        sum: true,
        formula: "root-of-squares",
        terms: [],
      }),
      line("all at their largest, all one way", mm(error.worst), { decimals: 3 }),
    ],
    limits: [],
    notes: [
      words(
        "Errors of jaw, bed, tram and table count with their sign along what each face was cut from: twice where the part was turned over, not at all where they cancel.",
      ),
    ],
  };
}
