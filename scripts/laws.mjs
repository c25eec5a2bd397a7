import { execFileSync } from "node:child_process";

/**
 * Walks random jobs and all demo jobs by the literal machine: `npm run laws -- --jobs 10000 --from 1`; `--show` lists every
 * finding; `--write` sets what the check holds as "not more than".
 */
const out = "node_modules/.cache/laws-core";
execFileSync("npx", [
  "vite",
  "build",
  "--config",
  "vitest.schema.config.ts",
  "--ssr",
  "scripts/laws-core.ts",
  "--outDir",
  out,
  "--logLevel",
  "error",
]);
execFileSync("node", [`${out}/laws-core.js`, ...process.argv.slice(2)], { stdio: "inherit" });
