import { writeFileSync } from "node:fs";
import { findingSorts, openSolids } from "../core/rehearse/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { demoJobs } from "../tests/support/demo-jobs.ts";
import { randomJob } from "../tests/support/random-jobs.ts";
import { checkedSeeds, lawSets } from "../tests/support/law-sets.ts";
import { countsOf, type JobToWalk, walkJobs, type WalkedJobs } from "../tests/support/walked-jobs.ts";
import { plan } from "../core/plan/index.ts";
import { phraseIds } from "../tests/support/phrase-ids.ts";
import { toolroomParts } from "../tests/parts/toolroom.ts";
import { jobOf } from "../tests/parts/described.ts";

/** Walks random jobs and the demo jobs by the literal machine and prints what it finds. Built and run by laws.mjs. */

const number = (name: string, usual: number) => {
  const at = process.argv.indexOf(name);
  return at === -1 ? usual : Number(process.argv[at + 1]);
};
const count = number("--jobs", 200);
const from = number("--from", 1);
const write = process.argv.includes("--write");
const show = process.argv.includes("--show");

function* random(): Generator<JobToWalk> {
  for (let seed = from; seed < from + count; seed++) yield { name: String(seed), ...randomJob(seed) };
}
const demo = demoJobs().map((job): JobToWalk => ({ name: job.id, seed: 1, job, shop: demoShop }));

const kit = await openSolids();
const started = Date.now();
let last = Date.now();
const onJob = (
  name: string,
  findings: readonly { sort: string; op: string; step: string; size: number; what: string }[],
) => {
  if (!show) return;
  console.log(`${name}: ${findings.length} in ${Date.now() - last} ms`);
  last = Date.now();
  for (const f of findings) console.log(`   ${f.sort} ${f.op} ${f.step} ${f.size.toFixed(3)} ${f.what}`);
};

const parts = toolroomParts.map((part): JobToWalk => ({
  name: part.name,
  seed: 3,
  job: jobOf(part),
  shop: demoShop,
}));

function table(title: string, walked: WalkedJobs): string {
  const rows = findingSorts.flatMap((sort) => {
    const { count, jobs, worst, in: where } = walked.sorts[sort];
    return count === 0 ? [] : [`| ${sort} | ${count} | ${jobs} | ${worst.toFixed(2)} | ${where} |`];
  });
  const judged = [...walked.verdicts].map(
    ([what, v]) =>
      `| ${what} | ${v.goodIsGood} | ${v.goodIsBad} | ${v.badIsBad} | ${v.badIsGood} | ${v.cannotTell} | ${v.rightlyCannotTell} | ${v.notJudged} |`,
  );
  return [
    `## ${title}`,
    "",
    `${walked.jobs} jobs, ${walked.planned} with steps, ${walked.finished} walked to a whole part, ${walked.steps} steps, ${walked.broken.length} that broke the walk.`,
    "",
    "| found | times | in jobs | worst | seen in |",
    "| --- | --- | --- | --- | --- |",
    ...rows,
    "",
    "What the application says of a size, and what it truly is:",
    "",
    "| size | good, is good | good, is bad | bad, is bad | bad, is good | cannot tell | of these within 0.03 of a limit | not judged |",
    "| --- | --- | --- | --- | --- | --- | --- | --- |",
    ...judged,
    "",
  ].join("\n");
}

/** How many random jobs are planned whole, and why others are not: by the rule that says so, each counted once for a job. */
function reasons(): string {
  const counts = { whole: 0, partly: 0, none: 0 };
  const by = new Map<string, string[]>();
  for (const { name, job, shop } of random()) {
    const { refusal, features } = plan({ job, records: [], shop, piece: 1 });
    const why = refusal ? [refusal.reason] : (features?.refused ?? []).map((r) => r.reason);
    counts[refusal ? "none" : why.length > 0 ? "partly" : "whole"]++;
    for (const id of phraseIds(why)) by.set(id, [...(by.get(id) ?? []), name]);
  }
  return [
    `${counts.whole} planned whole, ${counts.partly} in part, ${counts.none} not squared. Why not, by rule:`,
    "",
    "| rule | jobs | seen in |",
    "| --- | --- | --- |",
    ...[...by]
      .sort((a, b) => b[1].length - a[1].length)
      .map(([id, jobs]) => `| ${id} | ${jobs.length} | ${jobs.slice(0, 5).join(", ")} |`),
    "",
  ].join("\n");
}
if (process.argv.includes("--reasons")) {
  console.log(reasons());
  process.exit(0);
}

const ofDemo = walkJobs(demo, kit, onJob);
const ofParts = walkJobs(parts, kit, onJob);
const ofRandom = walkJobs(random(), kit, onJob);
const text = [
  table("The demo jobs", ofDemo),
  table("The parts of a toolroom", ofParts),
  table(`Random jobs, seeds ${from} to ${from + count - 1}`, ofRandom),
].join("\n");
console.log(text);
console.log(`${((Date.now() - started) / 1000).toFixed(0)} s`);
for (const broken of [...ofDemo.broken, ...ofParts.broken, ...ofRandom.broken])
  console.log(`BROKEN ${broken}`);

if (write) {
  const limits = lawSets.map(({ name, jobs }) => [name, countsOf(walkJobs(jobs(), kit))] as const);
  writeFileSync(
    new URL("../../../docs/literal-machine.json", import.meta.url),
    `${JSON.stringify(Object.fromEntries(limits), null, 2)}\n`,
  );
  console.log(`written: what seeds ${checkedSeeds.join(" to ")} and the demo jobs may not exceed`);
  writeFileSync(new URL("../../../node_modules/.cache/literal-machine.md", import.meta.url), text);
}
