import { describe, expect, test } from "vitest";
import { pieceOf } from "../../tests/support/seats.ts";
import { type Face, faceNames, orientation } from "../frame/index.ts";
import { demoShop, type Aid } from "../shop/index.ts";
import { glueCapacity, seatOnPlate, seatStrappedClear, strapCapacity } from "./index.ts";

const at = orientation("top", "back")!;
const { aids } = demoShop;
const without = (kind: Aid["kind"]) => aids.filter((a) => a.kind !== kind);
const plate = (length: number, width: number, height: number, cut: readonly Face[] = faceNames) =>
  pieceOf({ length, width, height }, "sawn", cut);

describe("glued to a plate", () => {
  test("nothing stands over it: no grip, no straps, the plate under all of it", () => {
    const seat = seatOnPlate({ piece: plate(60, 40, 5), at, aids, removal: 1 });
    expect(seat.ok && seat.value).toMatchObject({
      table: { packing: 12, straps: 0, reach: 0, plate: { id: "backing-plate", glued: true } },
      grip: 0,
      standing: 5,
      projection: 16,
      tap: true,
    });
  });

  test.each<[string, number, readonly Aid[], string]>([
    ["no plate is owned", 60, without("plate"), "holding.noPlate"],
    ["the part is larger than any", 240, aids, "holding.smallPlate"],
    ["tools come further out than any is thick", 60, aids, "holding.smallPlate"],
    [
      "the plate was entered without a thickness",
      60,
      aids.map((a) => ({ ...a, from: 0 })),
      "holding.smallPlate",
    ],
  ])("refused where %s", (name, length, owned, rule) => {
    const comesOut = name.startsWith("tools") ? 9 : 0;
    const seat = seatOnPlate({ piece: plate(length, 40, 5), at, aids: owned, comesOut });
    expect(!seat.ok && seat.reason.id).toBe(rule);
  });

  test("glue holds by its area, and on a raw face by a third of it", () => {
    const held = (cut: readonly Face[]) => {
      const seat = seatOnPlate({ piece: plate(60, 40, 5, cut), at, aids, removal: 0 });
      if (!seat.ok) throw new Error(seat.reason.id);
      return glueCapacity(seat.value);
    };
    expect(held(faceNames).along).toBeCloseTo(60 * 40 * 2, 6);
    expect(held([]).along).toBeCloseTo((60 * 40 * 2) / 3, 6);
    expect(held(faceNames).lift).toBeCloseTo(60 * 40, 6);
  });

  test("what earlier cuts took of the face below holds nothing, and half of it must be left", () => {
    const resting = (rests: number) => seatOnPlate({ piece: plate(60, 40, 5), at, aids, rests });
    const most = resting(0.8);
    expect(most.ok && glueCapacity(most.value).along).toBeCloseTo(0.8 * 60 * 40 * 2, 6);
    const little = resting(0.4);
    expect(!little.ok && little.reason.id).toBe("holding.littleGlued");
  });
});

describe("strapped clear of the cuts", () => {
  const hole = { x: [85, 95], y: [65, 75] } as const;
  const held = (more: Partial<Parameters<typeof seatStrappedClear>[0]> = {}) =>
    seatStrappedClear({
      piece: plate(180, 140, 16),
      at,
      aids,
      cuts: [hole],
      gone: [],
      comesOut: 0,
      paper: false,
      stop: false,
      ...more,
    });

  test.each([
    ["on packing where nothing comes out below", 0, { packing: 10, plate: null }],
    [
      "on a plate where a drill comes out below",
      4,
      { packing: 12, plate: { id: "backing-plate", glued: false } },
    ],
    [
      "on packing higher than it comes out where the plate is too thin for it",
      14,
      { packing: 15, plate: null },
    ],
  ])("%s", (_name, comesOut, table) => {
    const seat = held({ comesOut });
    expect(seat.ok && seat.value.table).toMatchObject({ ...table, straps: 4 });
  });

  test.each<[string, Parameters<typeof held>[0], string]>([
    ["the shop has no straps", { aids: without("strap") }, "M15.none"],
    ["straps have no T-nuts", { aids: without("tNut") }, "M15.none"],
    ["all of the top is cut", { cuts: [{ x: [0, 180], y: [0, 140] }] }, "M15.nowhere"],
    ["no stud is as long", { piece: plate(180, 140, 160) }, "M47.noStud"],
  ])("refused where %s", (_name, more, rule) => {
    const seat = held(more);
    expect(!seat.ok && seat.reason.id).toBe(rule);
  });

  test("four straps hold twice what two do", () => {
    const [four, two] = [
      held(),
      held({ aids: aids.map((a) => (a.kind === "strap" ? { ...a, count: 2 } : a)) }),
    ];
    if (!four.ok || !two.ok) throw new Error("refused");
    expect(strapCapacity(four.value).along).toBeCloseTo(2 * strapCapacity(two.value).along, 6);
  });
});
