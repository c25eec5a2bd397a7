import { expect, type Locator, type Page } from "@playwright/test";

/** Reaches a control by Tab alone; fails when it cannot be reached. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  for (let i = 0; i < 120; i++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press("Tab");
  }
  throw new Error(`not reachable by Tab: ${String(target)}`);
}

/** Types into a field reached by Tab, and leaves it with Enter. */
export async function typeInto(page: Page, field: Locator, text: string): Promise<void> {
  await tabTo(page, field);
  await page.keyboard.press("Control+a");
  await page.keyboard.type(text);
  await page.keyboard.press("Enter");
}
