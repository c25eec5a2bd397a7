import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { type Rehearsal, rehearse } from "../core/plan/index.ts";
import { findingSorts, openSolids, type SolidKit } from "../core/rehearse/index.ts";
import { type AuditCase, auditCases } from "./support/audit-cases.ts";
import { lawSets } from "./support/law-sets.ts";
import { countsOf, walkJobs } from "./support/walked-jobs.ts";

/** What was found when the literal machine was built, and since: it may only fall. `npm run laws -- --write` sets it lower. */
const most = JSON.parse(
  readFileSync(new URL("../docs/literal-machine.json", import.meta.url), "utf8"),
) as Record<string, Record<string, number>>;

let opened: Promise<SolidKit> | undefined;
const solids = () => (opened ??= openSolids());

/** Jobs that were walked, so that what two cases look for in one job is walked once. */
const walkedOnce = new Map<object, Rehearsal>();
async function rehearsed({ job, shop, seed, upsets }: AuditCase): Promise<Rehearsal> {
  const known = upsets ? undefined : walkedOnce.get(job);
  const made = known ?? rehearse({ job, shop, seed, kit: await solids(), ...(upsets ? { upsets } : {}) });
  if (!upsets) walkedOnce.set(job, made);
  return made;
}

describe("told steps, obeyed to the letter", () => {
  test.each(lawSets.map((set) => [set.name, set] as const))(
    "%s jobs: no sort of finding more often than before, and every job can be walked",
    async (name, { jobs }) => {
      const walked = walkJobs(jobs(), await solids());
      expect(walked.broken).toEqual([]);
      expect(walked.planned).toBeGreaterThan(walked.jobs / 3);
      const counts = countsOf(walked);
      for (const sort of findingSorts)
        expect([sort, counts[sort] ?? 0]).toEqual([
          sort,
          Math.min(counts[sort] ?? 0, most[name]?.[sort] ?? 0),
        ]);
    },
    300_000,
  );

  test.each(auditCases().map((c) => [c.name, c] as const))("%s: mended", async (_name, c) => {
    const { findings } = await rehearsed(c);
    const { sort, what, op } = c.finds;
    const found = findings.filter(
      (f) => f.sort === sort && (what?.test(f.what) ?? true) && (op?.test(f.op) ?? true),
    );
    expect(found).toEqual([]);
  });
});
