import "fake-indexeddb/auto";
import { readFileSync } from "node:fs";
import { beforeEach, describe, expect, test } from "vitest";
import { canonicalJson, largestJobFile, readJobFile } from "../core/exchange/index.ts";
import { type KeptRecord, unplaced } from "../core/steps/index.ts";
import { changeOf, jobVersion, migrate, type Migrations } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { phraseText } from "../core/working/index.ts";
import { jobFileJsonSchema } from "../tests/support/job-file-schema.ts";
import { cheekBlockWithFeatures, dim } from "../tests/support/cheek-block.ts";
import { walk } from "../tests/support/walker.ts";
import { exportJobFile, exportReadings, importJobFile } from "./files.ts";
import {
  addMissing,
  addJob,
  appendRecords,
  changeJob,
  copyJob,
  createJob,
  Database,
  deleteJob,
  keepDraft,
  listDeleted,
  listJobs,
  loadJob,
  loadMine,
  restoreJob,
  saveItem,
  undoJob,
  tagsIn,
} from "./index.ts";
import { faceCuts } from "../tests/support/faces.ts";

const stamp = { at: "2026-11-25T09:00:00.000Z", by: "" };
const demoFile = readFileSync(new URL("../public/demo/cheek-block.json", import.meta.url), "utf8");
let db: Database;
let n = 0;

beforeEach(async () => {
  db = new Database(`test-${n++}`);
  await addJob(db, cheekBlockWithFeatures(), [], stamp.at);
});

const kept = async () => (await loadJob(db, "cheek-block"))!;
const set = async (path: string, to: unknown, seen = cheekBlockWithFeatures()) =>
  changeJob(db, "cheek-block", [changeOf(seen, path, to)], "", stamp);

describe("changes", () => {
  test("two tabs on different fields merge", async () => {
    expect((await set("part/sizes/length", dim("95"))).ok).toBe(true);
    expect((await set("part/sizes/width", dim("59"))).ok).toBe(true);
    const { job, rev } = await kept();
    expect([job.part.sizes.length?.nominal, job.part.sizes.width?.nominal, rev]).toEqual([95, 59, 3]);
  });

  test("two tabs on the same field: both values are told, nothing is written", async () => {
    await set("part/sizes/length", dim("95"));
    const second = await set("part/sizes/length", dim("94"));
    expect(second).toMatchObject({
      ok: false,
      conflicts: [{ path: "part/sizes/length", yours: { nominal: 94 }, theirs: { nominal: 95 } }],
    });
    expect((await kept()).job.part.sizes.length?.nominal).toBe(95);
  });

  test("a change that makes no valid job is refused", async () => {
    expect(await set("part/sizes/length", "long")).toMatchObject({
      ok: false,
      invalid: expect.stringContaining("part") as string,
    });
    expect((await kept()).rev).toBe(1);
  });

  test("undo and redo walk through the changes; a new change forgets what was undone", async () => {
    await set("name", "A");
    await changeJob(db, "cheek-block", [{ path: "name", from: "A", to: "B" }], "", stamp);
    await undoJob(db, "cheek-block", "undo", stamp);
    expect((await kept()).job.name).toBe("A");
    await undoJob(db, "cheek-block", "redo", stamp);
    expect((await kept()).job.name).toBe("B");
    await undoJob(db, "cheek-block", "undo", stamp);
    await changeJob(db, "cheek-block", [{ path: "name", from: "A", to: "C" }], "", stamp);
    const after = await kept();
    expect([after.job.name, after.canUndo, after.canRedo]).toEqual(["C", true, false]);
    expect(await undoJob(db, "cheek-block", "redo", stamp)).toBeNull();
  });

  test("once a cut was made a change is logged with its reason", async () => {
    const { records } = walk(cheekBlockWithFeatures(), { until: (step) => step.id === "cut-2" });
    await db.records.bulkPut(records.map((r) => ({ ...r, jobId: "cheek-block" })));
    await changeJob(
      db,
      "cheek-block",
      [changeOf(cheekBlockWithFeatures(), "part/sizes/width", dim("59"))],
      "the mate is smaller",
      stamp,
    );
    expect((await kept()).records.at(-1)).toMatchObject({ type: "changed", reason: "the mate is smaller" });
  });

  test("typed text that was not understood is kept until it is", async () => {
    await keepDraft(db, { jobId: "cheek-block", path: "part/sizes/length", text: "9x" });
    expect((await kept()).drafts).toEqual({ "part/sizes/length": "9x" });
    await set("part/sizes/length", dim("95"));
    expect((await kept()).drafts).toEqual({});
  });
});

describe("records", () => {
  test("two tabs cannot both say cut done", async () => {
    const cut = { type: "note" as const, text: "cut done" };
    expect(await appendRecords(db, "cheek-block", [cut], null, 1, stamp)).not.toBeNull();
    expect(await appendRecords(db, "cheek-block", [cut], null, 1, stamp)).toBeNull();
    expect((await kept()).records).toHaveLength(1);
  });
});

describe("the bench", () => {
  test("a job put away can be brought back, a copy has no records", async () => {
    const id = await createJob(db, "Pawl", stamp.at);
    await deleteJob(db, id, stamp.at);
    expect([(await listJobs(db)).length, (await listDeleted(db)).length, await loadJob(db, id)]).toEqual([
      1,
      1,
      null,
    ]);
    await restoreJob(db, id);
    expect(await listJobs(db)).toHaveLength(2);
    await appendRecords(db, "cheek-block", [{ type: "note", text: "x" }], null, 1, stamp);
    const copy = await loadJob(db, (await copyJob(db, "cheek-block", stamp.at))!);
    expect([copy?.records.length, copy?.job.part]).toEqual([0, cheekBlockWithFeatures().part]);
  });
});

describe("files", () => {
  test("the demo file imports and comes out as the same bytes", async () => {
    const fresh = new Database(`fresh-${n++}`);
    expect(await importJobFile(fresh, demoFile, stamp.at)).toMatchObject({ kind: "added" });
    expect(await exportJobFile(fresh, "cheek-block")).toBe(demoFile);
  });

  test("a known job gets the records it lacks; differing decisions are asked about", async () => {
    const { records } = walk(cheekBlockWithFeatures(), { until: (step) => step.setup === 2 });
    const more = canonicalJson({ ...(JSON.parse(demoFile) as object), records });
    expect(await importJobFile(db, more, stamp.at)).toMatchObject({ kind: "merged" });
    expect((await kept()).records).toHaveLength(records.length);
    expect(await importJobFile(db, more, stamp.at)).toMatchObject({ kind: "same" });
    await set("name", "Mine");
    expect(await importJobFile(db, more, stamp.at)).toMatchObject({ kind: "differs" });
    expect((await kept()).job.name).toBe("Mine");
    await importJobFile(db, more, stamp.at, "takeTheirs");
    expect((await kept()).job.name).toBe("Cheek block");
  });

  test("a file of an archived job asks, and nothing archived is lost whatever is answered", async () => {
    await set("name", "Mine");
    await appendRecords(db, "cheek-block", [{ type: "note", text: "here" }], null, 1, stamp);
    await deleteJob(db, "cheek-block", stamp.at);
    expect(await importJobFile(db, demoFile, stamp.at)).toMatchObject({ kind: "archived", name: "Mine" });
    expect([await loadJob(db, "cheek-block"), (await listDeleted(db)).length]).toEqual([null, 1]);
    expect(await importJobFile(db, demoFile, stamp.at, "asCopy")).toMatchObject({ kind: "added" });
    expect((await listDeleted(db)).length).toBe(1);
    await importJobFile(db, demoFile, stamp.at, "keepMine");
    expect([(await kept()).job.name, (await kept()).records.length]).toEqual(["Mine", 1]);
    await deleteJob(db, "cheek-block", stamp.at);
    await importJobFile(db, demoFile, stamp.at, "takeTheirs");
    expect([(await kept()).job.name, (await kept()).records.length]).toEqual(["Cheek block", 1]);
  });

  const withRecords = (records: readonly KeptRecord[], job = JSON.parse(demoFile) as object) =>
    canonicalJson({ ...job, records });

  test("what two devices recorded of a job is put together, and comes out the same on both", async () => {
    await importJobFile(db, demoFile, stamp.at);
    const other = new Database(`other-${n++}`);
    await importJobFile(other, (await exportJobFile(db, "cheek-block"))!, stamp.at);
    const note = (where: Database, text: string, at: string) =>
      loadJob(where, "cheek-block").then((known) =>
        appendRecords(where, "cheek-block", [{ type: "note", text }], known!.records.at(-1)?.id ?? null, 1, {
          at,
          by: "",
        }),
      );
    await note(db, "desk 1", "2026-11-25T09:01:00.000Z");
    await note(other, "phone 1", "2026-11-25T09:02:00.000Z");
    await note(db, "desk 2", "2026-11-25T09:03:00.000Z");
    const [desk, phone] = [await exportJobFile(db, "cheek-block"), await exportJobFile(other, "cheek-block")];
    expect(await importJobFile(db, phone!, stamp.at)).toMatchObject({ kind: "merged" });
    expect(await importJobFile(other, desk!, stamp.at)).toMatchObject({ kind: "merged" });
    expect((await kept()).records.map((r) => r.type === "note" && r.text)).toEqual([
      "desk 1",
      "phone 1",
      "desk 2",
    ]);
    expect(await exportJobFile(other, "cheek-block")).toBe(await exportJobFile(db, "cheek-block"));
    expect(await importJobFile(other, phone!, stamp.at)).toMatchObject({ kind: "same" });
  });

  test("a record that a file tells differently is never taken over", async () => {
    await appendRecords(db, "cheek-block", [{ type: "note", text: "here" }], null, 1, stamp);
    const [mine] = (await kept()).records;
    const file = withRecords([{ ...unplaced(mine!), type: "note", text: "there" }]);
    expect(await importJobFile(db, file, stamp.at, "takeTheirs")).toMatchObject({ kind: "refused" });
    expect((await kept()).records).toMatchObject([{ text: "here" }]);
  });

  test("decisions taken from a file can be undone, and what was done before them still can", async () => {
    await set("sheet", "S-1");
    await set("name", "Mine");
    await importJobFile(db, demoFile, stamp.at, "takeTheirs");
    expect((await kept()).job.name).toBe("Cheek block");
    for (const name of ["Mine", "Cheek block"]) {
      await undoJob(db, "cheek-block", "undo", stamp);
      expect((await kept()).job.name).toBe(name);
    }
  });

  test("a shop that lacks what the job used gets it", async () => {
    const file = JSON.parse(demoFile) as { shopUsed: typeof demoShop; job: { id: string } };
    file.job.id = "elsewhere";
    file.shopUsed.cutters.push({ ...demoShop.cutters[0]!, id: "theirs", name: "their face mill" });
    await addMissing(db, demoShop);
    const imported = await importJobFile(db, canonicalJson(file), stamp.at);
    expect(imported).toMatchObject({ kind: "added", added: ["their face mill"] });
  });

  test.each([
    ["broken", demoFile.slice(0, 2000), /line \d+, column \d+/],
    ["not JSON at all", "G1 X10", /line 1/],
    ["foreign", JSON.stringify({ format: "other" }), /not a job file/],
    ["newer", demoFile.replaceAll(`"version": ${jobVersion}`, '"version": 99'), /newer version \(99\)/],
    [
      "without a version",
      demoFile.replaceAll(`"version": ${jobVersion}`, '"version": "x"'),
      /version of the job/,
    ],
    [
      "with a wrong field",
      demoFile.replace('"material": "steel-low-rolled"', '"material": 5'),
      /job \/ part \/ material/,
    ],
    ["huge", "x".repeat(largestJobFile + 1), /million characters/],
  ])("a file that is %s says what is wrong and changes nothing", async (_what, text, message) => {
    const imported = await importJobFile(db, text, stamp.at);
    expect(imported.kind).toBe("refused");
    if (imported.kind === "refused") expect(phraseText(imported.reason, "mm")).toMatch(message);
    expect(await listJobs(db)).toHaveLength(1);
    expect((await kept()).rev).toBe(1);
  });

  test("readings come out as CSV with both units", async () => {
    await db.records.bulkPut(
      walk(cheekBlockWithFeatures()).records.map((r) => ({ ...r, jobId: "cheek-block" })),
    );
    const lines = (await exportReadings(db, "cheek-block"))!.split("\r\n");
    expect(lines[0]).toBe("number,time,piece,of,operation,mm,inch,place,typed,instrument,questioned");
    expect(lines.length).toBeGreaterThan(6);
    expect(lines.findLast((l) => l.includes("/face"))).toMatch(
      /length,(left|right)\/face,9[56][\d.]*,3\.7\d+/,
    );
  });

  test("the shipped JSON schema is the one of the code", () => {
    expect(readFileSync(new URL("../docs/formats/job-file.schema.json", import.meta.url), "utf8")).toBe(
      jobFileJsonSchema(),
    );
  });
});

describe("versions", () => {
  test.each([1, 2, 3, 4, 5])("the fixture of version %d reads today and can be planned", (version) => {
    const text = readFileSync(new URL(`../tests/fixtures/job-v${version}.json`, import.meta.url), "utf8");
    const read = readJobFile(text);
    if (!read.ok) throw new Error(phraseText(read.reason, "mm"));
    const { job, records, shopUsed, ownUsed } = read.value;
    const made = plan({ job, records, shop: shopUsed, piece: 1, own: { materials: ownUsed } });
    expect(faceCuts(made).length).toBe(6);
    expect(made.current).toBeGreaterThan(records.length > 0 ? 0 : -1);
  });

  test.each([1, 2, 3, 4, 5])(
    "a job and a shop kept by version %d can be changed, undone, copied and exported today",
    async (version) => {
      const text = readFileSync(new URL(`../tests/fixtures/job-v${version}.json`, import.meta.url), "utf8");
      const { job, records, shopUsed } = JSON.parse(text) as {
        job: { id: string; name: string };
        records: object[];
        shopUsed: object;
      };
      const old = new Database(`old-${version}`);
      await addJob(old, job as never, records, stamp.at);
      await old.shop.put(shopUsed as never, "mine");
      const change = (to: string, from: string) =>
        changeJob(old, job.id, [{ path: "name", from, to }], "", stamp);
      // The first change, with nothing read before.
      expect(await change("First", job.name)).toMatchObject({ ok: true });
      expect(await change("Second", "First")).toMatchObject({ ok: true });
      expect(await undoJob(old, job.id, "undo", stamp)).toMatchObject({ ok: true });
      const now = (await loadJob(old, job.id))!;
      expect([now.job.name, now.job.version, now.records.length]).toEqual([
        "First",
        jobVersion,
        records.length + now.records.filter((r) => r.type === "changed").length,
      ]);
      expect((await loadJob(old, (await copyJob(old, job.id, stamp.at))!))!.job.part).toEqual(now.job.part);
      const file = (await exportJobFile(old, job.id))!;
      expect(readJobFile(file).ok).toBe(true);
      expect(await importJobFile(old, file, stamp.at)).toMatchObject({ kind: "same" });
      const [vise] = (await loadMine(old)).vises;
      expect(await saveItem(old, "vises", vise!.id, vise!, { ...vise!, name: "Renamed" })).toEqual({
        ok: true,
      });
      expect((await loadMine(old)).vises[0]!.name).toBe("Renamed");
    },
  );

  test("steps lead from version to version, and a newer document is refused", () => {
    const steps: Migrations = { 1: (d) => ({ ...d, b: d.a }), 2: (d) => ({ ...d, c: 3 }) };
    expect(migrate({ version: 1, a: 1 }, steps, 3)).toEqual({
      ok: true,
      document: { version: 3, a: 1, b: 1, c: 3 },
    });
    expect(migrate({ version: 4 }, steps, 3)).toMatchObject({ ok: false, problem: "newer" });
    expect(migrate({ version: 1 }, {}, 2)).toMatchObject({ ok: false, problem: "unknown" });
  });
});

test.each([
  ["", []],
  [" , ,", []],
  ["winch, urgent , winch", ["winch", "urgent"]],
  ["x".repeat(99), ["x".repeat(40)]],
])("tags typed as %j", (text, tags) => expect(tagsIn(text)).toEqual(tags));
