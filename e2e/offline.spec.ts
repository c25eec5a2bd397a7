import { type ChildProcess, spawn } from "node:child_process";
import { expect, loadDemo, test } from "./support/fixtures.ts";
import { pressSpace } from "./support/keyboard.ts";

const port = 4181;

let server: ChildProcess | undefined;

/** Starts a server of this build; one left over from before would answer with files that are gone. */
function startServer(): Promise<ChildProcess> {
  const started = spawn("node", ["server/main.mjs"], { env: { ...process.env, PORT: String(port) } });
  server = started;
  return new Promise((resolve, reject) =>
    started.stdout.on("data", (said: Buffer) =>
      String(said).includes(`:${port}/`)
        ? resolve(started)
        : reject(new Error(`port ${port} is taken: ${String(said)}`)),
    ),
  );
}

// A test that fails half way leaves no server behind for the next one.
test.afterEach(() => void server?.kill("SIGTERM"));

test.use({ serviceWorkers: "allow", baseURL: `http://127.0.0.1:${port}` });

test("with the server gone a step URL reloads, a cut is kept, every document opens", async ({ page }) => {
  const running = await startServer();
  await loadDemo(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await page.goto("/jobs/cheek-block/machine");
  await expect(page).toHaveURL(/\/machine\/1\/back\.face\/ready/);
  running.kill("SIGTERM");
  await new Promise((resolve) => running.on("exit", resolve));

  await page.reload();
  await expect(page.getByText("Before you start")).toBeVisible();
  // Keys act as soon as the view listens, a moment after it can be seen.
  await expect(async () => {
    await pressSpace(page);
    await expect(page.getByRole("button", { name: /glasses on/, pressed: true })).toBeVisible({
      timeout: 1_000,
    });
  }).toPass();
  await page.goto("/jobs/cheek-block/machine/1/back.face/clamp");
  await expect(page.getByText("This step waits")).toBeVisible();
  await page.goto("/jobs/cheek-block/setups/top.face");
  await expect(page.getByText("Why this way")).toBeVisible();
  await page.goto("/handbook/materials");
  await expect(page.getByText("Low-carbon steel, cold-drawn")).toBeVisible();
  // As above: the key counts once the page listens.
  await expect(async () => {
    await page.keyboard.press("/");
    await expect(page.getByRole("combobox")).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByRole("combobox").fill("bench");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("link", { name: /Cheek block/ })).toBeVisible();
  await page.getByRole("link", { name: /Cheek block/ }).click();
  await expect(page.getByRole("heading", { name: "What am I making?" })).toBeVisible();
});
