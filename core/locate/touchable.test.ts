import { describe, expect, test } from "vitest";
import { plan } from "../plan/index.ts";
import { featureSetupsOf, keyOfSetup } from "../route/index.ts";
import { demoShop, type Shop } from "../shop/index.ts";
import { block, featureList, featureOf } from "../../tests/support/cheek-block.ts";

/** A hole in the back face that counts from the top, after all of the top but a stem was taken away. */
const zeroOf = (stem: { wide: string; at: string } | null, shop: Shop = demoShop) => {
  const hole = featureOf("hole", "hole", "back", {
    sizes: { diameter: "6", depth: "12" },
    first: "left 30",
    second: "top 28",
  });
  const features = stem
    ? [
        featureOf("tShape", "tee", "top", {
          sizes: { stem: stem.wide, depth: "10" },
          second: `front ${stem.at}`,
        }),
        hole,
      ]
    : [hole];
  const job = block(["part/features", featureList(features)]);
  const made = plan({ job, records: [], shop, piece: 1 });
  const setup = featureSetupsOf(made.setups).find((s) => s.features.includes("hole"))!;
  const pickups = made.zeros[keyOfSetup(setup)]!.pickups;
  return { setup, pickup: pickups.find((p) => p.datum === "top")! };
};

const dials: Shop = {
  ...demoShop,
  machines: demoShop.machines.map((m) => ({
    ...m,
    axes: {
      x: { ...m.axes.x, readout: null },
      y: { ...m.axes.y, readout: null },
      z: { ...m.axes.z, readout: null },
    },
  })),
};

describe("the face that a zero is touched on", () => {
  test.each([
    ["is the one that is counted from where it stands", null, "top"],
    ["stays it where enough of it stands above the jaws", { wide: "40", at: "35" }, "top"],
    ["is the one opposite where nothing of it stands there", { wide: "8", at: "12" }, "bottom"],
  ] as const)("%s", (_name, stem, face) => {
    const { pickup, setup } = zeroOf(stem);
    expect(setup.at.up).toBe("back");
    expect(pickup.faces).toEqual([face]);
    expect(pickup.warnings.some((w) => w.phrase.id === "locate.gone")).toBe(face !== "top");
  });

  test("the size between is counted: the axis stands half a tip outside the part all the same", () => {
    const [here, there] = [zeroOf(null).pickup, zeroOf({ wide: "8", at: "12" }).pickup];
    expect(Math.abs(here.settings[0]!)).toBeCloseTo(here.tool / 2, 3);
    expect(Math.abs(there.settings[0]!)).toBeCloseTo(38 + there.tool / 2, 1);
  });

  test("by dials the axis is moved on over the whole part", () => {
    const { pickup } = zeroOf({ wide: "8", at: "12" }, dials);
    expect(pickup.by).toBe("dial");
    expect(pickup.off).toBeCloseTo(38 + pickup.tool / 2 + pickup.medium, 1);
  });
});
