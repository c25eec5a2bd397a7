import { readFileSync } from "node:fs";
import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";

/** The plan shares its worker with the walk that every change begins. */
const slowly = { timeout: 20_000 };

test("ways compared: one is taken and becomes the plan, one setup is held another way, all undone", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "setups/back.face/ways");
  const ways = page.getByRole("region", { name: "Ways to square it" });
  await expect(ways.getByRole("row")).toHaveCount(7);
  await expect(ways).toContainText("recommended");
  await ways.getByRole("button", { name: "Take widest first" }).click();
  await expect(page.getByText(/\d setups, widest first/)).toBeVisible(slowly);
  await page.getByRole("button", { name: "Back to the plan's way of squaring" }).click();
  await expect(page.getByText(/\d setups, round the block/)).toBeVisible(slowly);
  await ways.getByRole("button", { name: "Take round the block, ends hung out" }).click();
  const endsBack = page.getByRole("button", { name: "Back to the plan's ends" });
  await endsBack.click();
  await expect(endsBack).toHaveCount(0);
  // Several cuts in one clamping: on the table, with a hold point after the straps are moved.
  await ways.getByRole("button", { name: "Take on the table" }).click();
  await expect(page.getByText(/\d setups, on the table/)).toBeVisible(slowly);
  await page.goto("/jobs/cheek-block/setups/top.rest");
  await expect(page.getByText(/^On the table · setup 1 of \d, cut 5 of 8/)).toBeVisible(slowly);
  await page.getByRole("tab", { name: "Order of work" }).click();
  await expect(page.getByText(/Indicator reads as before, within 0\.02/)).toBeVisible();
  await page.getByRole("tab", { name: "Ways to square it" }).click();
  await page.getByRole("button", { name: "Back to the plan's way of squaring" }).click();
  await expect(page.getByText(/\d setups, round the block/)).toBeVisible(slowly);
  // The order of setups is changed by one, and back.
  await page.goto("/jobs/cheek-block/setups/top.face");
  await page.getByRole("button", { name: "Cut it earlier" }).click();
  await expect(page.getByText(/^An order of its own · setup 1 of 8/)).toBeVisible(slowly);
  await page.getByRole("tab", { name: "Ways to square it" }).click();
  await page.getByRole("button", { name: "Back to the plan's way of squaring" }).click();
  await page.getByRole("tab", { name: "This setup" }).click();
  await expect(page.getByText(/^Round the block · setup 2 of 8/)).toBeVisible(slowly);
  // The fourth setup with another face at the fixed jaw: the rest follows, the reason stands there.
  await page.goto("/jobs/cheek-block/setups/front.face");
  await page.getByLabel("At the fixed jaw", { exact: true }).selectOption("bottom");
  await expect(page.getByText("Held as you chose.")).toBeVisible(slowly);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(page.getByText("Held as you chose.")).toHaveCount(0);
  await page.getByRole("tab", { name: "How true" }).click();
  await expect(page.getByText(/Ready for ±/)).toBeVisible();
  await page.getByRole("tab", { name: "This setup" }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save the drawing" }).first().click();
  const svg = readFileSync(await (await download).path(), "utf8");
  expect(svg).toMatch(/^<svg [^>]*width="\d+(\.\d+)?mm"/);
  expect(svg).not.toContain("var(");
});

test("the told steps are followed to the letter in the worker: stopped, walked on, nothing found", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "setups/back.face/rehearse");
  const section = page.locator("section", { hasText: /Walked through/ }).last();
  await section.getByRole("button", { name: "Stop" }).click();
  await expect(section.getByText("Stopped before the last step.")).toBeVisible();
  await section.getByRole("button", { name: "Walk it through" }).click();
  await expect(section.getByText(/setup \d, step \d+ of \d+/)).toBeVisible();
  await expect(section.getByRole("heading", { name: "Walked through: 0 findings" })).toBeVisible({
    timeout: 60_000,
  });
  await expect(
    section.getByText("Every step was followed to the letter, and the part comes out as drawn."),
  ).toBeVisible();
  // Kept for the same decisions: at another setup it is there at once.
  await page.getByRole("link", { name: /^2 Setup 2/ }).click();
  await expect(page.getByRole("heading", { name: /^Walked through: \d+ findings?$/ })).toBeVisible({
    timeout: 3_000,
  });
});
