import { readFileSync } from "node:fs";
import { gzipSync } from "node:zlib";

/** Gzip bytes of the JavaScript a page loads before it is usable: its scripts and module preloads. */
export async function firstViewBytes(url) {
  const html = await (await fetch(url)).text();
  const files = new Set(html.match(/\/assets\/[\w.-]+\.js/g) ?? []);
  let bytes = 0;
  for (const file of files) bytes += gzipSync(readFileSync(`build/client${file}`)).length;
  return { files: files.size, bytes };
}
