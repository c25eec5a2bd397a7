import { execSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";

const stamp = "node_modules/.cache/firm-arbor-lock";

/** Installs the packages of the lock file when they are not, or not those, installed. */
export function ensurePackages() {
  const hash = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return;
  console.log("Installing packages (about a minute)");
  execSync("npm ci --no-progress", { stdio: "inherit" });
  mkdirSync("node_modules/.cache", { recursive: true });
  writeFileSync(stamp, hash);
}

/** Debian's Chromium for the browser tests, installed when missing. */
export function ensureChromium() {
  if (existsSync("/usr/bin/chromium")) return;
  console.log("Installing Chromium");
  execSync("apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium", {
    stdio: ["ignore", "ignore", "inherit"],
  });
}
