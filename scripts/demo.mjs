import { execSync } from "node:child_process";
import { ensurePackages } from "./ensure.mjs";

ensurePackages();
console.log("Building");
execSync("npm run -s build", { stdio: ["ignore", "ignore", "inherit"] });
process.argv.push("--demo");
await import("../server/main.mjs");
