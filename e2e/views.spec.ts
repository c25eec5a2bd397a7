import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { expect, loadDemo, test } from "./support/fixtures.ts";
import { pressFirst, views } from "./views.ts";

const sizes = [...new Map(views.flatMap((v) => v.sizes).map((s) => [s.join(" × "), s])).entries()];

/** So many views a test: two run at a time. */
const together = 9;

const groups = sizes.flatMap(([name, size]) => {
  const here = views.filter((v) => v.sizes.some(([w]) => w === size[0]));
  return Array.from({ length: Math.ceil(here.length / together) }, (_, i) => ({
    name: `${name}, from ${here[i * together]!.name}`,
    size,
    mine: here.slice(i * together, (i + 1) * together),
  }));
});

/** What is hard to read in the shop's theme. */
async function inTheDark(page: Page) {
  await page.evaluate(() => (document.documentElement.dataset.theme = "shop"));
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .withRules(["color-contrast"])
    .analyze();
  await page.evaluate(() => (document.documentElement.dataset.theme = "paper"));
  return violations;
}

for (const {
  name,
  size: [width, height],
  mine,
} of groups) {
  test(`views at ${name}: axe, console, own origin, nothing cut off`, async ({ strictPage: page }) => {
    test.setTimeout(240_000);
    await page.setViewportSize({ width, height });
    await loadDemo(page);
    for (const view of mine) {
      if (view.after) await pressFirst(page, view.after);
      await page.goto(view.url);
      // Some are ready only when long work in the worker is, and two share the machine.
      await expect(page.getByText(view.ready).first()).toBeVisible({ timeout: 30_000 });
      if (view.press) await page.getByRole("button", { name: view.press }).first().click();
      for (const key of view.keys ?? []) {
        await page.keyboard.press(key);
        await page.waitForTimeout(key === "Space" ? 400 : 120);
      }
      // The page itself never scrolls sideways; what is wide scrolls in its own frame.
      const overflow = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect.soft(overflow, `${view.name} scrolls sideways`).toBeLessThanOrEqual(0);
      // Nobody at a bench scrolls through more than one screen and a half.
      if (width === 1280) {
        const tall = await page.evaluate(() => document.documentElement.scrollHeight);
        expect.soft(tall, `${view.name} is too tall`).toBeLessThanOrEqual(1.5 * height);
      }
      // At every other size too nothing runs out at the side.
      if (width === 1280) {
        for (const [w, h] of [
          [390, 844],
          [820, 1180],
          [640, 400],
        ] as const) {
          await page.setViewportSize({ width: w, height: h });
          await page.waitForTimeout(120);
          const out = await page.evaluate(
            () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
          );
          expect.soft(out, `${view.name} scrolls sideways at ${w}`).toBeLessThanOrEqual(0);
        }
        await page.setViewportSize({ width, height });
      }
      // There are no frames, and only what is wrong is asked for: both halve the time.
      const { violations } = await new AxeBuilder({ page })
        .setLegacyMode(true)
        .options({ resultTypes: ["violations"] })
        .analyze();
      // In the other theme only what is seen can differ, and that no more on one size than on another.
      const dark = width === 1280 ? await inTheDark(page) : [];
      const told = [...violations, ...dark].flatMap((v) =>
        v.nodes.map((n) => `${v.id}: ${n.target.join(" ")} ${n.failureSummary ?? ""}`),
      );
      expect.soft(told, view.name).toEqual([]);
      if (view.after) await page.getByRole("button", { name: "Undo" }).first().click();
    }
  });
}
