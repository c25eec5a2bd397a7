import { describe, expect, test } from "vitest";
import { type Bar, blankItem, demoShop, type Saw } from "../shop/index.ts";
import { readShopCsv, writeShopCsv } from "./shop-csv.ts";

describe("rack and saws as CSV", () => {
  test("bars come back as they went out, without what is reserved of them", () => {
    const claims = [{ id: "c", jobId: "j", jobName: "Dogs", each: 47, kerf: 2, count: 1 }];
    const bars: Bar[] = demoShop.bars.map((bar, i) => (i === 0 ? { ...bar, claims } : bar));
    const read = readShopCsv("bars", writeShopCsv("bars", bars));
    expect(read.ok && read.value.rejected).toEqual([]);
    expect(read.ok && read.value.items).toEqual(bars.map((bar) => ({ ...bar, claims: [] })));
  });

  test("saws come back with their blades and speeds in a row", () => {
    const saws: Saw[] = [
      ...demoShop.saws,
      { ...blankItem("saws", "hand"), kind: "hand", blades: [24], fitted: null },
    ];
    const read = readShopCsv("saws", writeShopCsv("saws", saws));
    expect(read.ok && read.value.items).toEqual(saws);
  });

  test.each([
    ["a section nobody has", "triangle", "not known"],
    ["no section", "", "empty"],
  ])("a line with %s is told, the others come in", (_what, section, why) => {
    const head = "name,material,form,section,across,thick,length,where,offcut,price";
    const line = (name: string, of: string) => `${name},bronze,plate,${of},30,10,200,shelf,no,12`;
    const read = readShopCsv("bars", [head, line("a", "flat"), line("b", section)].join("\n"));
    if (!read.ok) throw new Error("refused whole");
    expect(read.value.items.map((item) => item.name)).toEqual(["a"]);
    expect(JSON.stringify(read.value.rejected)).toContain(why);
  });
});
