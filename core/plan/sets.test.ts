import { describe, expect, test } from "vitest";
import { setsOf } from "./sets.ts";

const job = (id: string, sheet: string) => ({ id, sheet });
const done = (id: string, ends: number) => ({ id, ends, late: 0 });

describe("sets of different parts", () => {
  test.each([
    ["jobs of one order", [job("a", "Winch, sheet 1"), job("b", "Winch, sheet 2")], ["Winch"]],
    ["the name alone", [job("a", "Winch"), job("b", " Winch , 2")], ["Winch"]],
    ["no set of one", [job("a", "Winch, 1"), job("b", "Crane, 1")], []],
    ["nothing without an order", [job("a", ""), job("b", ""), job("c", ", 2")], []],
  ])("%s", (_what, jobs, orders) => {
    expect(setsOf(jobs, []).map((s) => s.order)).toEqual(orders);
  });

  test("a set is complete with its last job, and the first to be complete comes first", () => {
    const jobs = [job("a", "W, 1"), job("b", "W, 2"), job("c", "C, 1"), job("d", "C, 2")];
    const sets = setsOf(jobs, [done("a", 100), done("b", 300), done("c", 50), done("d", 0)]);
    expect(sets.map((s) => [s.order, s.last])).toEqual([
      ["C", { id: "c", ends: 50 }],
      ["W", { id: "b", ends: 300 }],
    ]);
  });

  test("of a set that is done nothing is left", () => {
    expect(setsOf([job("a", "W, 1"), job("b", "W, 2")], [done("a", 0)])[0]!.last).toBeNull();
  });
});
