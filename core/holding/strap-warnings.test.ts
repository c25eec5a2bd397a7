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
  test.each<[string, readonly Aid[], number | null, string[]]>([
    ["nothing where they do", owned, 14, []],
    ["nothing of the slots while nobody measured them", owned, null, []],
    ["T-nuts too wide for the slots of this table", owned, 12, ["M47.table"]],
    ["T-nuts so narrow that they turn in them", owned, 16, ["M47.table"]],
    ["studs of another thread than the T-nuts", change("stud", { thread: "M10" }), 14, ["M47.thread"]],
    [
      "studs so long that they stand on the slot's floor",
      change("stud", { from: 180, to: 200 }),
      14,
      ["M47.bottoms"],
    ],
    ["a slot too narrow for the pull", change("tNut", { from: 6, to: 6 }), 6, ["M47.preload"]],
    ["no T-nuts entered: the seat itself is refused then", owned.filter((a) => a.kind === "stud"), 14, []],
  ])("%s", (_name, aids, tSlot, expected) => {
    expect(strapWarnings(onTable, aids, tSlot).map((w) => w.phrase.id)).toEqual(expected);
  });

  test("a seat in the vise has no straps to speak of", () => {
    expect(strapWarnings({ ...onTable, table: null }, change("stud", { thread: "M10" }), 14)).toEqual([]);
  });
});
