import type { Page } from "@playwright/test";
import { writeJobFile } from "../core/exchange/index.ts";
import type { Job } from "../core/job/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { appended, type Record } from "../core/steps/index.ts";
import { featureOf } from "../tests/support/cheek-block.ts";
import { jobOf } from "../tests/parts/described.ts";
import { expect, test } from "./support/fixtures.ts";

const half = (name: string, features: Parameters<typeof jobOf>[0]["features"]): Job =>
  jobOf({ name, material: "aluminum-6061", block: ["60", "40", "20.5"], over: [2, 2, 2], features });
const lower = half("Lower half", [
  featureOf("hole", "bolt", "top", { sizes: { diameter: "6.6" }, first: "left 20", second: "front 15" }),
]);
const upper = half("Upper half", []);
/** The lower half was read 20.53 high. */
const read: Record[] = appended([], {
  type: "reading",
  op: null,
  of: "height",
  value: 20.53,
  written: { text: "20.53", unit: "mm" },
  instrument: demoShop.instruments[0]!.id,
  questioned: [],
});

async function bring(page: Page, job: Job, records: Record[]): Promise<void> {
  await page.goto("/");
  await page.getByLabel("Import a job file").setInputFiles({
    name: `${job.id}.json`,
    mimeType: "application/json",
    buffer: Buffer.from(writeJobFile(job, records, demoShop)),
  });
  await page.getByRole("button", { name: "Open it" }).click();
  await expect(page).toHaveURL(new RegExp(job.id));
}

test("halves: the second is made to what the first measured, and takes over its hole", async ({
  strictPage: page,
}) => {
  await bring(page, lower, read);
  await bring(page, upper, []);
  await page.goto(`/jobs/${upper.id}/drawing`);
  await page.getByRole("tab", { name: "Fits with" }).click();
  const mates = page.getByRole("tabpanel").getByRole("listitem");

  await page.getByRole("button", { name: "Add a mate" }).click();
  const sum = mates.first();
  await sum.getByLabel("They are").selectOption({ label: "halves that make a whole" });
  await sum.getByLabel("Size of this part").selectOption({ label: "height" });
  await sum.getByLabel("Its job on this bench").selectOption({ label: "Lower half" });
  await sum.getByLabel("Its size there").selectOption({ label: "height" });
  await sum.getByLabel("Both together").fill("41");
  await page.keyboard.press("Enter");
  await expect(sum.getByText("this one is to be 20.470 mm")).toBeVisible();
  await sum.getByRole("button", { name: "Make this half to it" }).click();
  await expect(sum.getByRole("button", { name: "Make this half to it" })).toHaveCount(0);

  await page.getByRole("button", { name: "Add a mate" }).click();
  const drilled = mates.nth(1);
  await drilled.getByLabel("They are").selectOption({ label: "drilled together" });
  await drilled.getByLabel("Its job on this bench").selectOption({ label: "Lower half" });
  await drilled.getByRole("button", { name: "the same size" }).click();
  await expect(drilled.getByText("Every hole of Lower half is in this part too.")).toBeVisible();

  // The plan goes by both: the height as the other half leaves it, and the hole.
  await page.getByRole("link", { name: /^3 Setups/ }).click();
  const ribbon = page.getByRole("navigation", { name: "Setups" });
  await expect(ribbon.getByText("to 20.47 mm")).toBeVisible();
  await expect(ribbon.getByText("top up, 1 feature")).toBeVisible();
  // What was made to a mate is a deviation from the drawing, and said as one.
  await page.getByRole("link", { name: /^6 Record/ }).click();
  await expect(page.getByText(/Deviation from the drawing: height/).first()).toBeVisible();
});
