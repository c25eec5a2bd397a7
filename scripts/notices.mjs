import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";

/**
 * Writes THIRD-PARTY-NOTICES.txt: every package that ships with the app or runs on its server, with its licence. Texts that are
 * the same but for their copyright line stand once, the lines of all who hold them above.
 */
const listed = execFileSync("npm", ["ls", "--omit=dev", "--all", "--parseable"], { encoding: "utf8" });
const folders = [...new Set(listed.trim().split("\n").slice(1))];
const texts = new Map();
for (const folder of folders) {
  const { name, version, license } = JSON.parse(readFileSync(`${folder}/package.json`, "utf8"));
  const file = readdirSync(folder).find((f) => /^(licen[cs]e|copying)/i.test(f));
  const whole = file && existsSync(`${folder}/${file}`) ? readFileSync(`${folder}/${file}`, "utf8") : "";
  const lines = whole.replace(/\r/g, "").split("\n");
  const holders = lines
    .filter((line) => /^\s*(portions )?copyright\b/i.test(line))
    .map((line) => line.trim());
  const text = lines
    .filter((line) => !/^\s*(portions )?copyright\b/i.test(line))
    .join("\n")
    .trim();
  const key = text.replace(/[\s"'“”‘’*#-]+/g, " ").toLowerCase();
  const entry = texts.get(key) ?? { license: String(license ?? "see below"), text, of: new Map() };
  entry.of.set(`${name} ${version}`, holders);
  texts.set(key, entry);
}
const parts = [...texts.values()].map(({ license, text, of }) => {
  const packages = [...of].sort(([a], [b]) => (a < b ? -1 : 1));
  const named = packages.map(([name, holders]) => [name, ...holders.map((h) => `    ${h}`)].join("\n"));
  return { first: packages[0][0], body: [`Licence: ${license}`, ...named, "", text].join("\n") };
});
parts.sort((a, b) => (a.first < b.first ? -1 : 1));
const rule = `\n\n${"-".repeat(80)}\n\n`;
writeFileSync(
  "THIRD-PARTY-NOTICES.txt",
  ["Firm Arbor ships, or runs on, the packages below. Thank you.", ...parts.map((p) => p.body)].join(rule) +
    "\n",
);
console.log(`${folders.length} packages, ${parts.length} texts`);
