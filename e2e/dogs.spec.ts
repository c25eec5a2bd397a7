import type { Page } from "@playwright/test";
import { expect, loadDemo, test } from "./support/fixtures.ts";
import { drawn, milledCopy } from "./support/milled.ts";
import { walkOn } from "./support/walk-on.ts";

/** The track dogs as blanks that come milled to size: only their tongue is cut, and not deep. */
function milledDogs(): string {
  const file = milledCopy("track-dogs", "milled-dogs", "Milled dogs");
  Object.assign(file.job.part.features.byId.tongue!.sizes.depth!, drawn(1));
  return JSON.stringify(file);
}

/** Reads what is left of a piece once all its steps are done, each in the middle of what is wanted. */
async function readTheRest(page: Page): Promise<void> {
  for (let i = 0; i < 12; i++) {
    const wanted = page.getByText(/^Wanted: /);
    const passes = page.getByRole("button", { name: "Passes", exact: true });
    await expect(
      wanted
        .or(passes)
        .or(page.getByRole("link", { name: "To the record" }))
        .first(),
    ).toBeVisible();
    const before = await page.locator("main").innerText();
    if (await passes.isVisible()) await passes.click();
    else if (await wanted.isVisible()) {
      const [low, high] = [...(await wanted.innerText()).matchAll(/[\d.]+/g)].map((m) => Number(m[0]));
      await page.getByRole("textbox", { name: /, mm$/ }).fill(((low! + high!) / 2).toFixed(3));
      await page.keyboard.press("Enter");
    } else return;
    await expect.poll(() => page.locator("main").innerText()).not.toBe(before);
  }
}

test("six dogs from one bar: reserved, sawn, cut setup by setup, one scrapped and replaced, six judged good", async ({
  strictPage: page,
}) => {
  test.setTimeout(300_000);
  await page.addInitScript(() => localStorage.setItem("firm-arbor:telling", "brief"));
  await loadDemo(page);
  await page
    .getByLabel("Import a job file")
    .setInputFiles({ name: "dogs.json", mimeType: "application/json", buffer: Buffer.from(milledDogs()) });
  await page.getByRole("button", { name: "Open it" }).click();

  // One bar gives all six; sawn, what is left of it goes back into the rack.
  await page.goto("/jobs/milled-dogs/stock/bar");
  await expect(page.getByRole("heading", { name: /Flat 35 × 28, drawn/ })).toBeVisible();
  await page.getByRole("button", { name: "Reserve 6" }).first().click();
  await expect(page.getByText(/6 of 47.45 mm from Flat 35 × 28/)).toBeVisible();
  await page.getByRole("button", { name: "Sawn", exact: true }).click();
  await expect(page.getByRole("button", { name: "Sawn", exact: true })).toHaveCount(0);
  await page.goto("/shop/bars");
  await expect(page.getByRole("row", { name: /Flat 35 × 28/ })).toContainText("345.70");

  // Setup by setup saves settings; the choice is kept.
  await page.goto("/jobs/milled-dogs/record/1/batch");
  const row = page.getByRole("row", { name: /^Setup by setup/ });
  await row.getByRole("button", { name: "choose" }).click();
  await expect(row.getByRole("button", { name: "chosen" })).toBeVisible();

  const kept = new Set<number>();
  for (const piece of [1, 2, 3, 4, 5, 6, 7]) {
    if (piece === 4) {
      // The third is dropped, and another is added in its place.
      await page.goto("/jobs/milled-dogs/record/3/pieces");
      await page.getByLabel("Scrap piece 3: why").fill("dropped");
      await page.getByRole("button", { name: "Scrap it" }).click();
      await expect(page.getByText("only 5 can still be good. Add 1")).toBeVisible();
      await page.getByRole("button", { name: "Add a piece" }).click();
      await expect(page.getByText("only 5 can still be good. Add 1")).toHaveCount(0);
    }
    await page.goto(`/jobs/milled-dogs/machine/${piece}`);
    await expect(page.locator("main")).toBeVisible();
    const keep = page.getByRole("button", { name: /^Keep .* from piece/ });
    await walkOn(page, 200, undefined, async () => {
      if (!(await keep.isVisible())) return;
      kept.add(piece);
      await keep.click();
      await expect(keep).toHaveCount(0);
    });
    if (piece !== 3) await readTheRest(page);
  }
  // Whatever was left standing was offered to the pieces after the first.
  expect(kept.has(1)).toBe(false);
  expect(kept.size).toBeGreaterThan(3);

  await page.goto("/jobs/milled-dogs/record/1/pieces");
  await expect(page.getByText(/ordered, \d/)).toHaveText("6 ordered, 6 good, 1 scrapped, 0 left to make.");
  await page.goto("/jobs/milled-dogs/record/1/batch");
  await expect(page.getByText("3, scrapped")).toBeVisible();
});
