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

/** When Space was pressed last on a page: a press right after another counts as the same one doubled. */
const lastSpace = new WeakMap<Page, number>();
const apart = 360;

/** Presses Space as a person who means it, no sooner after the last press than the app takes for a new one. */
export async function pressSpace(page: Page): Promise<void> {
  const since = Date.now() - (lastSpace.get(page) ?? 0);
  if (since < apart) await page.waitForTimeout(apart - since);
  await page.keyboard.press("Space");
  lastSpace.set(page, Date.now());
}
