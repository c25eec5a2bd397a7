import { expect, test } from "vitest";
import { standsOn } from "./face-step.ts";

test.each([
  ["a face cut whole", "top/face", null, null],
  ["the part that is cut first, beside straps", "top/part", null, "cut"],
  ["what was left standing", "top/rest", null, "left"],
  ["a face cut once more", "top/again", null, null],
  ["a side: its lower part is out of reach, not held down", "left/part", "left", null],
  ["the rest of a side", "left/rest", "left", null],
] as const)("%s", (_what, key, looks, expected) => expect(standsOn({ key, looks })).toBe(expected));
