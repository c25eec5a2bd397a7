import { expect, test } from "vitest";
import { mm } from "../quantity/index.ts";
import { phraseText, say } from "./index.ts";

test.each([
  ["an ordinary name stands as it is", "12 end mill", "12 end mill cuts 4.00 mm deep"],
  [
    "letters that run to the left are kept apart",
    "\u05d0\u05d1",
    "\u2068\u05d0\u05d1\u2069 cuts 4.00 mm deep",
  ],
  ["a mark that turns the direction is kept apart", "x\u202ey", "\u2068x\u202ey\u2069 cuts 4.00 mm deep"],
  ["a name cannot end its own isolation", "x\u2069\u202ey", "\u2068x\u202ey\u2069 cuts 4.00 mm deep"],
])("%s", (_what, name, text) => {
  expect(phraseText(say`${name} cuts ${mm(4)} deep`, "mm")).toBe(text);
});
