import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "vitest";
import { materials } from "../core/handbook/index.ts";
import { blankItem, demoShop, type ShopItem } from "../core/shop/index.ts";
import { cheekBlock } from "../tests/support/cheek-block.ts";
import { exportJobFile, importJobFile } from "./files.ts";
import {
  addJob,
  addMissing,
  Database,
  importItems,
  loadEquipment,
  loadMine,
  loadOwn,
  saveItem,
  saveMaterial,
  shopUndos,
  undoable,
  undoShop,
} from "./index.ts";

let db: Database;
let n = 0;
beforeEach(() => {
  db = new Database(`shop-${n++}`);
});

const mill = blankItem("cutters", "mine");
const steel = materials[0]!;
const at = "2026-11-25T09:00:00.000Z";

describe("the shop", () => {
  test("while a list is empty the demo shop's stands in and it is said; own things end that", async () => {
    expect(await loadEquipment(db)).toMatchObject({ standIns: ["machines", "cutters", "vises"] });
    await saveItem(db, "cutters", mill.id, null, mill);
    const { standIns, shop } = await loadEquipment(db);
    expect(standIns).toEqual(["machines", "vises"]);
    expect(shop.cutters).toEqual([mill]);
    await saveItem(db, "cutters", mill.id, mill, { ...mill, retired: true });
    expect((await loadEquipment(db)).standIns).toContain("cutters");
  });

  test("an item changed elsewhere meanwhile is told, and nothing is written", async () => {
    await saveItem(db, "cutters", mill.id, null, mill);
    const worn: ShopItem = { ...mill, condition: "worn" };
    await saveItem(db, "cutters", mill.id, mill, worn);
    expect(await saveItem(db, "cutters", mill.id, mill, { ...mill, name: "Other" })).toEqual({
      ok: false,
      theirs: worn,
    });
    expect((await loadMine(db)).cutters).toEqual([worn]);
  });

  test.each([
    ["zero teeth", { teeth: 0 }],
    ["flutes longer than what stands out", { fluteLength: 90 }],
  ])("%s is refused with the field, and nothing is written", async (_what, wrong) => {
    await saveItem(db, "cutters", mill.id, null, mill);
    const saved = await saveItem(db, "cutters", mill.id, mill, { ...mill, ...wrong });
    expect(saved).toMatchObject({ ok: false, findings: [{ key: Object.keys(wrong)[0] }] });
    expect((await loadMine(db)).cutters).toEqual([mill]);
  });

  test("an import replaces by id, keeps the order, and is undone whole", async () => {
    await addMissing(db, { ...demoShop, cutters: [mill, ...demoShop.cutters] });
    const before = await loadMine(db);
    await undoable(db, () =>
      importItems(db, "cutters", [
        { ...mill, name: "New name" },
        { ...mill, id: "more" },
      ]),
    );
    const after = (await loadMine(db)).cutters;
    expect([after[0]!.name, after.at(-1)!.id, after.length]).toEqual([
      "New name",
      "more",
      before.cutters.length + 1,
    ]);
    expect(await shopUndos(db)).toBe(1);
    expect(await undoShop(db)).toBe(true);
    expect(await loadMine(db)).toEqual(before);
    expect(await undoShop(db)).toBe(false);
  });

  test("what changes nothing leaves nothing to undo; the oldest of many is forgotten", async () => {
    await undoable(db, () => saveItem(db, "cutters", mill.id, mill, { ...mill, name: "Late" }));
    expect(await shopUndos(db)).toBe(0);
    await saveItem(db, "cutters", mill.id, null, { ...mill, minutesUsed: 0 });
    for (let i = 0; i < 35; i++)
      await undoable(db, () =>
        saveItem(db, "cutters", mill.id, { ...mill, minutesUsed: i }, { ...mill, minutesUsed: i + 1 }),
      );
    for (let left = await shopUndos(db); left > 0; left--) await undoShop(db);
    expect((await loadMine(db)).cutters[0]!.minutesUsed).toBe(4);
  });

  test("a starter set taken twice adds nothing the second time", async () => {
    expect((await addMissing(db, demoShop)).length).toBeGreaterThan(40);
    expect(await addMissing(db, demoShop)).toEqual([]);
  });
});

describe("own handbook values", () => {
  const mine = { ...steel, kc11: steel.kc11 + 100 };
  test("are kept and taken back; what cannot be is refused", async () => {
    expect(await saveMaterial(db, steel.id, mine)).toEqual({ ok: true });
    expect((await loadOwn(db)).materials[steel.id]?.kc11).toBe(mine.kc11);
    expect(await saveMaterial(db, steel.id, { ...mine, kc11: -1 })).toMatchObject({
      ok: false,
      problem: expect.stringContaining("kc11") as string,
    });
    expect((await loadOwn(db)).materials[steel.id]?.kc11).toBe(mine.kc11);
    await saveMaterial(db, steel.id, null);
    expect((await loadOwn(db)).materials).toEqual({});
  });

  test("travel with a job that uses them, and stay out where there are own ones already", async () => {
    const job = cheekBlock();
    await addJob(db, job, [], at);
    await saveMaterial(db, job.part.material!, { ...mine, id: job.part.material! });
    const file = (await exportJobFile(db, job.id))!;
    const other = new Database(`shop-${n++}`);
    const imported = await importJobFile(other, file, at);
    expect(imported).toMatchObject({
      kind: "added",
      added: expect.arrayContaining([`own values of ${mine.name}`]) as string[],
    });
    expect((await loadOwn(other)).materials[job.part.material!]?.kc11).toBe(mine.kc11);
    expect(await exportJobFile(other, job.id)).toBe(file);
    const third = new Database(`shop-${n++}`);
    await saveMaterial(third, job.part.material!, { ...mine, id: job.part.material!, kc11: 1500 });
    await importJobFile(third, file, at);
    expect((await loadOwn(third)).materials[job.part.material!]?.kc11).toBe(1500);
  });
});
