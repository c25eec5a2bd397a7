import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test } from "vitest";
import { blankItem, type ShopItem } from "../core/shop/index.ts";
import { cheekBlockWithFeatures } from "../tests/support/cheek-block.ts";
import { exportJobFile } from "./files.ts";
import {
  addJob,
  changeJob,
  Database,
  equipmentSign,
  importItems,
  loadEquipment,
  loadJob,
  loadMine,
  makeTwin,
  saveItem,
  saveItems,
  shopUndos,
  undoable,
  undoShop,
} from "./index.ts";

let db: Database;
let n = 0;
beforeEach(() => {
  db = new Database(`rack-${n++}`);
});
const bar = (id: string): ShopItem<"bars"> => ({ ...blankItem("bars", id), length: 500 });
const claim = { id: "c", jobId: "j", jobName: "Dogs", each: 47, kerf: 2, count: 3 };
const stamp = { at: "2026-12-01T08:00:00.000Z", by: "" };

describe("the rack", () => {
  test("is owned like all else, and no plan and no bench line hangs on it", async () => {
    const before = await equipmentSign(db);
    await saveItem(db, "bars", "a", null, bar("a"));
    const { shop, rack } = await loadEquipment(db);
    expect(rack.map((b) => b.id)).toEqual(["a"]);
    expect(shop.bars).toEqual([]);
    await saveItem(db, "bars", "a", bar("a"), { ...bar("a"), length: 100 });
    expect(await equipmentSign(db)).not.toBe(before);
    const sign = await equipmentSign(db);
    await saveItem(db, "bars", "b", null, bar("b"));
    expect(await equipmentSign(db)).toBe(sign);
    await saveItem(db, "bars", "b", bar("b"), { ...bar("b"), retired: true });
    expect((await loadEquipment(db)).rack.map((b) => b.id)).toEqual(["a"]);
  });

  test("several bars are reserved together, or none of them", async () => {
    await saveItem(db, "bars", "a", null, bar("a"));
    await saveItem(db, "bars", "b", null, bar("b"));
    const pairs = ["a", "b"].map((id) => ({ from: bar(id), to: { ...bar(id), claims: [claim] } }));
    expect(await undoable(db, () => saveItems(db, "bars", pairs))).toEqual({ ok: true });
    expect((await loadMine(db)).bars.map((b) => b.claims.length)).toEqual([1, 1]);
    // Changed meanwhile: neither is written.
    const again = pairs.map(({ to }) => ({ from: to, to: { ...to, where: "shelf" } }));
    again[1]!.from = bar("b");
    expect(await saveItems(db, "bars", again)).toMatchObject({ ok: false, theirs: { id: "b" } });
    expect((await loadMine(db)).bars.map((b) => b.where)).toEqual(["", ""]);
    expect(await shopUndos(db)).toBe(1);
    await undoShop(db);
    expect((await loadMine(db)).bars.map((b) => b.claims.length)).toEqual([0, 0]);
  });

  test("a bar that a file brings anew keeps what is reserved of it", async () => {
    await saveItem(db, "bars", "a", null, { ...bar("a"), claims: [claim] });
    await importItems(db, "bars", [{ ...bar("a"), where: "shelf" }]);
    expect((await loadMine(db)).bars).toMatchObject([{ where: "shelf", claims: [{ id: "c" }] }]);
  });

  test("more than a bar has cannot be reserved", async () => {
    await saveItem(db, "bars", "a", null, bar("a"));
    const to = { ...bar("a"), claims: [{ ...claim, count: 40 }] };
    expect(await saveItems(db, "bars", [{ from: bar("a"), to }])).toMatchObject({
      ok: false,
      findings: [{ key: "length" }],
    });
  });

  test("the rack of this browser does not go out with a job", async () => {
    const job = cheekBlockWithFeatures();
    await addJob(db, job, [], stamp.at);
    await saveItem(db, "bars", "a", null, bar("a"));
    expect(JSON.parse((await exportJobFile(db, job.id))!)).toMatchObject({ shopUsed: { bars: [] } });
  });
});

describe("a mirrored twin", () => {
  test("is kept as a job of its own, and the two are linked", async () => {
    const job = cheekBlockWithFeatures();
    await addJob(db, job, [], stamp.at);
    const id = (await makeTwin(db, job.id, "length", stamp))!;
    const [here, there] = [(await loadJob(db, job.id))!.job, (await loadJob(db, id))!.job];
    expect(Object.values(here.part.mates.byId)).toMatchObject([{ kind: "handed", job: id }]);
    expect(Object.values(there.part.mates.byId)).toMatchObject([{ kind: "handed", job: job.id }]);
    expect(there.name).toBe("Cheek block, mirrored");
  });

  test("of a job that is gone there is none", async () => {
    expect(await makeTwin(db, "gone", "length", stamp)).toBeNull();
  });

  test("a second change of the first leaves the twin as it is", async () => {
    const job = cheekBlockWithFeatures();
    await addJob(db, job, [], stamp.at);
    const id = (await makeTwin(db, job.id, "width", stamp))!;
    const before = (await loadJob(db, id))!.job;
    await changeJob(db, job.id, [{ path: "name", from: job.name, to: "Other" }], "", stamp);
    expect((await loadJob(db, id))!.job).toEqual(before);
  });
});
