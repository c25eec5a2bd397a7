import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { readJobFile } from "../core/exchange/index.ts";
import { appended, type RecordEvent } from "../core/steps/index.ts";
import { readingEvent } from "./support/reading-event.ts";
import { judgedBy, plan, scrappedIn, seriesFor, suspicions, verdictOf } from "../core/plan/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { inOrder } from "../core/steps/index.ts";

/** The finished demo job as it is shipped: what the application says of it is what its story is. */
const file = readJobFile(readFileSync(new URL("../public/demo/keeper-blocks.json", import.meta.url), "utf8"));
if (!file.ok) throw new Error("the finished demo job cannot be read");
const { job, records: kept } = file.value;
const records = inOrder(kept);
const made = (piece: number) => plan({ job, records, shop: demoShop, piece });

describe("the keeper blocks", () => {
  test.each([
    [1, "good", false],
    [2, "good", false],
    [3, "good", false],
    [4, "notGood", true],
    [5, "good", false],
    [6, "good", false],
    [7, "good", false],
  ] as const)("piece %i is walked to its end and %s", (piece, verdict, scrapped) => {
    const now = made(piece);
    expect(now.current).toBe(now.steps.length);
    expect([verdictOf(now), scrappedIn(records, piece) !== null]).toEqual([verdict, scrapped]);
  });

  test("piece 3 was cut once more, in a setup of its own", () => {
    expect(made(3).setups.length).toBe(made(2).setups.length + 1);
  });

  test("the turn that spoiled piece 4 is named first", () => {
    const [first] = suspicions(
      made(4),
      job,
      demoShop,
      demoShop.machines.find((m) => m.id === "knee"),
    );
    expect(first![0]!.suspect.id).toBe("turn front/face");
  });

  test("the slot comes narrower from piece to piece; the scrapped one is no part of the run", () => {
    const width = made(1).requirements.find((r) => r.of === "track/width")!;
    const run = seriesFor(width, records, judgedBy(job, demoShop))!;
    expect(run.pieces.map((p) => p.piece)).toEqual([1, 2, 3, 5, 6, 7]);
    expect(run.drift).toBeLessThan(-0.002);
    expect(run.outAt).toBeGreaterThan(7);
  });

  test("a piece whose size was worked by hand since is no part of the run until it is read again", () => {
    const width = made(1).requirements.find((r) => r.of === "track/width")!;
    const by = judgedBy(job, demoShop);
    const after = (...more: RecordEvent[]) => {
      const all = appended(records, ...more).map((r) => (r.seq > records.length ? { ...r, piece: 2 } : r));
      return seriesFor(width, all, by)!.pieces.map((p) => p.piece);
    };
    const filed: RecordEvent = { type: "byHand", of: "track/width", how: "filed" };
    expect(after(filed)).toEqual([1, 3, 5, 6, 7]);
    expect(after({ ...filed, of: "track/depth" })).toEqual([1, 2, 3, 5, 6, 7]);
    expect(after(filed, readingEvent("track/width", 10, "caliper"))).toEqual([1, 2, 3, 5, 6, 7]);
  });
});
