import { spawn } from "node:child_process";
import { existsSync, mkdirSync } from "node:fs";
import { chromium } from "@playwright/test";
import { createServer } from "vite";

/**
 * Writes docs/screenshots/*.png from the demo data and the list in e2e/views.ts; of one view where it is named. Needs a build
 * (`npm run build`).
 */
const only = process.argv[2];
if (!existsSync("build/server/index.js")) throw new Error("build first: npm run build");
const vite = await createServer({
  configFile: false,
  server: { middlewareMode: true },
  appType: "custom",
  logLevel: "error",
});
const { views, pictured, pictureName, pressFirst } = await vite.ssrLoadModule("/e2e/views.ts");
const { chromiumFlags } = await vite.ssrLoadModule("/e2e/support/browser.ts");
await vite.close();

const port = 4182;
const server = spawn("node", ["server/main.mjs"], { env: { ...process.env, PORT: String(port) } });
process.on("exit", () => server.kill("SIGTERM"));
await new Promise((resolve) => server.stdout.once("data", resolve));
mkdirSync("docs/screenshots", { recursive: true });
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: chromiumFlags });
for (const view of views.filter((v) => !only || v.name === only)) {
  for (const size of view.sizes.filter((s) => pictured(view, s))) {
    const context = await browser.newContext({
      viewport: { width: size[0], height: size[1] },
      serviceWorkers: "block",
      locale: "en-GB",
    });
    const page = await context.newPage();
    await page.clock.setFixedTime(new Date("2026-11-25T14:32:00"));
    await page.goto(`http://127.0.0.1:${port}/`);
    await page.getByRole("button", { name: "Load the demo jobs" }).click();
    await page.getByRole("link", { name: /Cheek block/ }).waitFor();
    const at = (url) => `http://127.0.0.1:${port}${url}`;
    if (view.after) await pressFirst(page, { ...view.after, url: at(view.after.url) });
    await page.goto(at(view.url));
    await page.getByText(view.ready).first().waitFor();
    // The bench is done when every job was looked at.
    await page.waitForFunction(() => !document.body.innerText.includes("not opened yet"));
    if (view.press) await page.getByRole("button", { name: view.press }).first().click();
    for (const key of view.keys ?? []) {
      await page.keyboard.press(key);
      await page.waitForTimeout(key === "Space" ? 420 : 250);
    }
    if (view.from)
      await page
        .getByText(view.from)
        .first()
        .evaluate((element) => element.scrollIntoView({ block: "start" }));
    await page.waitForTimeout(500);
    await page.screenshot({ path: `docs/screenshots/${pictureName(view, size)}.png` });
    console.log(pictureName(view, size));
    await context.close();
  }
}
await browser.close();
process.exit(0);
