import { beforeAll, describe, expect, test } from "vitest";
import { plan } from "../../core/plan/index.ts";
import { openSolids, type SolidKit } from "../../core/rehearse/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { phraseIds } from "../support/phrase-ids.ts";
import { walkJobs } from "../support/walked-jobs.ts";
import { jobOf } from "./described.ts";
import { toolroomParts } from "./toolroom.ts";

const planned = new Map(
  toolroomParts.map((part) => {
    const job = jobOf(part);
    return [part.name, { job, made: plan({ job, records: [], shop: demoShop, piece: 1 }) }] as const;
  }),
);
const cases = toolroomParts.map((part) => [part.name, part] as const);

describe("parts as they come to a toolroom", () => {
  test.each(cases)("%s is planned whole, or what it lacks is a tool", (name, { lacks = [] }) => {
    const { made } = planned.get(name)!;
    expect(made.findings.filter((f) => f.severity === "stop")).toEqual([]);
    expect(made.refusal).toBeNull();
    expect(made.setups.length).toBeGreaterThan(0);
    expect((made.features?.refused ?? []).flatMap((r) => [...phraseIds(r.reason)])).toEqual(lacks);
    expect(made.setups.flatMap((s) => s.warnings.filter((w) => w.severity === "stop"))).toEqual([]);
  });

  test("they are held in every way there is", () => {
    const ways = new Set(
      [...planned.values()].flatMap(({ made }) =>
        made.setups.map(({ device, seat: { table, parallels } }) =>
          table
            ? `${device}${table.plate ? (table.plate.glued ? ", glued" : ", on a plate") : ", strapped"}`
            : `${device}${parallels?.lower ? ", stacked" : ""}`,
        ),
      ),
    );
    expect([...ways].sort()).toEqual([
      "table, glued",
      "table, on a plate",
      "table, strapped",
      "vBlocks",
      "vBlocks, strapped",
      "vise",
      "vise, stacked",
    ]);
  });
});

/** One of each way of holding; `npm run laws` walks all of them. */
const walked = [
  "Motor plate with a pocket",
  "Base plate 240 by 160",
  "Shim plate 3 thick",
  "Scale plate 2 thick",
  "Vise jaw plate",
  "Shaft with a Woodruff seat and a cross hole",
  "T-nut",
];

describe("the literal machine", () => {
  let kit: SolidKit;
  beforeAll(async () => {
    kit = await openSolids();
  });

  test.each(walked)("finds nothing in %s, told to its end", (name) => {
    const { job } = planned.get(name)!;
    const found: string[] = [];
    const { finished, broken } = walkJobs([{ name, seed: 3, job, shop: demoShop }], kit, (_, findings) =>
      found.push(...findings.map((f) => `${f.sort} ${f.op} ${f.step} ${f.what}`)),
    );
    expect([finished, broken, found]).toEqual([1, [], []]);
  });
});
