import { describe, expect, test } from "vitest";
import { isFaceKey, type Told, tell } from "../route/index.ts";
import { demoShop } from "../shop/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { walk } from "../../tests/support/walker.ts";
import { plan } from "./make-plan.ts";

const jobs = demoJobs().filter(({ id }) => ["cheek-block", "crank-shaft"].includes(id));
const whole = (value: unknown) => JSON.stringify(value);

/** A plan of which nothing was known before: another shop, another job, the same in everything. */
const anew = (job: (typeof jobs)[number], records: JobRecord[]) =>
  plan({ job: structuredClone(job), records, shop: structuredClone(demoShop), piece: 1 });

describe.each(jobs.map((job) => [job.id, job] as const))("what is known of the plan of %s", (_id, job) => {
  const { records } = walk(job);

  test("is what it would be made anew, after every kind of record", () => {
    const seen = new Set<string>();
    records.forEach((record, i) => {
      // Of each kind of record at each kind of operation once, and a few others.
      const kind = `${record.type} ${"op" in record && record.op ? String(record.op).split("/")[1] : ""}`;
      if (seen.has(kind) && i % 37 !== 0) return;
      seen.add(kind);
      const so = records.slice(0, i + 1);
      expect(whole(plan({ job, records: so, shop: demoShop, piece: 1 }))).toBe(whole(anew(job, so)));
    });
    expect(seen.size).toBeGreaterThan(3);
  });

  test("stays with every operation as it was told when it began", () => {
    for (let end = 20; end <= records.length; end += 53) {
      const so = records.slice(0, end);
      const { setups } = plan({ job, records: so, shop: demoShop, piece: 1 });
      const told = new Map<string, Told>(
        setups.flatMap((setup) => setup.operations.map((o): [string, Told] => [o.key, tell(setup, o)])),
      );
      for (const record of so)
        if (record.type === "begun" && !isFaceKey(record.told.key))
          expect(told.get(record.told.key)).toEqual(record.told);
    }
  });

  test("does not outlive a decision: another size is planned at once", () => {
    const before = plan({ job, records: [], shop: demoShop, piece: 1 });
    const changed = structuredClone(job);
    changed.part.material = changed.part.material === "brass" ? "steel-low-rolled" : "brass";
    const after = plan({ job: changed, records: [], shop: demoShop, piece: 1 });
    expect(whole(after.setups)).not.toBe(whole(before.setups));
    expect(whole(plan({ job, records: [], shop: demoShop, piece: 1 }))).toBe(whole(before));
  });
});
