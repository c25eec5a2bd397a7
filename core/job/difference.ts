/**
 * What changed of a value of plain objects and arrays, so that only that has to be carried from a worker, and what did not change
 * stays the same thing for those who show it.
 */
export type Difference =
  /** Another value stands there now. */
  | { is: unknown }
  /** Fields or items that changed; `gone` names fields that are no more, `length` how many items there are now. */
  | { of: { [key: string]: Difference }; gone?: string[]; length?: number };

type Fields = { [key: string]: unknown };
const isPlain = (value: unknown): value is Fields =>
  typeof value === "object" &&
  value !== null &&
  (Array.isArray(value) || Object.getPrototypeOf(value) === Object.prototype);

/** What changed from one value to the other; null where nothing did. */
export function differenceOf(before: unknown, after: unknown): Difference | null {
  if (Object.is(before, after)) return null;
  if (!isPlain(before) || !isPlain(after) || Array.isArray(before) !== Array.isArray(after))
    return { is: after };
  const of: { [key: string]: Difference } = {};
  for (const key of Object.keys(after)) {
    const found = Object.hasOwn(before, key) ? differenceOf(before[key], after[key]) : { is: after[key] };
    if (found) of[key] = found;
  }
  if (Array.isArray(after) && Array.isArray(before)) {
    if (after.length === before.length) return Object.keys(of).length === 0 ? null : { of };
    return { of, length: after.length };
  }
  const gone = Object.keys(before).filter((key) => !Object.hasOwn(after, key));
  if (gone.length > 0) return { of, gone };
  return Object.keys(of).length === 0 ? null : { of };
}

/** The value after a difference; parts without one are the same things as before. */
export function withDifference(before: unknown, difference: Difference | null): unknown {
  if (!difference) return before;
  if ("is" in difference) return difference.is;
  const { of, gone = [], length } = difference;
  if (!isPlain(before)) throw new Error("a difference is of another value");
  if (Array.isArray(before)) {
    const items: unknown[] = before.slice(0, length);
    for (const [key, found] of Object.entries(of))
      items[Number(key)] = withDifference(items[Number(key)], found);
    return items;
  }
  const fields: Fields = { ...before };
  for (const key of gone) delete fields[key];
  for (const [key, found] of Object.entries(of)) fields[key] = withDifference(fields[key], found);
  return fields;
}

/** The new value, of which every part that did not change is the old one: who looks only at what is new sees nothing else. */
export const sharing = <T>(before: T, after: T): T =>
  withDifference(before, differenceOf(before, after)) as T;
