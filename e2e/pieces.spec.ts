import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";
import { pressSpace } from "./support/keyboard.ts";

test("three pieces: each has its own way, one is scrapped, one is put in its place, and all adds up", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "drawing");
  const wanted = page.getByLabel("Quantity", { exact: true });
  await wanted.fill("2.5");
  await expect(wanted).toHaveAttribute("aria-invalid", "true");
  await wanted.fill("3");
  await wanted.press("Enter");
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();

  // Piece 2 is begun; piece 1 is not touched by it.
  await page.goto("/jobs/cheek-block/machine/2");
  await expect(page).toHaveURL(/\/machine\/2\/back\.face\/ready/);
  // Dressed, all in reach, the sawn edges filed.
  for (let i = 0; i < 3; i++) await pressSpace(page);
  await expect(page).toHaveURL(/\/machine\/2\/back\.face\/place/);
  const piece = page.getByLabel("Piece", { exact: true });
  await expect(piece.locator("option:checked")).toHaveText("Piece 2 of 3: setup 1, 1 of 223 steps done");
  await piece.selectOption("1");
  await expect(page).toHaveURL(/\/machine\/1\/back\.face\/ready/);

  await page.goto("/jobs/cheek-block/record/2/pieces");
  const counted = page.getByText(/ordered, \d/);
  await expect(counted).toHaveText("3 ordered, 0 good, 0 scrapped, 3 left to make.");
  await page.getByLabel("Scrap piece 2: why").fill("dropped");
  await page.getByRole("button", { name: "Scrap it" }).click();
  await expect(counted).toHaveText("3 ordered, 0 good, 1 scrapped, 2 left to make.");
  await expect(page.getByText("only 2 can still be good. Add 1")).toBeVisible();
  await page.getByRole("button", { name: "Add a piece" }).click();
  await expect(page.getByText("only 2 can still be good. Add 1")).toHaveCount(0);
  await expect(counted).toHaveText("3 ordered, 0 good, 1 scrapped, 3 left to make.");

  // A piece that is scrapped is not cut any more, and one that nobody planned is not begun.
  await page.goto("/jobs/cheek-block/machine/2");
  await expect(page.getByRole("heading", { name: "Piece 2 is scrapped" })).toBeVisible();
  await page.goto("/jobs/cheek-block/machine/9");
  await expect(page.getByRole("heading", { name: "There is no piece 9" })).toBeVisible();
});
