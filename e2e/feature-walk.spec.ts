import { expect, loadDemo, test } from "./support/fixtures.ts";
import { demoFile, drawn, milledCopy } from "./support/milled.ts";
import { walkOn } from "./support/walk-on.ts";

/** A block that comes milled to size, with a closed slot and a pocket. */
function milledBlock(): string {
  const file = milledCopy("cheek-block", "milled-block", "Milled block");
  const { features } = file.job.part;
  const slot = features.byId["slot-closed"]!;
  const seat = demoFile("pawl-plate").job.part.features.byId.seat!;
  // Shallow: each level is as many moves again.
  Object.assign(seat.sizes.depth!, drawn(0.8));
  Object.assign(slot.sizes.depth!, drawn(1.2));
  file.job.part.features = { byId: { "slot-closed": slot, seat }, order: ["slot-closed", "seat"] };
  return JSON.stringify(file);
}

test("a shaft with a Woodruff seat, walked to its last step in inches", async ({ strictPage: page }) => {
  await loadDemo(page);
  await page.goto("/jobs/crank-shaft/setups");
  await expect(page.getByText(/The shaft in V-blocks along X/).first()).toBeVisible();
  await page.keyboard.press("u");
  await page.keyboard.press("5");
  await expect(page.getByText(/^\d+ of \d+$/)).toBeVisible();
  const met = await walkOn(page, 120);
  expect([...met]).toEqual(
    expect.arrayContaining(["place", "clamp", "check", "zero", "move", "measure", "deburr", "out"]),
  );
  await page.keyboard.press("6");
  await expect(page.getByText(/floor of the seat over the far side/).first()).toBeVisible();
  await expect(page.getByRole("heading", { name: "The part is good" })).toBeVisible();
});

test("a block with a slot and a pocket, walked move by move; a stale zero blocks, and one page is printed", async ({
  strictPage: page,
}) => {
  test.setTimeout(300_000);
  await page.goto("/");
  await page
    .getByLabel("Import a job file")
    .setInputFiles({ name: "job.json", mimeType: "application/json", buffer: Buffer.from(milledBlock()) });
  await page.getByRole("button", { name: "Open it" }).click();
  await page.goto("/jobs/milled-block/setups/slot-closed.rough");
  await expect(page.getByText("Where zero lies")).toBeVisible();
  // A sheet for the machine: one page, whatever else the station shows.
  await page.emulateMedia({ media: "print" });
  const pdf = (await page.pdf({ format: "A4" })).toString("latin1");
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  await page.emulateMedia({ media: "screen" });

  await page.goto("/jobs/milled-block/cuts/slot-closed.rough/moves");
  await expect(page.getByText(/moves, all from one zero/)).toBeVisible();
  await expect(page.getByRole("row", { name: /feed to/ }).first()).toContainText("full width");

  await page.goto("/jobs/milled-block/machine");
  // On to a move of a slot, then the vise is bumped: no cut before clamping and every zero are done again.
  await walkOn(page, 260, /seat\.rough\/move-2/);
  await expect(page.getByText(/Move 2 of/)).toBeVisible();
  await page.getByRole("button", { name: "Something is wrong" }).click();
  await page.getByRole("button", { name: /The part or the vise moved/ }).click();
  // Kept when the walk has gone back to what must be done again.
  await expect(page.getByText(/Move 2 of/)).toHaveCount(0);
  await page.goto("/jobs/milled-block/machine/1/seat.rough/zero-x");
  await expect(page.getByText(/zero is stale/)).toBeVisible();
  await page.goto("/jobs/milled-block/machine/1/seat.rough/move-9");
  await expect(page.getByText("This step waits.")).toBeVisible();
  await expect(page.getByRole("button", { name: /Cut done/ })).toBeDisabled();

  await page.goto("/jobs/milled-block/machine");
  const met = await walkOn(page, 460);
  expect(met.has("move") && met.has("measure")).toBe(true);
  // What the drawing asks besides is read at the end: the field has the keys until then.
  await page.getByRole("link", { name: "To the record" }).click();
  // The first face of every size was not measured, so not all is judged; what was, is good.
  await expect(page.getByRole("row", { name: /slot width/ }).first()).toContainText("good");
  await expect(page.getByText(/rework|under size/)).toHaveCount(0);
});
