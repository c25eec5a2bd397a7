import { describe, expect, test } from "vitest";
import { type Face } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { FaceCondition } from "../handbook/index.ts";
import { demoShop } from "../shop/index.ts";
import { pieceOf, seatRequest } from "../../tests/support/seats.ts";
import { parallelHeightNeeded, seatInVise, seatWarnings } from "./index.ts";

const vise = demoShop.vises[0]!;
const piece = (
  [length, width, height]: [number, number, number],
  condition: FaceCondition,
  machined: Face[] = [],
) => pieceOf({ length, width, height }, condition, machined);
const request = seatRequest;

describe("seat in a plain vise", () => {
  test.each([
    // conditions, machined faces, up, fixed: rod, tap
    ["sawn", [], "back", "bottom", true, false],
    ["sawn", ["back"], "top", "back", true, false],
    ["sawn", ["back", "top"], "bottom", "back", true, true],
    ["sawn", ["back", "top", "bottom"], "front", "top", false, true],
    ["drawn", [], "back", "bottom", true, false],
    ["milled", [], "back", "bottom", false, true],
    ["ground", [], "top", "front", false, true],
  ] as [FaceCondition, Face[], Face, Face, boolean, boolean][])(
    "%s with %j cut, %s up, %s at the fixed jaw: rod %s, tapped %s",
    (condition, machined, up, fixed, rod, tap) => {
      const seat = seatInVise(request(piece([100, 62, 41], condition, machined), up, fixed));
      expect(seat.ok && [seat.value.rod !== null, seat.value.tap]).toEqual([rod, tap]);
    },
  );

  test.each([
    // standing height, removal: needed, parallels taken, grip
    [60, 2, -16, null, 40],
    [41, 1, 2, 8, 32],
    [30, 2, 14, 16, 24],
    [20, 1, 23, 25, 15],
    [12, 1, 31, 32, 8],
  ] as const)(
    "a part %d high with %d to come off needs %d of parallel",
    (standing, removal, needed, height, grip) => {
      expect(parallelHeightNeeded(vise, removal, standing)).toBe(needed);
      const seat = seatInVise(request(piece([100, 62, standing], "milled"), "top", "front", { removal }));
      expect(seat.ok && [seat.value.parallels?.height ?? null, seat.value.grip]).toEqual([height, grip]);
      // After the cut the cutter still clears the jaws.
      if (seat.ok) expect(seat.value.projection).toBeGreaterThanOrEqual(2);
    },
  );

  test.each([
    ["wider than the jaws open", request(piece([100, 125, 41], "sawn"), "top", "front"), "M11.opening"],
    [
      "thinner than any parallel reaches",
      request(piece([100, 62, 5], "milled"), "top", "front"),
      "holding.parallels",
    ],
    [
      "narrower than any parallel",
      request(piece([100, 6, 30], "milled"), "top", "front"),
      "holding.parallels",
    ],
    [
      "with no rod in the shop",
      request(piece([100, 62, 41], "sawn"), "top", "front", { rods: [] }),
      "M06.none",
    ],
    [
      "held by less than its chamfers",
      request(piece([100, 62, 8], "milled"), "top", "front", {
        parallels: [
          { id: "p", name: "p", retired: false, height: 37, thickness: 6, unlike: null, length: 125 },
        ],
      }),
      "M12.shallow",
    ],
  ])("a part %s is refused with a way out", (_what, asked, id) => {
    const seat = seatInVise(asked);
    expect(seat.ok).toBe(false);
    if (seat.ok) return;
    expect(seat.reason.id).toBe(id);
    expect(seat.suggestion.parts.length).toBeGreaterThan(0);
  });

  test("without the rod 125 goes between the jaws that open 130, with it not", () => {
    const seat = (condition: FaceCondition) =>
      seatInVise(request(piece([100, 125, 41], condition), "top", "front")).ok;
    expect([seat("milled"), seat("sawn")]).toEqual([true, false]);
  });

  test("the rod stands at the middle of the grip", () => {
    const seat = seatInVise(request(piece([100, 62, 41], "sawn"), "top", "front"));
    if (!seat.ok) throw new Error("refused");
    expect(seat.value.rod?.height).toBe(seat.value.parallels!.height + seat.value.grip / 2);
  });

  test.each([7, 8, 9, 10, 12, 14, 18, 24])(
    "of a part %d high no rod stands up to where the cutter goes, or it is refused",
    (standing) => {
      const parallels = Array.from({ length: 34 }, (_, i) => ({
        id: `p-${i}`,
        name: `${i + 5}`,
        retired: false,
        height: i + 5,
        thickness: 6,
        unlike: null,
        length: 125,
      }));
      const rods = [12, 6].map((diameter) => ({
        id: `r-${diameter}`,
        name: `${diameter}`,
        retired: false,
        diameter,
      }));
      const seat = seatInVise(
        request(piece([100, 62, standing], "sawn"), "top", "front", { removal: 1, parallels, rods }),
      );
      if (!seat.ok) {
        expect(["M06.high", "M12.shallow"]).toContain(seat.reason.id);
        return;
      }
      const { rod, parallels: under } = seat.value;
      expect(rod!.height + rod!.diameter / 2).toBeLessThanOrEqual(
        (under?.height ?? 0) + standing - 1 - 1 + 1e-9,
      );
    },
  );

  test("a tall part, a shallow grip and an unclean reference are told; a good seat is silent", () => {
    const ids = (of: Piece, up: Face, fixed: Face) => {
      const seat = seatInVise(request(of, up, fixed));
      if (!seat.ok) throw new Error("refused");
      return seatWarnings(of, seat.value).map((w) => w.phrase.id);
    };
    expect(ids(piece([100, 40, 110], "milled"), "top", "front")).toEqual(["M12.tall"]);
    expect(ids(piece([100, 62, 41], "milled"), "top", "front")).toEqual([]);
    const unclean = piece([100, 62, 41], "sawn", ["front"]);
    unclean.faces.front.clean = false;
    expect(ids(unclean, "top", "front")).toEqual(["M10.notClean"]);
  });
});
