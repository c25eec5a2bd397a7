import { expect, test } from "vitest";
import { firstShop, newCutter, shopListNames, starterSets } from "../shop/index.ts";
import { outlineOf } from "./index.ts";

const shop = firstShop({ machine: "knee", reads: "all", drawers: ["metric", "inch"] });
const drawn = (["cutters", "holders", "vises", "parallels", "rods"] as const).flatMap((list) =>
  shop[list].map((item) => ({ list, item, name: `${list}: ${item.name}` })),
);

test.each(drawn)("$name is drawn inside its frame", ({ list, item }) => {
  const figure = outlineOf(list, item, shop)!;
  const points = figure.shapes.flatMap((s) =>
    s.kind === "path"
      ? s.outlines.flat().map(({ x, y }) => [x, y] as const)
      : s.kind === "rect"
        ? ([
            [s.x, s.y],
            [s.x + s.w, s.y + s.h],
          ] as const)
        : s.kind === "circle"
          ? ([
              [s.x - s.r, s.y - s.r],
              [s.x + s.r, s.y + s.r],
            ] as const)
          : [],
  );
  expect(points.length).toBeGreaterThan(1);
  for (const [x, y] of points) {
    expect(x).toBeGreaterThanOrEqual(0);
    expect(x).toBeLessThanOrEqual(figure.width);
    expect(y).toBeGreaterThanOrEqual(0);
    expect(y).toBeLessThanOrEqual(figure.height);
  }
});

test("a cutter is as wide and as long as it stands out of its holder", () => {
  const cutter = newCutter({
    id: "e",
    name: "12 end mill",
    kind: "endMill",
    material: "hss",
    diameter: 12,
    teeth: 4,
    fluteLength: 26,
    stickout: 40,
  });
  const figure = outlineOf("cutters", cutter, shop)!;
  expect([figure.width, figure.height]).toEqual([42, 14]);
});

test("what has no such shape is not drawn", () => {
  for (const list of shopListNames.filter((l) => !drawn.some((d) => d.list === l)))
    for (const item of shop[list]) expect(outlineOf(list, item, shop)).toBeNull();
});

test.each(["dials", "table", "all"] as const)("a first shop whose machine reads by %s", (reads) => {
  for (const set of starterSets.machines) {
    const [machine] = firstShop({ machine: set.id, reads, drawers: [] }).machines;
    expect((["x", "y", "z"] as const).map((a) => machine!.axes[a].readout !== null)).toEqual([
      reads !== "dials",
      reads !== "dials",
      reads === "all",
    ]);
  }
});

test("two drawers together have nothing twice, and a machine that is not there adds none", () => {
  const both = firstShop({ machine: "none such", reads: "all", drawers: ["metric", "inch"] });
  expect(both.machines).toEqual([]);
  for (const list of shopListNames) {
    const ids = both[list].map((i) => i.id);
    expect(new Set(ids).size).toBe(ids.length);
  }
  expect(both.vises).toHaveLength(1);
});
