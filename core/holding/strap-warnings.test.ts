import { describe, expect, test } from "vitest";
import { type Aid, demoShop } from "../shop/index.ts";
import { strapWarnings } from "./table-seat.ts";

const owned = demoShop.aids.filter((a) => a.kind === "stud" || a.kind === "tNut");
const change = (kind: Aid["kind"], more: Partial<Aid>): Aid[] =>
  owned.map((a) => (a.kind === kind ? { ...a, ...more } : a));
const onTable: Parameters<typeof strapWarnings>[0] = {
  table: { packing: 10, straps: 2, over: "left", reach: 25, plate: null, at: [] },
  standing: 40,
} as const;

describe("what studs and T-nuts say against a strapped part", () => {
  test.each<[string, readonly Aid[], string[]]>([
    ["nothing where they do", owned, []],
    ["studs of another thread than the T-nuts", change("stud", { thread: "M10" }), ["M47.thread"]],
    [
      "studs so long that they stand on the slot's floor",
      change("stud", { from: 180, to: 200 }),
      ["M47.bottoms"],
    ],
    ["a slot too narrow for the pull", change("tNut", { from: 6, to: 6 }), ["M47.preload"]],
    ["no T-nuts entered: the seat itself is refused then", owned.filter((a) => a.kind === "stud"), []],
  ])("%s", (_name, aids, expected) => {
    expect(strapWarnings(onTable, aids).map((w) => w.phrase.id)).toEqual(expected);
  });

  test("a seat in the vise has no straps to speak of", () => {
    expect(strapWarnings({ ...onTable, table: null }, change("stud", { thread: "M10" }))).toEqual([]);
  });
});
