import { test as base, expect, type Page } from "@playwright/test";

/** Messages that say nothing of the app: the service worker is blocked on purpose outside the offline tests. */
const harmless = [/Service Worker registration blocked by Playwright/];

/** A page that fails the test on any console error or warning, page error, policy violation, or request that leaves the origin. */
export const test = base.extend<{ strictPage: Page }>({
  strictPage: async ({ page, baseURL }, use) => {
    const troubles: string[] = [];
    page.on("console", (message) => {
      if (
        (message.type() === "error" || message.type() === "warning") &&
        !harmless.some((h) => h.test(message.text()))
      )
        troubles.push(`${message.type()}: ${message.text()}`);
    });
    page.on("pageerror", (error) => troubles.push(`page error: ${error.message}`));
    page.on("request", (request) => {
      const url = request.url();
      if (!url.startsWith(baseURL!) && !/^(data|blob):/.test(url))
        troubles.push(`request left the origin: ${url}`);
    });
    await page.addInitScript(() => {
      document.addEventListener("securitypolicyviolation", (e) =>
        console.error(`policy violation: ${e.violatedDirective} ${e.blockedURI}`),
      );
    });
    await use(page);
    expect(troubles).toEqual([]);
  },
});

export { expect };

/** Loads the demo job from the empty bench. */
export async function loadDemo(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: "Load the demo jobs" }).click();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toBeVisible();
}

/** Opens a station of the demo job and waits for its plan. */
export async function openStation(page: Page, station: string): Promise<void> {
  await page.goto(`/jobs/cheek-block/${station}`);
  await expect(page.locator(`[data-station]`)).toBeVisible();
}
