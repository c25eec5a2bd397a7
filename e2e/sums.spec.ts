import { expect, test } from "./support/fixtures.ts";

const doors = [
  "speed-feed",
  "chip-thickness",
  "power",
  "bending",
  "handwheel",
  "passes",
  "finish",
  "vise",
  "strap",
  "tilt",
  "weight",
  "key",
  "woodruff",
  "thread",
  "fit",
  "fraction",
  "v-groove",
  "dovetail",
  "sine",
  "bolt-circle",
  "chord",
];

test.describe("without script", () => {
  test.use({ javaScriptEnabled: false });
  test("every sum answers on the server, and takes its fields from the address", async ({ page }) => {
    for (const door of doors) {
      await page.goto(`/sums/${door}`);
      await expect(page.getByTestId("result")).toHaveText(/\d/);
      await expect(page.getByRole("button", { name: "Work it out" })).toBeVisible();
    }
    await page.goto("/sums/tilt");
    await page.getByLabel("Moved by").fill("4");
    await page.getByLabel("Tilt", { exact: true }).fill("60");
    await page.getByRole("button", { name: "Work it out" }).click();
    await expect(page).toHaveURL(/step=4/);
    await expect(page.getByTestId("result")).toHaveText("2.000 mm");
  });

  test("materials read on the server", async ({ page }) => {
    await page.goto("/handbook/materials/magnesium");
    await expect(page.getByText(/never water|fire/i).first()).toBeVisible();
  });
});

test("typing works at once, the address keeps it, the unit switch changes no result", async ({
  strictPage: page,
}) => {
  await page.goto("/sums/handwheel");
  const feed = page.getByLabel("Table feed");
  await feed.fill("60");
  await expect(page.getByTestId("result")).toHaveText("5.0 s");
  await expect(page).toHaveURL(/feed=60/);
  await page.reload();
  await expect(feed).toHaveValue("60");
  await page.getByRole("radiogroup", { name: "Display unit" }).getByText("in", { exact: true }).click();
  await expect(page).toHaveURL(/unit=in/);
  await expect(page.getByTestId("result")).toHaveText("5.0 s");
  await expect(page.getByLabel("One division")).toHaveValue("0.02 mm");
  await feed.fill("fast");
  await expect(page.getByText("Type a number")).toBeVisible();
  await expect(feed).toHaveValue("fast");
});

test("a thing of the shop is tried: the figure is kept with it, has its day, and can be undone", async ({
  strictPage: page,
}) => {
  await page.goto("/shop");
  await page.getByText("Knee mill", { exact: true }).click();
  await page.getByText("Readout on all three", { exact: true }).click();
  await page.getByRole("button", { name: "Make this my shop" }).click();
  await expect(page.getByRole("link", { name: /^Vises/ })).toContainText("1");
  await page.goto("/sums/check-jaw-line");
  await page.getByLabel("At the right end").fill("0.05");
  await expect(page.getByTestId("result")).toHaveText("0.050 mm");
  await expect(page.getByText("Not tried yet")).toBeVisible();
  await page.getByRole("button", { name: "Save to the shop" }).click();
  await expect(page.getByText(/Last tried \d{4}-\d{2}-\d{2}: 0\.050 mm/)).toBeVisible();
  await page.goto("/shop/vises");
  await page.getByRole("link", { name: "125 vise" }).click();
  await expect(page.getByLabel("jaw out of line with X over 100, mm")).toHaveValue("0.05");
  await expect(page.getByText(/0\.050 mm, \d{4}-\d{2}-\d{2}/)).toBeVisible();
  await page.getByTitle(/^Undo/).click();
  await expect(page.getByLabel("jaw out of line with X over 100, mm")).toHaveValue("");
});
