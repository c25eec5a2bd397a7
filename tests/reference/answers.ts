/** What an adapter gives back for one case: outputs named as in `expected`, or a refusal. */
export type Outputs = { [name: string]: unknown };
/** Cases are data of many shapes: an adapter knows its own. */
export type Inputs = { readonly [name: string]: any };
export const refuse: Outputs = { refuse: true };
export type Answers = { [kind: string]: (inputs: Inputs) => Outputs };

/** The outputs, or a refusal when any is missing or not a number. */
export function orRefuse(outputs: Outputs): Outputs {
  const bad = (value: unknown): boolean =>
    Array.isArray(value)
      ? value.some(bad)
      : value === null || value === undefined || (typeof value === "number" && !Number.isFinite(value));
  return Object.values(outputs).some(bad) ? refuse : outputs;
}
