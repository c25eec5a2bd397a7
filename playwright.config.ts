import { defineConfig } from "@playwright/test";
import { chromiumFlags, port } from "./e2e/support/browser.ts";

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  // Most of a test is waiting for what is kept: two share the machine well.
  workers: 2,
  fullyParallel: true,
  timeout: 120_000,
  // Slow machines are allowed: a wait ends as soon as what it waits for is there.
  expect: { timeout: 20_000 },
  // A key pressed before the view listens is lost, on a slow machine only: such a test is told as flaky and run once more.
  retries: 1,
  outputDir: "test-results",
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "block",
    locale: "en-GB",
    actionTimeout: 20_000,
    launchOptions: { executablePath: "/usr/bin/chromium", args: chromiumFlags },
  },
  webServer: {
    command: "node server/main.mjs",
    env: { PORT: String(port) },
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
  },
});
