import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";
import { tabTo, typeInto } from "./support/keyboard.ts";

test("features are entered by keyboard, checked while typed, copied, mirrored, taken out and brought back", async ({
  strictPage: page,
}) => {
  let pressed = 0;
  await page.exposeFunction("countKey", () => pressed++);
  await page.addInitScript(() =>
    document.addEventListener(
      "keydown",
      () => void (window as unknown as { countKey: () => void }).countKey(),
      true,
    ),
  );
  await loadDemo(page);
  await openStation(page, "drawing");
  const rows = page.getByRole("button", { name: /^[▸▾] (hole|slot|pocket|step) \d/ });
  await expect(rows).toHaveCount(5);
  pressed = 0;

  await tabTo(page, page.getByRole("button", { name: "pocket", exact: true }));
  await page.keyboard.press("Enter");
  await expect(rows).toHaveCount(6);
  await expect(page.getByText("The pocket 1 is not whole yet").first()).toBeVisible();
  await typeInto(page, page.getByLabel("Along the length", { exact: true }), "20");
  await typeInto(page, page.getByLabel("Along the width", { exact: true }), "16");
  await typeInto(page, page.getByLabel(/^Pocket depth/), "6");
  await expect(page.getByText(/No milling cutter leaves a sharp inside corner/).first()).toBeVisible();
  await typeInto(page, page.getByLabel(/^Corner radius/), "5");
  await expect(page.getByText(/No milling cutter leaves a sharp inside corner/)).toHaveCount(0);
  console.log(`a pocket: ${pressed} keys`);

  await page.getByRole("button", { name: "Duplicate" }).click();
  await expect(rows).toHaveCount(7);
  await page.getByRole("button", { name: "Mirror along the length" }).click();
  await expect(rows).toHaveCount(8);
  await page.getByRole("button", { name: "Take out" }).click();
  await expect(rows).toHaveCount(7);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(rows).toHaveCount(8);
  // Outside of the block is told at once, with figures.
  await page.getByLabel("On the face", { exact: true }).selectOption("front");
  await page.getByRole("button", { name: /^▸ hole 1/ }).click();
  await page.getByLabel(/to its middle, along the length/).fill("1");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/The hole 1 goes out of the block along its length/).first()).toBeVisible();
});
