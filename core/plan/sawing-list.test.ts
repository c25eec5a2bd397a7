import { describe, expect, test } from "vitest";
import { afterSawing, demoShop } from "../shop/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { keeperBlocks } from "../../tests/support/finished-job.ts";
import { barOffers, blanksWanted, sawOrMill, wantedBlank } from "./blank-offer.ts";
import { plan } from "./make-plan.ts";
import { reservedBars, sawingList } from "./sawing-list.ts";
import { cheekBlock, read } from "../../tests/support/cheek-block.ts";

const jobs = [...demoJobs(), keeperBlocks()];
const named = (id: string) => jobs.find((job) => job.id === id)!;
const dogs = named("track-dogs");
const rack = demoShop.bars;

describe("blanks of a job", () => {
  test("six dogs come from the bar that holds them all", () => {
    const found = barOffers(dogs, demoShop, rack)!;
    expect(found.count).toBe(6);
    expect(found.offers[0]!.bar.id).toBe("flat-35-28");
    expect(found.offers[0]!.of).toMatchObject({ along: "length", sawLength: 47.45, gives: 13 });
    expect(found.offers[0]!.cut!.blade).toBe(6);
  });

  test("no blank is wanted of a drawing that is not complete", () => {
    const job = cheekBlock();
    expect(wantedBlank({ ...job, part: { ...job.part, material: null } }, demoShop)).toBeNull();
  });

  test("what is reserved is wanted no more", () => {
    const claims = [{ id: "c", jobId: dogs.id, jobName: "", each: 47, kerf: 2, count: 4 }];
    expect(blanksWanted(dogs, [{ ...rack[0]!, claims }])).toBe(2);
  });

  test("what was sawn is wanted no more either, and a bar that is used up gives nothing", () => {
    const claims = [{ id: "c", jobId: dogs.id, jobName: "", each: 47, kerf: 2, count: 6 }];
    const { kept } = afterSawing({ ...rack[0]!, claims }, "c")!;
    expect(blanksWanted(dogs, [kept])).toBe(0);
    expect(blanksWanted({ ...dogs, added: 1 }, [kept])).toBe(1);
    const used = { ...kept, retired: true };
    expect(barOffers(dogs, demoShop, [used])!.offers).toEqual([]);
    expect(sawingList([{ ...dogs, added: 1 }], demoShop, [used]).groups).toEqual([]);
  });

  test("a lump that stands far over is sawn, one that does not is milled", () => {
    const long = { ...cheekBlock() };
    long.stock = {
      ...long.stock,
      measured: {
        ...long.stock.measured,
        length: { ...long.stock.measured.length, p1: read(150), p2: null },
      },
    };
    const found = sawOrMill(long, plan({ job: long, records: [], shop: demoShop, piece: 1 }), demoShop);
    expect(found.map((f) => f.axis)).toEqual(["length"]);
    expect(found[0]!.mill).toBeGreaterThan(found[0]!.saw.most);
    expect(found[0]!.off + found[0]!.left).toBeCloseTo(found[0]!.over, 6);
    const short = cheekBlock();
    expect(sawOrMill(short, plan({ job: short, records: [], shop: demoShop, piece: 1 }), demoShop)).toEqual(
      [],
    );
  });
});

describe("blanks of several jobs", () => {
  const list = sawingList([dogs, named("keeper-blocks"), named("drum-shaft")], demoShop, rack);

  test("every blank is sawn once or said to be missing, from another section where the best runs out", () => {
    const sawn = list.groups.flatMap((g) => g.cut.flatMap((c) => c.blanks.map((b) => b.id)));
    const missing = list.missing.reduce((sum, m) => sum + m.count, 0);
    const wanted = list.jobs.filter((j) => j.from.length > 0).reduce((sum, j) => sum + j.count, 0);
    expect(new Set(sawn).size).toBe(sawn.length);
    expect(sawn.length + missing).toBe(wanted);
    expect(list.groups.length).toBeGreaterThan(1);
    expect(list.jobs.find((j) => j.job.id === "drum-shaft")!.lacks).toMatchObject({
      of: { why: "material" },
    });
  });

  test("reserved, the bars carry the claims and nothing is wanted that was sawn", () => {
    const pairs = list.groups.flatMap((g) => {
      let n = 0;
      return reservedBars(g, list.jobs, list.kerf, () => `c${n++}`);
    });
    const after = rack.map((bar) => pairs.find((p) => p.from.id === bar.id)?.to ?? bar);
    for (const { from, to } of pairs) {
      expect(from.claims).toEqual([]);
      expect(to.claims.length).toBeGreaterThan(0);
    }
    const left = blanksWanted(dogs, after) + blanksWanted(named("keeper-blocks"), after);
    expect(left).toBe(list.missing.reduce((sum, m) => sum + m.count, 0));
  });

  test("no jobs and no bars give an empty list", () => {
    expect(sawingList([], demoShop, rack).groups).toEqual([]);
    expect(sawingList([dogs], demoShop, []).groups).toEqual([]);
  });
});
