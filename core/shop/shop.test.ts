import { readFileSync } from "node:fs";
import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { phraseText } from "../working/index.ts";
import {
  blankItem,
  checkItem,
  demoShop,
  emptyShop,
  fieldText,
  inUse,
  type Machine,
  readField,
  readSpeedText,
  shopFields,
  type ShopItem,
  type ShopList,
  shopListNames,
  shopSchema,
  speedText,
  starterSets,
  upgradeShop,
  withField,
} from "./index.ts";

const said = (phrase: Parameters<typeof phraseText>[0]) => phraseText(phrase, "mm");
const knee = demoShop.machines[0]!;
const endMill = demoShop.cutters.find((c) => c.kind === "endMill")!;

describe("spindle speeds as text", () => {
  test.each([
    ["low range: 80 135 210", [{ name: "low range", speeds: { kind: "steps", rpm: [80, 135, 210] } }]],
    ["60-4200; running", [{ change: "running", speeds: { kind: "variable", from: 60, to: 4200 } }]],
    [
      "low: 50 100; reversed; slip 25 | high: 500 1000; base 1200",
      [{ reversed: true, slipTorque: 25 }, { baseRpm: 1200 }],
    ],
  ])("%s", (text, expected) => {
    const read = readSpeedText(text);
    expect(read.ok && read.value).toMatchObject(expected);
  });

  test.each([
    ["", "no spindle speeds"],
    ["80 60 100", "out of order: 60 comes after 80"],
    ["80 80", "out of order"],
    ["4200-60", "from the faster to the slower"],
    ["fast", "not a row of speeds"],
    ["80 0 100", "not a row of speeds"],
    ["80 100; sideways", '"sideways" is not known'],
    ["80 100; base", '"base" is not known'],
  ])("%s is refused", (text, why) => {
    const read = readSpeedText(text);
    expect(read.ok ? "" : said(read.reason)).toContain(why);
  });

  const rpm = fc.uniqueArray(fc.integer({ min: 20, max: 6000 }), { minLength: 1, maxLength: 8 });
  const range = fc.record({
    name: fc.constantFrom("", "low", "belt 2, low range"),
    speeds: fc.oneof(
      rpm.map((all) => ({ kind: "steps" as const, rpm: all.sort((a, b) => a - b) })),
      fc.integer({ min: 20, max: 900 }).map((from) => ({ kind: "variable" as const, from, to: from * 5 })),
    ),
    change: fc.constantFrom("standstill" as const, "running" as const),
    reversed: fc.boolean(),
    baseRpm: fc.option(fc.integer({ min: 1, max: 3000 })),
    slipTorque: fc.option(fc.integer({ min: 1, max: 100 })),
  });
  test("what is written is read back", () => {
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 4 }), (ranges) => {
        expect(readSpeedText(speedText(ranges))).toEqual({ ok: true, value: ranges });
      }),
    );
  });
});

describe("fields", () => {
  test.each(shopListNames.flatMap((list) => demoShop[list].map((item) => [list, item.name, item] as const)))(
    "every field of %s %s is read back from its text, and it may stand as it is",
    (list, _name, item) => {
      let again: ShopItem = blankItem(list, item.id);
      for (const field of shopFields[list]) {
        const read = readField(fieldText(item, field), field);
        if (!read.ok) throw new Error(said(read.reason));
        again = withField(again, field.key, read.value);
      }
      expect(again).toEqual(item);
      expect(checkItem(list, item).filter((f) => f.severity === "stop")).toEqual([]);
    },
  );

  test("a length in a form is in the display unit, or in the one it names", () => {
    const diameter = shopFields.cutters.find((f) => f.key === "diameter")!;
    expect(readField("1/2", diameter, "in")).toMatchObject({ value: 12.7 });
    expect(readField("12 mm", diameter, "in")).toMatchObject({ value: 12 });
    expect(readField("0.5in", diameter, "mm")).toMatchObject({ value: 12.7 });
    expect(readField("broad", diameter).ok).toBe(false);
  });

  test("every list of a starter set may stand as it is, and a blank item too", () => {
    for (const set of [...starterSets.machines, ...starterSets.drawers])
      for (const list of shopListNames)
        for (const item of set.adds[list])
          expect([set.id, item.id, checkItem(list, item).filter((f) => f.severity === "stop")]).toEqual([
            set.id,
            item.id,
            [],
          ]);
    for (const list of shopListNames) expect(checkItem(list, blankItem(list, "x"))).toEqual([]);
  });
});

describe("what cannot be is told at its field", () => {
  const machine = (changes: Partial<Machine>) => ({ ...knee, ...changes });
  test.each<[string, ShopList, object, field: string, severity: "stop" | "ask"]>([
    ["no speeds", "machines", machine({ ranges: [] }), "ranges", "stop"],
    [
      "speeds out of order",
      "machines",
      machine({ ranges: [{ ...knee.ranges[0]!, speeds: { kind: "steps", rpm: [200, 100] } }] }),
      "ranges",
      "stop",
    ],
    ["watts for kilowatts", "machines", machine({ motorPower: 1500 }), "motorPower", "ask"],
    ["an electronic drive without base speed", "machines", machine({ drive: "electronic" }), "ranges", "ask"],
    ["zero teeth", "cutters", { ...endMill, teeth: 0 }, "teeth", "stop"],
    ["half a tooth", "cutters", { ...endMill, teeth: 2.5 }, "teeth", "stop"],
    ["flutes longer than what stands out", "cutters", { ...endMill, stickout: 70 }, "fluteLength", "stop"],
    ["no diameter", "cutters", { ...endMill, diameter: null }, "diameter", "stop"],
    ["a corner larger than the cutter", "cutters", { ...endMill, cornerRadius: 11 }, "cornerRadius", "stop"],
    ["a collet that ends before it begins", "holders", { ...demoShop.holders[0]!, to: 1 }, "to", "stop"],
    ["no name", "vises", { ...demoShop.vises[0]!, name: "" }, "name", "stop"],
  ])("%s", (_what, list, item, field, severity) => {
    const found = checkItem(list, item);
    expect(found).toContainEqual(expect.objectContaining({ key: field, severity }));
    expect(said(found[0]!.phrase).length).toBeGreaterThan(10);
  });
});

test("a shop of version 1 is read, twice over as well", () => {
  const fixture = JSON.parse(
    readFileSync(new URL("../../tests/fixtures/job-v1.json", import.meta.url), "utf8"),
  ) as { shopUsed: { [key: string]: unknown } };
  const once = upgradeShop(fixture.shopUsed);
  const shop = shopSchema.parse(once);
  expect(upgradeShop(once)).toEqual(once);
  expect(shop.machines.every((m) => m.ranges.length > 0)).toBe(true);
  // Stickout no longer has the holder in it, and is never less than the flutes.
  for (const c of shop.cutters)
    expect(checkItem("cutters", c).filter((f) => f.severity === "stop")).toEqual([]);
});

test("what is retired is not reckoned with", () => {
  const shop = { ...emptyShop, cutters: [endMill, { ...endMill, id: "gone", retired: true }] };
  expect(inUse(shop).cutters).toEqual([endMill]);
});
