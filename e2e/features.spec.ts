import { writeFile } from "node:fs/promises";
import { type Page } from "@playwright/test";
import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";
import { tabTo, typeInto } from "./support/keyboard.ts";

const rows = (page: Page) => page.getByRole("button", { name: /^[▸▾] / });

/** Counts every key that goes down. */
async function counted(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const keys = window as unknown as { keysPressed: number };
    keys.keysPressed = 0;
    document.addEventListener("keydown", () => void keys.keysPressed++, true);
  });
  return () => page.evaluate(() => (window as unknown as { keysPressed: number }).keysPressed);
}

test("features are checked while typed, copied, mirrored, taken out and brought back", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "drawing");
  await expect(rows(page)).toHaveCount(5);

  await tabTo(page, page.getByRole("button", { name: /^Add a feature/ }));
  await page.keyboard.press("Enter");
  await expect(page.getByRole("menu")).toBeFocused();
  await page.keyboard.type("p");
  await page.keyboard.press("Enter");
  await expect(rows(page)).toHaveCount(6);
  await expect(page.getByText("Pocket 1 is incomplete").first()).toBeVisible();
  // A new feature takes the keyboard at its first size.
  await expect(page.getByLabel("Along the length", { exact: true })).toBeFocused();
  await typeInto(page, page.getByLabel("Along the length", { exact: true }), "20");
  await typeInto(page, page.getByLabel("Along the width", { exact: true }), "16");
  await typeInto(page, page.getByLabel("Pocket depth (empty: through)"), "6");
  await expect(page.getByText(/No milling cutter leaves a sharp inside corner/).first()).toBeVisible();
  await typeInto(page, page.getByLabel("Corner radius (empty: none given)"), "5");
  await expect(page.getByText(/No milling cutter leaves a sharp inside corner/)).toHaveCount(0);

  await page.getByRole("button", { name: "Duplicate" }).click();
  await expect(rows(page)).toHaveCount(7);
  await expect(page.getByText(/are the same, in the same place/).first()).toBeVisible();
  await page.getByRole("button", { name: "Mirror along the length" }).click();
  await expect(rows(page)).toHaveCount(8);
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await expect(rows(page)).toHaveCount(7);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(rows(page)).toHaveCount(8);
  // Outside of the block is told at once, with figures; the size can be typed on the views too.
  await page.getByRole("button", { name: /^▸ hole 1/ }).click();
  await page.getByLabel("hole 1, length, on the views").fill("1");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/Hole 1 runs off the block along its length/).first()).toBeVisible();
  // A second hole counted from it goes where it goes.
  await page.getByRole("button", { name: "Duplicate" }).click();
  await page
    .getByLabel("Along the length, from", { exact: true })
    .selectOption({ label: "hole 1, toward the right" });
  await page.getByLabel("to its center, along the length", { exact: true }).fill("40");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: /^▸ hole 1/ }).click();
  await expect(page.getByText("hole 2 counts from it and moves with it.")).toBeVisible();
});

test("a part with eight features is entered by keyboard alone", async ({ strictPage: page }) => {
  const keys = await counted(page);
  await loadDemo(page);
  await openStation(page, "drawing");
  for (let left = 5; left > 0; left--) {
    await rows(page).first().click();
    await page.getByRole("button", { name: "Remove", exact: true }).click();
    await expect(rows(page)).toHaveCount(left - 1);
  }
  const before = await keys();
  /** a, the first letter of the kind as often as it takes, Enter; then sizes and places in the order they stand. */
  const feature = async (
    letters: string,
    count: number,
    sizes: string[],
    places: [key: string, at: string][],
  ) => {
    await page.keyboard.press("a");
    await expect(page.getByRole("menu")).toBeFocused();
    for (const letter of letters) await page.keyboard.press(letter);
    await page.keyboard.press("Enter");
    await expect(rows(page)).toHaveCount(count);
    await expect(page.locator("aside input").first()).toBeFocused();
    for (const size of sizes) {
      await page.keyboard.type(size);
      await page.keyboard.press("Tab");
    }
    for (const [key, at] of places) {
      await expect(page.locator("select:focus")).toHaveCount(1);
      if (key === "") {
        await page.keyboard.press("Tab");
        continue;
      }
      const field = page.getByLabel(/^to its center, along the/);
      const had = await field.count();
      await page.keyboard.press(key);
      await expect(field).toHaveCount(had + 1);
      await page.keyboard.press("Tab");
      await page.keyboard.type(at);
      await page.keyboard.press("Tab");
    }
    await page.keyboard.press("Escape");
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  };
  await feature("s", 1, ["10", "8"], [["f", "14"]]); // an open slot from the front
  await feature(
    "p",
    2,
    ["24", "18", "8", "6"],
    [
      ["r", "22"],
      ["", ""],
    ],
  );
  await feature(
    "h",
    3,
    ["6.6", "20"],
    [
      ["l", "10"],
      ["f", "50"],
    ],
  );
  await feature(
    "h",
    4,
    ["8.5", ""],
    [
      ["l", "30"],
      ["f", "44"],
    ],
  );
  await feature("ss", 5, ["12", "6"], []); // a step
  await feature("sss", 6, ["9", "", "30"], []); // a slope by width and angle
  await feature("cc", 7, ["4", ""], []); // corners of a radius
  await feature(
    "h",
    8,
    ["5", "10"],
    [
      ["r", "10"],
      ["f", "8"],
    ],
  );
  const pressed = (await keys()) - before;
  console.log(`eight features: ${pressed} keys`);
  // Two keys a second are slow typing: 360 are three minutes.
  expect(pressed).toBeLessThan(240);
  await expect(page.getByText(/is incomplete/)).toHaveCount(0);
});

test("a shaft: a key looked up from its diameter, a wrong depth told, its figures with their working", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await page.goto("/jobs/drum-shaft/drawing");
  await rows(page).first().click();
  const depth = page.getByRole("button", { name: /^4\.000 ?mm$/ });
  await depth.click();
  await expect(page.getByText("Working: depth from the crown")).toBeVisible();
  // The depth of the next key, then the right one from the wrong surface.
  await typeInto(page, page.getByLabel("Seat depth (empty: by the standard)"), "5");
  await expect(page.getByText(/belongs to key 10 × 8/).first()).toBeVisible();
  await typeInto(page, page.getByLabel("Seat depth (empty: by the standard)"), "3.457");
  await expect(
    page.getByText(/is the depth from the edge, but it is entered from the crown/).first(),
  ).toBeVisible();
  await page
    .getByLabel("Own depth counts from", { exact: true })
    .selectOption({ label: "the edge of the seat" });
  await expect(page.getByText(/is the depth from the edge/)).toHaveCount(0);
  // Every station shows that it is a shaft.
  for (const [station, says] of [
    ["stock", /A shaft comes turned to its drawing/],
    ["setups", /The shaft in V-blocks along X/],
    ["cuts", /Rough out the keyseat/],
    ["machine", /Before you start/],
    ["record", /the seat width/],
  ] as const) {
    await page.goto(`/jobs/drum-shaft/${station}`);
    await expect(page.getByText(says).first()).toBeVisible();
  }
  await page.goto("/jobs/drum-shaft/stock");
  await page.getByLabel("Measured diameter of section 2").fill("30.05");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/too thick/)).toBeVisible();
});

const square = (entity: string) =>
  ["0", "SECTION", "2", "ENTITIES", ...entity.split(" "), "0", "ENDSEC", "0", "EOF"].join("\n");

test("outlines of a DXF file become features after each is confirmed; what cannot be read is told", async ({
  strictPage: page,
}, testInfo) => {
  await loadDemo(page);
  await openStation(page, "drawing");
  const choose = (name: string, text: string) =>
    page.getByLabel("Read DXF").setInputFiles({ name, mimeType: "image/vnd.dxf", buffer: Buffer.from(text) });
  await choose("broken.dxf", "no drawing at all");
  await expect(page.getByText(/This file cannot be read as DXF/)).toBeVisible();
  await choose("space.dxf", square("0 LINE 10 0 20 0 30 0 11 5 21 0 31 9"));
  await expect(page.getByText(/three-dimensional/)).toBeVisible();
  // From the disk: 20 MB sent through the driver's wire take longer than an action may on a busy machine.
  const huge = testInfo.outputPath("huge.dxf");
  await writeFile(huge, "0\n".repeat(10_100_000));
  await page.getByLabel("Read DXF").setInputFiles(huge);
  await expect(page.getByText(/larger than 20 MB/)).toBeVisible();

  await choose(
    "plate.dxf",
    square("0 CIRCLE 10 30 20 30 40 4 0 LWPOLYLINE 90 3 70 1 10 50 20 20 10 70 20 20 10 60 20 40"),
  );
  await expect(page.getByText("plate.dxf: 2 closed shapes")).toBeVisible();
  await page.getByLabel(/The file does not say its unit/).selectOption("mm");
  await page.getByRole("button", { name: "Add as a hole" }).click();
  await expect(rows(page)).toHaveCount(6);
  await page.getByRole("button", { name: "Add as an outline" }).click();
  await expect(rows(page)).toHaveCount(7);
  await expect(page.getByText("✓ added")).toHaveCount(2);
  const saved = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save DXF" }).click();
  expect((await saved).suggestedFilename()).toBe("cheek-block-views.dxf");
});
