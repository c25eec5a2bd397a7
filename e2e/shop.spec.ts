import { readFileSync } from "node:fs";
import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";

const csv = (text: string) => ({ name: "cutters.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
const head = "name,kind,material,diameter,teeth,fluteLength,stickout,condition";

test("a first shop: starter sets, a cutter changed, refused, copied, retired, and everything undone", async ({
  strictPage: page,
}) => {
  await page.goto("/shop");
  await page.getByText("Knee mill", { exact: true }).click();
  await page.getByText("Readout on all three", { exact: true }).click();
  await page.getByRole("button", { name: "Make this my shop" }).click();
  await page.getByRole("link", { name: /^Cutters/ }).click();
  await page.getByLabel("Search").fill("roughing");
  await page.getByRole("link", { name: "16 roughing end mill" }).click();
  // What cannot be is told, stays typed, and is not kept.
  const teeth = page.getByLabel("teeth", { exact: true });
  await teeth.fill("0");
  await teeth.blur();
  await expect(page.getByText("Not saved yet")).toBeVisible();
  await expect(teeth).toHaveValue("0");
  await teeth.fill("5");
  await teeth.blur();
  await expect(page.getByText("Not saved yet")).toHaveCount(0);
  const drawers = page.getByRole("navigation", { name: "Drawers" });
  await drawers.getByRole("link", { name: /^Cutters/ }).click();
  await expect(page.getByRole("row", { name: /16 roughing end mill .* 5 / })).toBeVisible();
  await page.getByRole("link", { name: "16 roughing end mill" }).click();
  await expect(teeth).toHaveValue("5");
  await page.reload();
  await expect(teeth).toHaveValue("5");
  // The measured radius for the diameter is asked about.
  const measured = page.getByLabel("diameter as measured, mm", { exact: true });
  await measured.fill("7.98");
  await measured.blur();
  await expect(page.getByText("is one of them the radius?")).toBeVisible();
  // The question comes while typing; what is undone must have been kept first.
  await page.waitForTimeout(600);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(measured).toHaveValue("");
  await page
    .getByRole("navigation", { name: "Drawers" })
    .getByRole("link", { name: /^Cutters/ })
    .click();
  await page.getByRole("button", { name: "Retire 20 end mill, long" }).click();
  await expect(page.getByRole("button", { name: "Show 1 retired" })).toBeVisible();
  await page.getByTitle(/^Undo/).click();
  await expect(page.getByRole("button", { name: "Retire 20 end mill, long" })).toBeVisible();
});

test("CSV: wrong columns and 5 000 lines change nothing, bad lines are told one by one, good ones come in", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await page.goto("/shop/cutters");
  const rows = page.getByRole("row");
  await expect(rows.first()).toBeVisible();
  const before = await rows.count();
  const input = page.getByLabel("Import CSV");
  for (const [text, message] of [
    ["part,price\nbolt,3", "The columns do not match"],
    [[head, ...Array<string>(5000).fill("a,endMill,hss,12,4,26,34,used")].join("\n"), "at most 2000"],
  ] as const) {
    await input.setInputFiles(csv(text));
    await expect(page.getByRole("alert")).toContainText(message);
    expect(await rows.count()).toBe(before);
  }
  await input.setInputFiles(
    csv(`${head}\n14 end mill,endMill,hss,14,4,30,38,new\ntoothless,endMill,hss,12,0,26,34,used`),
  );
  await expect(page.getByText(/Line 3/)).toBeVisible();
  await page.getByRole("button", { name: "Take 1", exact: true }).click();
  await expect(page.getByRole("link", { name: "14 end mill" })).toBeVisible();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export as CSV" }).click();
  expect(readFileSync(await (await download).path(), "utf8")).toContain("14 end mill,endMill,hss,14");
});

test("Cuts: another cutter and an own depth are marked, told what they mean, and undone", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "cuts/back.face/cutters");
  await page.getByRole("button", { name: "Use 50 shell mill" }).click();
  await expect(page.locator("h1")).toContainText("50 shell mill");
  await page.getByRole("tab", { name: "This cut" }).click();
  // A press of the figure opens it where it stands; the key o does the same.
  const depth = page.getByLabel("Your depth per pass");
  const figure = page.getByTitle("Press to set the depth per pass yourself");
  await figure.click();
  await depth.fill("3.9");
  await depth.press("Enter");
  await expect(page.getByText("◆ yours").first()).toBeVisible();
  await expect(page.getByText(/would do|it allows/).first()).toBeVisible();
  await page.getByRole("button", { name: "Back to the plan's depth" }).click();
  await page.getByRole("button", { name: "Back to the plan's cutter" }).click();
  await expect(page.getByText("◆ yours")).toHaveCount(0);
  // Beyond the motor it is refused and the plan keeps its own.
  await figure.blur();
  await page.keyboard.press("o");
  await depth.fill("30");
  await page.getByRole("button", { name: "Use mine" }).click();
  await expect(page.getByText(/cannot|not taken|beyond/).first()).toBeVisible();
});
