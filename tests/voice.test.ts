import { execFileSync } from "node:child_process";
import { expect, test } from "vitest";

/** Every sentence of the code as `npm run words` lists it, what is put into it left out. */
const sentences = execFileSync("node", ["scripts/words.mjs"], { encoding: "utf8", maxBuffer: 16_000_000 })
  .split("\n")
  .filter((line) => /^ +\d+ {2}/.test(line))
  .map((line) => line.replace(/\{[^}]*\}/g, "…"));

test("no sentence uses a word nobody says in a shop", () => {
  expect(sentences.length).toBeGreaterThan(2500);
  const foreign =
    /\b(reckon\w*|lump|bears?|stands the cut|nothing speaks|what lies between|hangs on|out of the block|taken out|by hand feel|that is no)\b/i;
  expect(sentences.filter((s) => foreign.test(s))).toEqual([]);
});

test("no sentence shouts, and none of a warning jokes with an exclamation mark", () => {
  expect(sentences.filter((s) => /[a-z]!(\s|$|")/.test(s))).toEqual([]);
});
