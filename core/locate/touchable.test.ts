import { describe, expect, test } from "vitest";
import { facesOf } from "../frame/index.ts";
import { plan } from "../plan/index.ts";
import { featureSetupsOf, keyOfSetup } from "../route/index.ts";
import { demoShop, type Shop } from "../shop/index.ts";
import { highestLeft } from "./highest-left.ts";
import type { Locating } from "./locate-setup.ts";
import type { Swath } from "./standing.ts";
import { pickupNow } from "./touchable.ts";
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

/** The zeros of a hole at the center of the top, and of nothing else. */
const located = () => {
  const hole = featureOf("hole", "hole", "top", { sizes: { diameter: "6", depth: "12" } });
  const made = plan({
    job: block(["part/features", featureList([hole])]),
    records: [],
    shop: demoShop,
    piece: 1,
  });
  const setup = featureSetupsOf(made.setups).find((s) => s.features.includes("hole"))!;
  return { setup, locating: made.zeros[keyOfSetup(setup)]! };
};
/** A cutter that went along a side of the part, down to a depth. */
const alongSide = ({ sizes, frame }: Locating, axis: "x" | "y", side: 1 | -1, z: number): Swath => {
  const reach = Math.max(...Object.values(sizes));
  const at = (side * sizes[frame[axis].axis]) / 2;
  const ends = [-reach, reach].map((v): [number, number] => (axis === "x" ? [at, v] : [v, at]));
  return { from: ends[0]!, to: ends[1]!, radius: 10, z };
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

describe("a zero taken anew, by what cutters went over since", () => {
  const { setup, locating } = located();
  const zeroX = locating.pickups.find((p) => p.axis === "x")!;
  const low = facesOf(locating.frame.x.axis)[locating.frame.x.sign > 0 ? 0 : 1];
  const deep = -locating.above - 1;

  test("is halved as before while both sides stand", () => {
    expect(zeroX.datum).toBe("center");
    expect(pickupNow(zeroX, locating, [])).toBe(zeroX);
    expect(pickupNow(zeroX, locating, [alongSide(locating, "x", -1, -2)])).toBe(zeroX);
  });

  test("is touched on the side that stands where the other is gone, half the size counted", () => {
    const now = pickupNow(zeroX, locating, [alongSide(locating, "x", -1, deep)]);
    expect(now.faces).not.toContain(low);
    expect(now.faces).toHaveLength(1);
    expect(now.warnings[0]!.phrase.id).toBe("locate.gone");
    const half = locating.sizes[locating.frame.x.axis] / 2;
    expect(Math.abs(now.settings[0]!)).toBeCloseTo(half + now.tool / 2 + now.medium, 3);
  });

  test("warns where neither side can be touched", () => {
    const now = pickupNow(
      zeroX,
      locating,
      ([-1, 1] as const).map((side) => alongSide(locating, "x", side, deep)),
    );
    expect(now.faces).toEqual(zeroX.faces);
    expect(now.warnings[0]).toMatchObject({ severity: "warn", phrase: { id: "locate.gone" } });
  });

  const floors = (...depths: number[]) => ({
    operations: depths.map((floor) => ({ ...setup.operations[0], by: "mill" as const, floor })) as never,
  });
  /** Goes over all of the part down to a depth, but for a stretch at one side. */
  const over = (z: number, from = 0): Swath[] => {
    const reach = Math.max(...Object.values(locating.sizes));
    const width = locating.sizes[locating.frame.y.axis];
    return Array.from({ length: 24 }, (_, i) => -width / 2 + from + ((width - from) * i) / 23).map((y) => ({
      from: [-reach, y],
      to: [reach, y],
      radius: 4,
      z,
    }));
  };

  test.each([
    ["the top while any of it stands", floors(6), over(-6, 20), null],
    ["the floor where none of it does", floors(6), over(-6), 6],
    ["the highest of two floors", floors(9, 6), [...over(-6), ...over(-9, 30)], 6],
    ["what the cutters left, where no floor is told", floors(4), over(-6), 6],
  ])("Z is touched on %s", (_name, of, swaths, below) => {
    expect(highestLeft(of, locating, swaths, 2, 0)?.below ?? null).toBe(below);
  });
});
