import { describe, expect, test } from "vitest";
import { demoShop, type Shop } from "../shop/index.ts";
import { pickupErrors, touchError, touchWays } from "./index.ts";
import { wayFor } from "./pickup.ts";

const machine = {
  ...demoShop.machines[0]!,
  axes: Object.fromEntries(
    Object.entries(demoShop.machines[0]!.axes).map(([axis, screw]) => [axis, { ...screw, readout: 0.005 }]),
  ) as (typeof demoShop.machines)[0]["axes"],
};
const without: Shop = {
  ...demoShop,
  instruments: demoShop.instruments.filter((i) => i.kind !== "edgeFinder"),
};
const ask = (closest: number | null, shop: Shop, wanted: Parameters<typeof wayFor>[0]["wanted"] = null) =>
  wayFor({ setup: { closest }, shop, machine, wanted });

describe("the way with the least trouble that is good enough", () => {
  test.each([
    [null, "finder"],
    [0.1, "finder"],
    [0.012, "finderTurned"],
    [0.009, "finderTurned"],
    [0.001, "indicator"],
  ])("places good to %s: %s; without a finder paper or the indicator", (closest, way) => {
    expect(ask(closest, demoShop)).toBe(way);
    const other = ask(closest, without);
    expect(other).toBe(closest === null || closest > 0.045 ? "paper" : "indicator");
  });
  test("what the person chose is taken, however near it comes", () =>
    expect(touchWays.map((way) => ask(0.001, demoShop, way))).toEqual([...touchWays]));
});

test("halving between two sides is nearer than one touch, and no nearer than half a step of the axis", () => {
  for (const way of touchWays)
    for (const screw of Object.values(demoShop.machines[0]!.axes)) {
      const [one, halved] = [touchError(way, screw, false), touchError(way, screw, true)];
      expect(halved).toBeLessThan(one);
      expect(one).toBeGreaterThanOrEqual(pickupErrors[way]);
      expect(halved).toBeGreaterThanOrEqual((screw.readout ?? screw.division) / 2 - 1e-9);
    }
});
