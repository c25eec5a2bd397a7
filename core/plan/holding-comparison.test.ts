import { describe, expect, test } from "vitest";
import { jobOf } from "../../tests/parts/described.ts";
import { toolroomParts } from "../../tests/parts/toolroom.ts";
import { type Shop, demoShop } from "../shop/index.ts";
import { featureSetupsOf, keyOfSetup } from "../route/index.ts";
import { compareHoldings, plan } from "./index.ts";

const compared = (name: string, shop: Shop = demoShop) => {
  const job = jobOf(toolroomParts.find((p) => p.name === name)!);
  const made = plan({ job, records: [], shop, piece: 1 });
  const setup = featureSetupsOf(made.setups).at(-1)!;
  return { made, found: compareHoldings(made, job, shop, keyOfSetup(setup)) };
};
const ways = (found: ReturnType<typeof compared>["found"]) =>
  Object.fromEntries(found!.options.map((o) => [o.way, o.cannot === null]));

describe("a setup of features held in every way", () => {
  test.each([
    ["Drill jig plate", { vise: true, straps: true, plate: true }, "vise"],
    ["Motor plate with a pocket", { vise: false, straps: true, plate: true }, "straps"],
    ["Shim plate 3 thick", { vise: false, straps: false, plate: true }, "plate"],
  ])("%s: %j can be, %s is best and in the plan", (name, can, best) => {
    const { made, found } = compared(name);
    expect(ways(found)).toEqual(can);
    expect(found!.best).toBe(best);
    const chosen = found!.options.find((o) => o.chosen)!;
    expect(chosen.way).toBe(best);
    expect(chosen.minutes).toBeCloseTo(made.minutes.total, 6);
    for (const o of found!.options)
      if (o.cannot === null) expect([o.holds > 0, o.error > 0]).toEqual([true, true]);
      else expect(o.cannot.parts.length).toBeGreaterThan(0);
  });

  test("without straps in the shop that way says so", () => {
    const shop = { ...demoShop, aids: demoShop.aids.filter((a) => a.kind !== "strap") };
    const straps = compared("Drill jig plate", shop).found!.options.find((o) => o.way === "straps")!;
    expect(JSON.stringify(straps.cannot)).toContain("M15.none");
  });

  test("a shaft has no such choice", () => {
    expect(compared("Shaft with two keyseats").found).toBeNull();
  });
});
