import "fake-indexeddb/auto";
import { readFileSync } from "node:fs";
import Dexie from "dexie";
import { expect, test } from "vitest";
import { plan } from "../core/plan/index.ts";
import { Database, loadJob, loadShop } from "./index.ts";

/** The tables as the app of that version made them. */
const tables = {
  1: {
    jobs: "id, changed, deleted",
    documents: "jobId",
    records: "[jobId+seq], jobId",
    history: "++id, jobId, [jobId+undone]",
    drafts: "[jobId+path], jobId",
    shop: "",
    settings: "",
  },
  2: { own: "" },
  3: {},
};

interface File {
  job: { id: string };
  records: { type: string }[];
  shopUsed: object;
}

test.each([
  [1, 1],
  [2, 2],
  [3, 2],
] as const)(
  "a database of version %d with a job of version %d opens today with every record in its order",
  async (version, jobVersion) => {
    const name = `kept-${version}`;
    const file = JSON.parse(
      readFileSync(new URL(`../tests/fixtures/job-v${jobVersion}.json`, import.meta.url), "utf8"),
    ) as File;
    const { id } = file.job;
    const old = new Dexie(name);
    for (let v = 1 as 1 | 2 | 3; v <= version; v++) old.version(v).stores(tables[v]);
    await old.open();
    await old.table("jobs").put({ id, name: "Kept", sheet: "", changed: "", status: null, deleted: "" });
    await old.table("documents").put({ jobId: id, rev: 1, job: file.job });
    await old.table("records").bulkPut(file.records.map((r) => ({ ...r, jobId: id })));
    await old.table("shop").put(file.shopUsed, "mine");
    old.close();

    const db = new Database(name);
    const kept = (await loadJob(db, id))!;
    const types = file.records.map(({ type }) => type.replace("featureBegun", "begun"));
    expect(kept.records.map((r) => r.type)).toEqual(types);
    expect(kept.records.map((r) => r.follows)).toEqual(
      [null, ...kept.records.map((r) => r.id)].slice(0, types.length),
    );
    const made = plan({ job: kept.job, records: kept.records, shop: await loadShop(db), piece: 1 });
    expect(made.current).toBeGreaterThan(types.length > 0 ? 0 : -1);
  },
);
