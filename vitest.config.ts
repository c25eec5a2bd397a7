import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    testTimeout: 60_000,
    // Left to itself it keeps one of two cores free.
    maxWorkers: "100%",
    setupFiles: ["tests/support/seed.ts"],
    projects: [
      {
        extends: true,
        test: { name: "node", environment: "node", include: ["{core,store,app,tests}/**/*.test.ts"] },
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
