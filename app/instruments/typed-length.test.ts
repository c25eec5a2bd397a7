import { expect, test } from "vitest";
import { say, phraseText } from "../../core/working/index.ts";
import { type LengthAsked, readLength } from "./typed-length.tsx";

const asked: LengthAsked = {
  unit: "mm",
  may: (value) => value > 0 && value <= 100,
  told: say`Above 0, 100 at most.`,
};

test.each<[text: string, more: Partial<LengthAsked>, value: number | null]>([
  ["0.4", {}, 0.4],
  ["0,4", {}, 0.4],
  [" 1/4 in ", {}, 6.35],
  ["0.01", { unit: "in" }, 0.254],
  ["-0.3", { signed: true, may: () => true }, -0.3],
  ["", {}, null],
  ["   ", {}, null],
])("%j %j is %j, and nothing is said", (text, more, value) => {
  const read = readLength(text, { ...asked, ...more });
  expect([read.value, read.problem]).toEqual([value, null]);
});

test.each<[text: string, told: RegExp]>([
  ["deep", /is not a/],
  ["5 mm in", /./],
  ["0", /^Above 0/],
  ["101", /^Above 0/],
  ["5 in", /^Above 0/],
])("%j is no such length: it is said what would be", (text, told) => {
  const read = readLength(text, asked);
  expect(read.value).toBeNull();
  expect(phraseText(read.problem!, "mm")).toMatch(told);
});
