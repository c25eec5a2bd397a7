import { spawn, spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureChromium, ensurePackages } from "./ensure.mjs";

/** Everything that must hold, what reads only two at a time; ends with a plain line `N passed, N failed`. */
ensurePackages();
ensureChromium();
const out = "node_modules/.cache/check";
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });

let passed = 0;
let failed = 0;

function run(name, command, countFrom) {
  const started = Date.now();
  const { status } = spawnSync("npx", ["--no-install", ...command], {
    stdio: "inherit",
    env: { ...process.env, FORCE_COLOR: "0" },
  });
  let good = status === 0 ? 1 : 0;
  let bad = status === 0 ? 0 : 1;
  if (countFrom) {
    try {
      [good, bad] = countFrom();
      if (status !== 0 && bad === 0) bad = 1;
    } catch {
      // No report was written: the run itself failed.
      [good, bad] = [0, 1];
    }
  }
  passed += good;
  failed += bad;
  console.log(`${bad === 0 ? "ok" : "FAILED"}: ${name} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
}

/** One after the other without holding up others; what each says is kept until it ends. */
async function lane(checks) {
  for (const [name, command] of checks) {
    const started = Date.now();
    let said = "";
    const status = await new Promise((end) => {
      const child = spawn("npx", ["--no-install", ...command], { env: { ...process.env, FORCE_COLOR: "0" } });
      child.stdout.on("data", (text) => (said += text));
      child.stderr.on("data", (text) => (said += text));
      child.on("close", end);
    });
    passed += status === 0 ? 1 : 0;
    failed += status === 0 ? 0 : 1;
    process.stdout.write(said);
    console.log(
      `${status === 0 ? "ok" : "FAILED"}: ${name} (${((Date.now() - started) / 1000).toFixed(1)} s)`,
    );
  }
}

const json = (file) => JSON.parse(readFileSync(`${out}/${file}`, "utf8"));

run("route types", ["react-router", "typegen"]);
await Promise.all([
  lane([["lint", ["eslint", "--cache", "--cache-location", "node_modules/.cache/eslint", "."]]]),
  lane([
    ["types", ["tsc"]],
    ["format", ["prettier", "--check", "--log-level", "warn", "."]],
    ["rooms", ["depcruise", "--config", ".dependency-cruiser.mjs", "app", "store", "core"]],
    ["dead code", ["knip"]],
  ]),
]);
run(
  "unit tests",
  ["vitest", "run", "--reporter=dot", "--reporter=json", `--outputFile.json=${out}/unit.json`],
  () => {
    const { numPassedTests, numFailedTests } = json("unit.json");
    return [numPassedTests, numFailedTests];
  },
);
run("build", ["react-router", "build"]);
{
  const { status } = spawnSync("node", ["scripts/offline.mjs"], { stdio: "inherit" });
  if (status === 0) passed += 1;
  else failed += 1;
}
process.env.PLAYWRIGHT_JSON_OUTPUT_NAME = `${out}/browser.json`;
run("browser tests", ["playwright", "test", "--reporter=list,json"], () => {
  const { expected, unexpected, flaky } = json("browser.json").stats;
  return [expected + flaky, unexpected];
});

console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
