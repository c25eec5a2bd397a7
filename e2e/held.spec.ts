import { writeJobFile } from "../core/exchange/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { featureOf } from "../tests/support/cheek-block.ts";
import { jobOf } from "../tests/parts/described.ts";
import { expect, test } from "./support/fixtures.ts";
import { walkOn } from "./support/walk-on.ts";

/** A plate bought to size, wider than the vise opens, with a hole through it. */
const plate = jobOf({
  name: "Wide plate",
  material: "aluminum-6061",
  block: ["180", "150", "12"],
  stock: "plate",
  over: [0, 0, 0],
  finished: ["left", "right", "front", "back", "bottom", "top"],
  features: [
    featureOf("hole", "bolt", "top", { sizes: { diameter: "8.5" }, first: "left 60", second: "front 40" }),
  ],
});

test("a plate wider than the vise is strapped clear of its hole, compared, glued instead and strapped again, and walked to the end", async ({
  strictPage: page,
}) => {
  await page.goto("/");
  await page.getByLabel("Import a job file").setInputFiles({
    name: "wide-plate.json",
    mimeType: "application/json",
    buffer: Buffer.from(writeJobFile(plate, [], demoShop)),
  });
  await page.getByRole("button", { name: "Open it" }).click();
  await page.goto(`/jobs/${plate.id}/setups`);
  await expect(page.getByRole("heading", { name: /strapped to the table/ })).toBeVisible();
  await expect(page.getByText(/Not in the vise: .* must go between the jaws/).first()).toBeVisible();
  await page.getByRole("tab", { name: "Ways to hold it" }).click();
  const glue = page.getByRole("region", { name: "Glue on a plate" });
  await glue.getByRole("button", { name: "Hold it so" }).click();
  await expect(glue.getByText("in the plan")).toBeVisible();
  await page.getByRole("button", { name: /^Back to the plan's/ }).click();
  const straps = page.getByRole("region", { name: /Straps on the table/ });
  await expect(straps.getByText("in the plan")).toBeVisible();
  await page.goto(`/jobs/${plate.id}/machine`);
  let strapped = false;
  await walkOn(page, 120, undefined, async () => {
    strapped ||= await page.getByText(/Over the back edge: straps .* from the left end/).isVisible();
  });
  expect(strapped).toBe(true);
  await expect(page.getByText("All steps are done")).toBeVisible();
});
