import fc from "fast-check";
import { expect, test } from "vitest";
import { differenceOf, withDifference } from "./difference.ts";

const value = fc.jsonValue({ maxDepth: 4 });

test("a value with its difference from another is the other, and only what changed is carried", () => {
  fc.assert(
    fc.property(value, value, (before, after) => {
      expect(withDifference(before, differenceOf(before, after))).toEqual(after);
      expect(differenceOf(after, structuredClone(after))).toBeNull();
    }),
  );
});

test.each([
  ["a field", { a: 1, b: { c: [1, 2] } }, { a: 2, b: { c: [1, 2] } }, "b"],
  ["a field that is gone", { a: 1, b: { c: 1 } }, { b: { c: 1 } }, "b"],
  ["an item more", { b: [{ x: 1 }], a: [1] }, { b: [{ x: 1 }], a: [1, 2] }, "b"],
])("%s: the rest stays the same thing", (_what, before, after, kept) => {
  const now = withDifference(before, differenceOf(before, after)) as { [key: string]: unknown };
  expect(now).toEqual(after);
  expect(now[kept]).toBe((before as { [key: string]: unknown })[kept]);
});
