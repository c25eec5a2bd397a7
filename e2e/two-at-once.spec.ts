import { writeJobFile } from "../core/exchange/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { featureOf } from "../tests/support/cheek-block.ts";
import { jobOf } from "../tests/parts/described.ts";
import { expect, test } from "./support/fixtures.ts";
import { walkOn } from "./support/walk-on.ts";

/** Two blocks milled but for their tops, with a hole through each. */
const spacers = {
  ...jobOf({
    name: "Spacer pair",
    material: "aluminum-6061",
    block: ["50", "30 ±0.05", "20"],
    stock: "milled",
    over: [0, 0, 1],
    finished: ["left", "right", "front", "back", "bottom"],
    features: [
      featureOf("hole", "bolt", "top", { sizes: { diameter: "8.5" }, first: "left 25", second: "front 15" }),
    ],
  }),
  quantity: 2,
};

test("two pieces end to end in the vise, then on one another and on another machine: cut once, read twice, both good", async ({
  strictPage: page,
}) => {
  await page.addInitScript(() => localStorage.setItem("firm-arbor:telling", "brief"));
  await page.goto("/");
  await page.getByLabel("Import a job file").setInputFiles({
    name: "spacers.json",
    mimeType: "application/json",
    buffer: Buffer.from(writeJobFile(spacers, [], demoShop)),
  });
  await page.getByRole("button", { name: "Open it" }).click();
  await page.goto(`/jobs/${spacers.id}/record/1/batch`);
  await page.getByText("Two in the vise at once?").click();
  for (const name of [/^1 end to end/, /^2 end to end/, /^3 stacked/]) {
    const row = page.getByRole("row", { name });
    await row.getByRole("button", { name: "Hold two" }).click();
    await expect(row.getByRole("button", { name: "One at a time" })).toBeVisible();
  }

  // The hole is drilled on the bench mill: said in the ribbon, and to be carried there first.
  await page.goto(`/jobs/${spacers.id}/setups`);
  const ribbon = page.getByRole("navigation", { name: "Setups" });
  await ribbon.getByRole("link").nth(2).click();
  await page.getByLabel("Machine from here on").selectOption({ label: "Bench mill, dials only" });
  await expect(ribbon.getByText("→ Bench mill, dials only")).toBeVisible();

  // Edges by hand come before all else.
  await page.getByRole("tab", { name: "Order of work" }).click();
  await page.getByRole("button", { name: "Add work by hand" }).click();
  await page.getByLabel("Where, and what for").fill("the edges of the blank");
  await page.keyboard.press("Tab");
  await page.getByRole("link", { name: /^5 Machine/ }).click();

  const seen = new Set<string>();
  const look = async () => {
    const text = await page.locator("main").innerText();
    for (const words of [
      "the edges of the blank",
      "Piece 2 lies in the vise",
      "Carried to the Bench mill",
      "A second piece below it",
    ])
      if (text.includes(words)) seen.add(words);
  };
  await walkOn(page, 120, undefined, look);
  expect([...seen].sort()).toEqual([
    "A second piece below it",
    "Carried to the Bench mill",
    "Piece 2 lies in the vise",
    "the edges of the blank",
  ]);

  // Of the second only its hand work and its readings are left.
  const cuts = new Set<string>();
  await page.goto(`/jobs/${spacers.id}/machine/2`);
  await walkOn(page, 40, undefined, async () => {
    const text = await page.locator("main").innerText();
    if (/Cut done|Feed to|Go down/.test(text)) cuts.add(text);
  });
  expect([...cuts]).toEqual([]);
  await page.goto(`/jobs/${spacers.id}/record/2/pieces`);
  await expect(page.getByText("2 of 2").or(page.getByText("good")).first()).toBeVisible();
});
