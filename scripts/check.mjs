import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureChromium, ensurePackages } from "./ensure.mjs";

/** Everything that must hold, in sequence; ends with a plain line `N passed, N failed`. */
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

const json = (file) => JSON.parse(readFileSync(`${out}/${file}`, "utf8"));

run("route types", ["react-router", "typegen"]);
run("types", ["tsc"]);
run("lint", ["eslint", "--cache", "--cache-location", "node_modules/.cache/eslint", "."]);
run("format", ["prettier", "--check", "--log-level", "warn", "."]);
run("rooms", ["depcruise", "--config", ".dependency-cruiser.mjs", "app", "store", "core"]);
run("dead code", ["knip"]);
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
