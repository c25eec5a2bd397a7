import { execFileSync, spawn } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { createServer } from "node:http";
import { extname, join } from "node:path";
import { chromium } from "@playwright/test";
import { build } from "vite";
import { firstViewBytes } from "./bundle.mjs";

const chromiumOptions = {
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-quic", "--no-first-run", "--disable-background-networking"],
};

/** The strokes of the literal machine once more, in a worker of the browser. */
async function solidsInWorker() {
  const out = "node_modules/.cache/bench-solids-web";
  await build({
    configFile: false,
    logLevel: "error",
    base: "./",
    build: {
      outDir: out,
      emptyOutDir: true,
      target: "es2022",
      rollupOptions: { input: "scripts/bench-solids.ts", output: { entryFileNames: "bench.js" } },
    },
  });
  const types = { ".js": "text/javascript", ".wasm": "application/wasm" };
  const page = `<!doctype html><script>new Worker("bench.js", { type: "module" })</script>`;
  const server = createServer(({ url = "/" }, answer) => {
    const type = types[extname(url)];
    answer.setHeader("content-type", type ?? "text/html");
    answer.end(type ? readFileSync(join(out, url)) : page);
  });
  await new Promise((resolve) => server.listen(0, "127.0.0.1", resolve));
  const browser = await chromium.launch(chromiumOptions);
  const tab = await browser.newPage();
  const said = new Promise((resolve, reject) => {
    tab.on("console", (message) => (message.type() === "error" ? reject : resolve)(message.text()));
    setTimeout(() => reject(new Error("the worker said nothing")), 120_000).unref();
  });
  await tab.goto(`http://127.0.0.1:${server.address().port}/`);
  console.log(`in the browser's worker: ${String(await said)}`);
  await browser.close();
  server.close();
}

/** Measures on their own, never as timed tests: replan, first view's JavaScript, a bench of 500 jobs. Needs a build. */
if (!existsSync("build/server/index.js")) throw new Error("build first: npm run build");
/** Gzip bytes of the JavaScript of an empty app of the same stack: Chakra's base, React Router, Dexie, Zod, one heading. */
const emptyApp = 198_756;

for (const name of ["bench-core", "bench-solids"]) {
  const out = `node_modules/.cache/${name}`;
  const build = ["vite", "build", "--config", "vitest.schema.config.ts", "--ssr", `scripts/${name}.ts`];
  execFileSync("npx", [...build, "--outDir", out, "--logLevel", "error"]);
  execFileSync("node", [`${out}/${name}.js`], { stdio: "inherit" });
}
await solidsInWorker();
// The laws of the cutting room over ten times the cases of the check, with other seeds than its own.
const laws = process.argv.includes("--laws") ? 100_000 : 0;
if (laws > 0)
  execFileSync("npx", ["vitest", "run", "tests/cutting-laws.test.ts"], {
    stdio: "inherit",
    env: { ...process.env, LAW_RUNS: String(laws), LAW_SEED: String(Date.now() % 1e9) },
  });

const port = 4183;
const url = `http://127.0.0.1:${port}`;
const server = spawn("node", ["server/main.mjs"], { env: { ...process.env, PORT: String(port) } });
process.on("exit", () => server.kill("SIGTERM"));
await new Promise((resolve) => server.stdout.once("data", resolve));
const browser = await chromium.launch(chromiumOptions);
const page = await (await browser.newContext({ serviceWorkers: "block" })).newPage();
const percentile = (values, p) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))];

const { files, bytes } = await firstViewBytes(`${url}/`);
console.log(
  `first view: ${bytes} bytes of JavaScript (gzip, ${files} files), ${(bytes / emptyApp).toFixed(2)} × an empty app`,
);

await page.goto(url);
await page.getByRole("button", { name: "Load the demo jobs" }).click();
await page.getByRole("link", { name: /Cheek block/ }).waitFor();
await page.goto(`${url}/jobs/cheek-block/drawing`);
const length = page.getByLabel("Length", { exact: true });
await length.waitFor();
await page.waitForTimeout(800);
await page.evaluate(() => performance.clearMeasures());
for (let i = 0; i < 120; i++) {
  await length.fill(`9${i % 10} ±0.1`);
  await page.waitForTimeout(150); // a quick typist
}
const replans = await page.evaluate(() => performance.getEntriesByName("replan").map((m) => m.duration));
if (process.argv.includes("--all")) console.log(replans.map((r) => r.toFixed(0)).join(" "));
console.log(
  `replan after a keystroke: p50 ${percentile(replans, 0.5).toFixed(1)} ms, p95 ${percentile(replans, 0.95).toFixed(1)} ms (${replans.length} plans)`,
);

await page.goto(`${url}/jobs/cheek-block/setups`);
await page.getByText(/Following every step/).waitFor();
const walkBegan = Date.now();
await page.getByText(/^Walked through: /).waitFor({ timeout: 60_000 });
console.log(
  `walk of the cheek block in the browser's worker, planning and 0.4 s of waiting with it: ${Date.now() - walkBegan} ms`,
);

await page.goto(url);
await page.evaluate(
  () =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open("firm-arbor");
      open.onsuccess = () => {
        const write = open.result.transaction("jobs", "readwrite");
        for (let i = 0; i < 500; i++) {
          write.objectStore("jobs").put({
            id: `bench-${i}`,
            name: `Job ${i}`,
            sheet: "bench",
            changed: new Date(1.7e12 + i * 1e7).toISOString(),
            status: null,
            deleted: "",
          });
        }
        write.oncomplete = () => resolve(undefined);
        write.onerror = reject;
      };
    }),
);
await page.goto(`${url}/handbook/materials`);
await page.locator('header a[href="/"]').waitFor();
await page.waitForTimeout(800);
const opened = await page.evaluate(async () => {
  const start = performance.now();
  document.querySelector('header a[href="/"]').click();
  while (!document.querySelector('[data-testid="jobs"] li:nth-child(50)'))
    await new Promise(requestAnimationFrame);
  return performance.now() - start;
});
console.log(`bench with 500 jobs: ${opened.toFixed(0)} ms from the click to the list`);
await browser.close();
process.exit(0);
