import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    testTimeout: 60_000,
    // Left to itself it keeps one of two cores free.
    maxWorkers: "100%",
    // Plans are made and thrown away by the thousand: a larger nursery halves what the collector takes.
    execArgv: ["--max-semi-space-size=64"],
    setupFiles: ["tests/support/seed.ts"],
    projects: [
      {
        extends: true,
        // Nothing here changes what another file sees, and loading core anew for each takes longer than most tests.
        test: {
          name: "node",
          isolate: false,
          environment: "node",
          include: ["{core,store,app,tests}/**/*.test.ts"],
        },
      },
      {
        extends: true,
        test: {
          name: "dom",
          environment: "happy-dom",
          include: ["app/**/*.test.tsx"],
          setupFiles: ["tests/support/patient.ts"],
        },
      },
    ],
  },
});
