import type { Page } from "@playwright/test";
import { expect } from "./fixtures.ts";
import { pressSpace } from "./keyboard.ts";

/** Looked at often: a walk has hundreds of steps. */
const often = { intervals: [20, 30, 50, 100] };

const settled = async (page: Page) => {
  await expect(page.locator("main")).toHaveAttribute("aria-busy", "false");
  await expect(page.getByText("This step is done")).toHaveCount(0);
};

/** Presses Space until the page has gone on from what it showed: a page that was busy when it was pressed did not hear it. */
const pressOn = (page: Page, before: string) =>
  expect(async () => {
    if ((await page.locator("main").innerText()) === before) await pressSpace(page);
    await expect.poll(() => page.locator("main").innerText(), { ...often, timeout: 3_000 }).not.toBe(before);
  }).toPass();

/**
 * Walks the machine by keyboard from where it stands to the step whose address is `until`, else to the last one, reading what
 * each size should be; tells what it met.
 * @param atEach looked at before each press
 */
export async function walkOn(
  page: Page,
  most: number,
  until?: RegExp,
  atEach: () => Promise<void> = () => Promise.resolve(),
): Promise<Set<string>> {
  const met = new Set<string>();
  for (let i = 0; i < most; i++) {
    await settled(page);
    if (until?.test(page.url()) || (await page.getByText("All steps are done").isVisible())) return met;
    await atEach();
    const before = await page.locator("main").innerText();
    const field = page.getByRole("textbox", { name: /, (mm|in)$/ });
    const step = /machine\/\d+\/[^/]+\/([a-z]+)/.exec(page.url())?.[1];
    if (step) met.add(step);
    if (await field.isVisible()) {
      const text = await page.locator("main").innerText();
      const expected = /(?:Should read now|Wanted|Expected):\s*([\d.]+)/.exec(text)![1]!;
      await expect(field).toBeFocused();
      await page.keyboard.type(expected, { delay: 35 });
      await page.keyboard.press("Enter");
      const soFar = page.getByText("Read so far");
      // Finer than the instrument shows: what it shows was meant.
      const meant = page.getByRole("button", { name: /^I meant / });
      await expect(soFar.or(meant).first()).toBeVisible();
      if (await meant.isVisible()) await meant.click();
      await expect(soFar).toBeVisible();
      const read = await page.locator("main").innerText();
      await page.keyboard.press("Enter");
      await expect.poll(() => page.locator("main").innerText(), often).not.toBe(read);
    } else {
      const clean = page.getByRole("button", { name: "Clean all over" });
      const leave = page.getByRole("button", { name: "Skip this reading" });
      if (await clean.isVisible()) await clean.click();
      else if (await leave.isVisible()) await leave.click();
      else await pressOn(page, before);
    }
    await expect.poll(() => page.locator("main").innerText(), often).not.toBe(before);
  }
  throw new Error("the walk does not end");
}
