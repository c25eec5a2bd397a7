import { describe, expect, test } from "vitest";
import { jobOf } from "../../tests/parts/described.ts";
import { featureOf } from "../../tests/support/cheek-block.ts";
import { plan } from "../plan/index.ts";
import { type Shop, demoShop } from "../shop/index.ts";

const seat = (left: number) =>
  featureOf("woodruff", "seat", "top", { first: `left ${left}`, choices: { key: "606" } });
const planned = (shaft: readonly (readonly [string, string])[], left: number, shop: Shop = demoShop) =>
  plan({
    job: jobOf({ name: "Shaft", material: "steel-medium", shaft, features: [seat(left)] }),
    records: [],
    shop,
    piece: 1,
  });

describe("a shaft whose cutter would meet the jaws", () => {
  test("lies in V-blocks on the table, a strap over each, both clear of what is cut", () => {
    const made = planned([["20 h7", "180"]], 90);
    expect(made.features?.refused).toEqual([]);
    const [setup] = made.setups;
    expect([setup!.device, setup!.seat.table?.straps]).toEqual(["vBlocks", 2]);
    for (const at of setup!.seat.blocks!) {
      expect(Math.abs(at - 90)).toBeGreaterThan(36);
      expect(at).toBeGreaterThanOrEqual(18);
      expect(at).toBeLessThanOrEqual(162);
    }
  });

  test("both blocks stand on one diameter", () => {
    const made = planned(
      [
        ["25 h7", "60"],
        ["20 h7", "200"],
      ],
      160,
    );
    expect(made.features?.refused).toEqual([]);
    for (const at of made.setups[0]!.seat.blocks!) expect(at).toBeGreaterThanOrEqual(78);
  });

  test.each<[string, number, Shop, string]>([
    ["too short for two blocks beside the cut", 45, demoShop, "holding.blocksNowhere"],
    [
      "without straps",
      90,
      { ...demoShop, aids: demoShop.aids.filter((a) => a.kind !== "strap") },
      "M15.none",
    ],
  ])("is refused %s, for what is wrong in the vise and on the table", (_name, left, shop, rule) => {
    const made = planned([["20 h7", left === 45 ? "90" : "180"]], left, shop);
    const text = JSON.stringify(made.features?.refused);
    expect(text).toContain("holding.blocks");
    expect(text).toContain(rule);
  });
});
