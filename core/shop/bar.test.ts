import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { afterSawing, blankItem, checkItem, claimedLength, freeLength } from "./index.ts";

const claim = (id: string, each: number, count: number) => ({
  id,
  jobId: "j",
  jobName: "Dogs",
  each,
  kerf: 2,
  count,
});
const bar = { ...blankItem("bars", "b"), length: 300 };

describe("a bar of the rack", () => {
  test("sawn, it is shorter by what was taken, an off-cut, and the other blanks stay reserved", () => {
    const reserved = { ...bar, claims: [claim("a", 47, 2), claim("b", 30, 1)] };
    expect(freeLength(reserved)).toBe(300 - 98 - 32);
    const { left, took } = afterSawing(reserved, "a")!;
    expect(took).toBe(98);
    expect(left).toMatchObject({ length: 202, offcut: true, claims: [{ id: "b" }] });
    expect(freeLength(left!)).toBe(freeLength(reserved));
    expect(afterSawing(reserved, "gone")).toBeNull();
  });

  test("used up to its end nothing is left of it", () => {
    const { left, took } = afterSawing({ ...bar, claims: [claim("a", 98.6, 3)] }, "a")!;
    expect(left).toBeNull();
    expect(took).toBe(300);
  });

  test("what was sawn stays known, on the off-cut or on a bar that is used up and retired", () => {
    const short = afterSawing({ ...bar, claims: [claim("a", 47, 2)] }, "a")!.kept;
    expect(short).toMatchObject({ retired: false, length: 202, sawn: [{ id: "a", count: 2 }], claims: [] });
    const gone = afterSawing({ ...bar, claims: [claim("a", 98.6, 3)] }, "a")!.kept;
    expect(gone).toMatchObject({ retired: true, sawn: [{ id: "a", count: 3 }] });
    // What is too short to keep, and reserved all the same, stays in the rack.
    const both = afterSawing({ ...bar, claims: [claim("a", 140, 2), claim("b", 5, 1)] }, "a")!.kept;
    expect(both).toMatchObject({ retired: false, length: 16 });
    expect(checkItem("bars", gone).filter((f) => f.severity === "stop")).toEqual([]);
  });

  test.each([
    ["what is there", [claim("a", 100, 2)], []],
    ["all of it, without a last cut", [claim("a", 98.6, 3)], []],
    ["more than is there", [claim("a", 100, 3)], ["length"]],
    ["the same off-cut twice", [claim("a", 200, 1), claim("b", 200, 1)], ["length"]],
  ])("reserving %s", (_what, claims, keys) => {
    const found = checkItem("bars", { ...bar, claims });
    expect(found.filter((f) => f.severity === "stop").map((f) => f.key)).toEqual(keys);
  });

  test.each([
    ["no length", { length: 0 }, "length"],
    ["a negative price", { price: -1 }, "price"],
    ["half a blank", { claims: [claim("a", 10, 0.5)] }, "claims.0.count"],
  ])("%s is refused at its field", (_what, wrong, key) => {
    expect(checkItem("bars", { ...bar, ...wrong }).map((f) => f.key)).toContain(key);
  });

  test("sawing all that is reserved, in any order, takes what was reserved", () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(["a", "b", "c"], { minLength: 3 }), (order) => {
        const claims = [claim("a", 47, 2), claim("b", 30, 1), claim("c", 12.5, 4)];
        let now = { ...bar, claims };
        for (const id of order) now = afterSawing(now, id)!.left!;
        expect(now.length).toBeCloseTo(300 - claims.reduce((s, c) => s + claimedLength(c), 0), 6);
        expect(now.claims).toEqual([]);
      }),
    );
  });
});
