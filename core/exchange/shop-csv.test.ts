import { describe, expect, test } from "vitest";
import { demoShop, shopListNames } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { readShopCsv, writeShopCsv } from "./index.ts";

const said = (phrase: Parameters<typeof phraseText>[0]) => phraseText(phrase, "mm");

describe("CSV", () => {
  test.each(shopListNames.filter((list) => demoShop[list].length > 0))(
    "%s goes out and comes back",
    (list) => {
      const read = readShopCsv(list, writeShopCsv(list, demoShop[list]));
      expect(read.ok && read.value).toEqual({ items: demoShop[list], rejected: [] });
    },
  );

  const head = "name,kind,material,diameter,teeth,fluteLength,stickout,condition";
  test("lines that cannot be are rejected with number and reason; the others are read", () => {
    const text = [
      head,
      "12 end mill,endMill,hss,12,4,26,34,used",
      "no teeth,endMill,hss,12,0,26,34,used",
      "too long,endMill,hss,12,4,60,34,used",
      "12 end mill,endMill,hss,12,4,26,34,used",
      "of wood,endMill,wood,12,4,26,34,used",
      "half inch,End mill,HSS,1/2 in,4,26,34,new",
    ].join("\n");
    const read = readShopCsv("cutters", text);
    if (!read.ok) throw new Error(said(read.reason));
    expect(read.value.items.map((i) => [i.id, i.name])).toEqual([
      ["12-end-mill", "12 end mill"],
      ["half-inch", "half inch"],
    ]);
    expect(read.value.items[1]).toMatchObject({ diameter: 12.7, material: "hss", condition: "new" });
    expect(read.value.rejected.map((r) => [r.line, said(r.reason)])).toEqual([
      [3, expect.stringMatching(/teeth/i) as string],
      [4, expect.stringContaining("60.00") as string],
      [5, expect.stringContaining("earlier line") as string],
      [6, expect.stringContaining('"wood" is not known') as string],
    ]);
  });

  test.each([
    ["an empty file", "", "no lines"],
    ["only a head", head, "no lines"],
    ["columns of something else", "part,weight\nbolt,3", "not known: part, weight"],
    ["a column too few", "name,kind\na,endMill", "missing: material, diameter"],
    [
      "5 000 lines",
      [head, ...Array<string>(5000).fill("a,endMill,hss,12,4,26,34,used")].join("\n"),
      "5000 lines; at most 2000",
    ],
  ])("%s is refused whole", (_what, text, why) => {
    const read = readShopCsv("cutters", text);
    expect(read.ok ? "" : said(read.reason)).toContain(why);
  });

  test.each(["=1+1", "+cmd", "-x", "@sum", "-5", "12 end mill"])(
    "a spreadsheet shows the name %s and works nothing out",
    (name) => {
      const item = { ...demoShop.cutters[0]!, name };
      const text = writeShopCsv("cutters", [item]);
      expect(text.split(/[\r\n,]+/).filter((cell) => /^"?[=@]|^"?[+-][^\d.]/.test(cell))).toEqual([]);
      const read = readShopCsv("cutters", text);
      expect(read.ok && read.value.items[0]!.name).toBe(name);
    },
  );
});
