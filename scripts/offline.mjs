import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { createServer } from "vite";
import { generateSW } from "workbox-build";
import { createApp, listen } from "../server/app.mjs";

/**
 * Makes the service worker after the build: assets and the few server-rendered documents are kept, so that everything a job
 * needs works with the server gone. One shell serves every depth of a job.
 */
const shell = "/jobs/_/drawing";
const vite = await createServer({
  configFile: false,
  server: { middlewareMode: true },
  appType: "custom",
  logLevel: "error",
});
const { sums } = await vite.ssrLoadModule("/core/sums/index.ts");
const { shopListNames } = await vite.ssrLoadModule("/core/shop/index.ts");
const { materials, handbookTables } = await vite.ssrLoadModule("/core/handbook/index.ts");
await vite.close();
const documents = [
  "/",
  shell,
  "/handbook",
  "/handbook/cautions",
  "/handbook/words",
  "/handbook/tables",
  ...handbookTables.map((table) => `/handbook/tables/${table.id}`),
  ...["", "/own", ...materials.map((m) => `/${m.id}`)].map((page) => `/handbook/materials${page}`),
  "/sums",
  ...sums.map((sum) => `/sums/${sum.id}`),
  "/ahead/sawing",
  "/ahead/days",
  "/shop",
  ...shopListNames.map((list) => `/shop/${list}`),
];

const revision = createHash("sha256")
  .update(readFileSync("build/server/index.js"))
  .digest("hex")
  .slice(0, 16);

const { server, port } = await listen(await createApp(), 0);
for (const url of documents) {
  const response = await fetch(`http://127.0.0.1:${port}${url}`);
  if (!response.ok) throw new Error(`${url} answers ${response.status}: it could not be kept for offline`);
}
server.close();
server.closeAllConnections();

const { count, size, warnings } = await generateSW({
  globDirectory: "build/client",
  globPatterns: ["assets/**/*.{js,css,woff2,wasm}", "favicon.svg", "demo/*.json"],
  swDest: "build/client/sw.js",
  additionalManifestEntries: documents.map((url) => ({ url, revision })),
  ignoreURLParametersMatching: [/./],
  directoryIndex: null,
  navigateFallback: shell,
  navigateFallbackAllowlist: [/^\/jobs\/[^/]+(\/.*)?$/],
  inlineWorkboxRuntime: true,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  skipWaiting: true,
  sourcemap: false,
});
for (const warning of warnings) console.warn(warning);
console.log(`offline: ${count} files, ${Math.round(size / 1024)} kB kept`);
process.exit(0);
