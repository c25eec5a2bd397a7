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

/** Work of the page's thread for each of many keys, ms: everything from the key until all is quiet again. */
async function workPerKey(field, keys) {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send("Performance.enable");
  const busy = async () =>
    (await cdp.send("Performance.getMetrics")).metrics.find((m) => m.name === "TaskDuration").value * 1000;
  await field.focus();
  const spent = [];
  for (const key of keys) {
    await page.keyboard.press("End");
    await page.waitForTimeout(80);
    const before = await busy();
    await page.keyboard.press(key);
    await page.waitForTimeout(350);
    spent.push((await busy()) - before);
  }
  return spent;
}
const keys = Array.from({ length: 40 }, (_, i) => (i % 2 === 0 ? "1" : "Backspace"));
await page.evaluate(() => {
  const empty = document.body.appendChild(document.createElement("input"));
  empty.id = "empty";
  empty.addEventListener("input", () => undefined);
});
await length.fill("96 ±0.");
await page.waitForTimeout(800);
const none = await workPerKey(page.locator("#empty"), keys);
const typed = await workPerKey(length, keys);
const [p50, p95, p50None, p95None] = [typed, none].flatMap((v) => [percentile(v, 0.5), percentile(v, 0.95)]);
console.log(
  `page's thread for a key in a size: p50 ${p50.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms; in an empty field p50 ${p50None.toFixed(1)}, p95 ${p95None.toFixed(1)}: ${(p50 / p50None).toFixed(1)} ×`,
);

// From the key until the setup that is cut to this length says so.
await length.fill("96");
await page.waitForTimeout(800);
const seen = [];
for (let i = 0; i < 40; i++) {
  await length.press("End");
  seen.push(
    await page.evaluate(
      ([key]) =>
        new Promise((resolve) => {
          const field = document.activeElement;
          const ribbon = document.querySelector('nav[aria-label="Setups"]');
          const start = performance.now();
          new MutationObserver((_, observer) => {
            observer.disconnect();
            resolve(performance.now() - start);
          }).observe(ribbon, { subtree: true, childList: true, characterData: true, attributes: true });
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set;
          set.call(field, key);
          field.dispatchEvent(new Event("input", { bubbles: true }));
        }),
      [i % 2 === 0 ? "95" : "96"],
    ),
  );
  await page.waitForTimeout(700);
}
console.log(
  `from a key until the new plan shows: p50 ${percentile(seen, 0.5).toFixed(1)} ms, p95 ${percentile(seen, 0.95).toFixed(1)} ms`,
);

await page.goto(`${url}/jobs/cheek-block/setups`);
await page.getByRole("tab", { name: "Rehearse" }).waitFor();
const walkBegan = Date.now();
await page.getByRole("tab", { name: "Rehearse" }).click();
await page.getByText(/^Walked through/).waitFor({ timeout: 60_000 });
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
// A job grown large: 200 holes, 2 000 readings.
const holes = await page.evaluate(
  () =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open("firm-arbor");
      open.onsuccess = () => {
        const write = open.result.transaction(["jobs", "documents", "records"], "readwrite");
        const documents = write.objectStore("documents");
        documents.get("cheek-block").onsuccess = ({ target }) => {
          const kept = structuredClone(target.result);
          const { features } = kept.job.part;
          const hole = Object.values(features.byId).find(
            (f) => f.kind === "hole" && f.face === "top" && f.pattern === "one",
          );
          const size = (mm) => ({
            nominal: mm,
            upper: null,
            lower: null,
            fit: null,
            written: { text: String(mm), unit: "mm" },
          });
          const place = (from, mm) => ({ at: size(mm), from, of: null, toward: null });
          features.byId = {};
          features.order = [];
          for (let i = 0; i < 200; i++) {
            const id = `h${i}`;
            features.byId[id] = {
              ...hole,
              id,
              first: place("left", 4 + (i % 20) * 4.5),
              second: place("front", 4 + Math.floor(i / 20) * 5),
              sizes: { ...hole.sizes, diameter: size(3), depth: null },
            };
            features.order.push(id);
          }
          kept.jobId = kept.job.id = "large";
          documents.put(kept);
          write.objectStore("jobs").put({
            id: "large",
            name: "Large",
            sheet: "",
            changed: "2026-11-25T09:00:00.000Z",
            status: null,
            deleted: "",
          });
          for (let i = 1; i <= 2000; i++)
            write.objectStore("records").put({
              jobId: "large",
              id: `bench.${i}`,
              follows: i > 1 ? `bench.${i - 1}` : null,
              at: new Date(1.79e12 + i * 1000).toISOString(),
              by: "",
              piece: 1,
              type: "reading",
              op: null,
              of: "length",
              value: 96 + (i % 7) / 100,
              written: { text: "96", unit: "mm" },
              instrument: "caliper-150",
              questioned: [],
            });
          write.oncomplete = () => resolve(hole);
        };
        write.onerror = reject;
      };
    }),
);
if (!holes) throw new Error("the demo's cheek block has no hole any more");
for (const [station, heading] of [
  ["drawing", "What am I making?"],
  ["record", "Is it good?"],
]) {
  const began = Date.now();
  await page.goto(`${url}/jobs/large/${station}`);
  await page.getByRole("heading", { name: heading }).waitFor({ timeout: 120_000 });
  console.log(`a job of 200 features and 2 000 readings opens at ${station}: ${Date.now() - began} ms`);
}

// A lot of 500 pieces, each read twice: its run chart, drawn anew whenever another size is chosen.
await page.evaluate(
  () =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open("firm-arbor");
      open.onsuccess = () => {
        const write = open.result.transaction(["jobs", "documents", "records"], "readwrite");
        const documents = write.objectStore("documents");
        documents.get("cheek-block").onsuccess = ({ target }) => {
          const kept = structuredClone(target.result);
          kept.jobId = kept.job.id = "lot";
          kept.job.quantity = 500;
          documents.put(kept);
          write.objectStore("jobs").put({
            id: "lot",
            name: "Lot",
            sheet: "",
            changed: "2026-11-25T09:00:00.000Z",
            status: null,
            deleted: "",
          });
          for (let i = 1; i <= 2000; i++)
            write.objectStore("records").put({
              jobId: "lot",
              id: `bench.${i}`,
              follows: i > 1 ? `bench.${i - 1}` : null,
              at: new Date(1.79e12 + i * 1000).toISOString(),
              by: "",
              piece: Math.ceil(i / 4),
              type: "reading",
              op: null,
              of: i % 2 === 0 ? "length" : "width",
              value: (i % 2 === 0 ? 96 : 60) + (i % 7) / 100,
              written: { text: "96", unit: "mm" },
              instrument: "caliper-150",
              questioned: [],
            });
          write.oncomplete = resolve;
        };
        write.onerror = reject;
      };
    }),
);
await page.goto(`${url}/jobs/lot/record/1/pieces`);
const size = page.getByLabel("Size", { exact: true });
await size.waitFor({ timeout: 120_000 });
await page.waitForTimeout(1500);
await page.evaluate(() => performance.clearMeasures());
for (let i = 0; i < 20; i++) {
  await size.selectOption(i % 2 === 0 ? "width" : "length");
  await page.waitForTimeout(300);
}
const drawn = await page.evaluate(() => performance.getEntriesByName("chart").map((m) => m.duration));
console.log(
  `run chart of 500 pieces drawn: p50 ${percentile(drawn, 0.5).toFixed(0)} ms, p95 ${percentile(drawn, 0.95).toFixed(0)} ms (${drawn.length} times)`,
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
