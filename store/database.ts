import type { Glance } from "../core/plan/index.ts";
import type { SeenPart } from "../core/rehearse/index.ts";
import Dexie, { type EntityTable, type Table } from "dexie";
import type { JobFile } from "../core/exchange/index.ts";
import type { Change, Job } from "../core/job/index.ts";
import type { OwnHandbook } from "../core/handbook/index.ts";
import { type Shop, upgradeShop } from "../core/shop/index.ts";
import { type KeptRecord, upgradeRecords } from "../core/steps/index.ts";
import type { Phrase } from "../core/working/index.ts";

/** All the bench reads of a job. */
export interface JobCard {
  id: string;
  name: string;
  sheet: string;
  /** ISO time of the last change. */
  changed: string;
  /** How far it is, in words; kept as a phrase so that the unit can be switched. */
  status: Phrase | null;
  /** ISO time it was put away; empty while it is on the bench. */
  deleted: string;
  /** Words a person sorts the bench by; they are of this bench and do not travel with the job. */
  tags?: string[];
}

/** What the bench shows of a job besides its card, as it was when the job was changed last. */
export interface KeptGlance {
  jobId: string;
  /** What it was made of, the job as it was changed last and the shop: of anything else it is out of date. */
  madeOf: string;
  glance: Glance;
  picture: SeenPart | null;
}

export interface JobDocument {
  jobId: string;
  /** Counts changes of the decisions. */
  rev: number;
  job: Job;
  /** What came with an imported file, so that it goes out again as it came in. */
  imported?: { shopUsed: Shop; ownUsed: JobFile["ownUsed"] };
}

export type JobRecord = KeptRecord & { jobId: string };

export interface HistoryEntry {
  id: number;
  jobId: string;
  changes: Change[];
  at: string;
  undone: 0 | 1;
}

/** Text that was typed and not understood, so that nothing typed is lost. */
export interface Draft {
  jobId: string;
  path: string;
  text: string;
}

/** The one entry of the shop and of own handbook values. */
export const shopKey = "mine";

export class Database extends Dexie {
  jobs!: EntityTable<JobCard, "id">;
  documents!: EntityTable<JobDocument, "jobId">;
  records!: Table<JobRecord, [string, string]>;
  history!: EntityTable<HistoryEntry, "id">;
  drafts!: Table<Draft, [string, string]>;
  shop!: Table<Shop, string>;
  own!: Table<OwnHandbook, string>;
  settings!: Table<string, string>;
  glances!: EntityTable<KeptGlance, "jobId">;

  constructor(name = "firm-arbor") {
    super(name, { chromeTransactionDurability: "strict" });
    this.version(1).stores({
      jobs: "id, changed, deleted",
      documents: "jobId",
      records: "[jobId+seq], jobId",
      history: "++id, jobId, [jobId+undone]",
      drafts: "[jobId+path], jobId",
      shop: "",
      settings: "",
    });
    // Version 2: machines have ranges, cutters holders, told conditions a feed of the last pass; own handbook values.
    this.version(2)
      .stores({ own: "" })
      .upgrade(async (tx) => {
        const shop: unknown = await tx.table("shop").get(shopKey);
        if (shop) await tx.table("shop").put(upgradeShop(shop as never), shopKey);
        await tx
          .table("documents")
          .toCollection()
          .modify((document: { imported?: { shopUsed: unknown } }) => {
            if (document.imported)
              document.imported.shopUsed = upgradeShop(document.imported.shopUsed as never);
          });
      });
    this.version(3);
    // Versions 4 and 5: a record has an id that is the same on every device. A key cannot be changed where it stands, so the
    // records move out and back in; on the way they get today's shape.
    this.version(4)
      .stores({ records: null, moved: "++, jobId" })
      .upgrade(async (tx) => {
        const kept = await tx.table<{ jobId: string }>("records").toArray();
        for (const jobId of new Set(kept.map((record) => record.jobId)))
          await tx.table("moved").bulkAdd(upgradeRecords(kept.filter((r) => r.jobId === jobId)));
      });
    this.version(5)
      .stores({ records: "[jobId+id], jobId", moved: null })
      .upgrade(async (tx) => {
        await tx.table("records").bulkPut(await tx.table("moved").toArray());
      });
    // Version 6: what the bench shows is kept, and worked out anew where it is not.
    this.version(6).stores({ glances: "jobId" });
  }
}

let opened: Database | undefined;

/** The browser's one database, opened when first asked for. */
export function database(): Database {
  if (!opened) {
    opened = new Database();
    // Asks the browser not to throw the jobs away when space runs short.
    if (typeof navigator !== "undefined") void navigator.storage?.persist?.().catch(() => false);
    // A newer app in another tab wants to change the tables: let go, and say so.
    opened.on("versionchange", () => {
      opened?.close();
      dispatchEvent(new CustomEvent("firm-arbor:updated", { detail: "database" }));
    });
  }
  return opened;
}

/** A new id of 80 random bits. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(10));
  return [...bytes].map((b) => b.toString(32).padStart(2, "0")).join("");
}
