import { defineConfig } from "vitest/config";

/** Writes what is derived from the code and shipped: the JSON schema of the job file and the demo job. */
export default defineConfig({ test: { include: ["scripts/write-derived.ts"] } });
