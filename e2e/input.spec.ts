import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";
import { pressSpace } from "./support/keyboard.ts";

/** What people mistype, and whether the field must refuse it. */
const inputs: [text: string, refused: boolean][] = [
  ["abc", true],
  ["-5", true],
  ["0", true],
  ["1e9", true],
  ["12 parsecs", true],
  ["1.2.3", true],
  ["1/0", true],
  ["  25,4   mm ", false],
  ["2 3/8 in", false],
];

const fields: [station: string, labels: string[]][] = [
  ["drawing", ["Length", "Width", "Height"]],
  [
    "drawing/faces",
    ["Squareness required, over 100 mm (4 in)", "Parallelism required, thickest to thinnest"],
  ],
  ["stock", ["length", "width", "height"].flatMap((axis) => [1, 4].map((n) => `${axis}, point ${n}`))],
];

for (const [station, labels] of fields) {
  test(`bad input in every number field of ${station}: a sentence, and what was typed stays`, async ({
    strictPage: page,
  }) => {
    test.setTimeout(180_000);
    await page.clock.install();
    await loadDemo(page);
    await openStation(page, station);
    // What is typed is kept after a while by itself: here it is only looked at, and taken back.
    await page.clock.pauseAt(new Date(Date.now() + 60_000));
    for (const label of labels) {
      const field = page.getByLabel(label, { exact: true });
      const original = await field.inputValue();
      const said = page.locator(`[id="${await field.getAttribute("aria-describedby")}"]`);
      for (const [text, refused] of inputs) {
        await field.fill(text);
        await expect(field, `${label} ${text}`).toHaveAttribute("aria-invalid", String(refused));
        expect((await said.innerText()).length, `${label} ${text}`).toBeGreaterThan(5);
        expect(await field.inputValue()).toBe(text);
        await field.press("Escape");
      }
      await expect(field).toHaveValue(original);
    }
  });
}

test("text that was not understood survives a reload and blocks only what depends on it", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "drawing");
  const length = page.getByLabel("Length", { exact: true });
  await length.fill("96 furlongs");
  await length.press("Enter");
  await page.waitForTimeout(600);
  await page.reload();
  await expect(length).toHaveValue("96 furlongs");
  await expect(length).toHaveAttribute("aria-invalid", "true");
  await expect(page.getByLabel("Width", { exact: true })).toHaveValue("60 ±0.05");
  await length.fill("");
  await length.press("Enter");
  await expect(page.getByText("The finished length is missing")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(length).toHaveValue("96 ±0.1");
});

test("the unit switch changes what is shown, nothing else", async ({ strictPage: page }) => {
  await loadDemo(page);
  await openStation(page, "drawing");
  const length = page.getByLabel("Length", { exact: true });
  await page.keyboard.press("u");
  await expect(length).toHaveValue(/^3\.7795 ±0\.0039 in$/);
  await page.keyboard.press("u");
  await expect(length).toHaveValue("96 ±0.1");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("a lump that is short offers other stock or a deviation, which the record shows", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "stock");
  await page.getByLabel("height, point 2").fill("38.1");
  await page.getByLabel("height, point 2").press("Enter");
  await expect(page.getByText(/Stock is 0\.85 mm undersize in height/)).toBeVisible();
  await page.getByLabel("Who agreed, or why").fill("agreed with the fitter");
  await page.getByRole("button", { name: "Record the deviation" }).click();
  await expect(page.getByText("The height deviates from the drawing")).toBeVisible();
  await expect(page.getByText(/is 0\.85 mm undersize/)).toHaveCount(0);
  // What was just kept is read again, which can take a press back.
  await expect(async () => {
    await page.getByRole("link", { name: /6 Record/ }).click();
    await expect(page.getByText("agreed with the fitter")).toBeVisible({ timeout: 2_000 });
  }).toPass();
});

test("a wedge of 0.04 read at four corners: a cause is named with its test, and what would make it right", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "record");
  await page.getByRole("button", { name: "height", exact: true }).click();
  const field = page.getByLabel(/^Height, mm/);
  // Round the corners: left front, right front, right back, left back.
  for (const [value, spot] of [
    ["37.97", "left front"],
    ["38.02", "right front"],
    ["38.02", "right back"],
    ["37.97", "left back"],
  ] as const) {
    await field.fill(value);
    await field.press("Enter");
    await expect(page.getByRole("button", { name: new RegExp(`^${spot}: ${value}`) })).toBeVisible();
  }
  await expect(page.getByText(/raise the right by 0\.050 mm/)).toBeVisible();
  await expect(
    page.getByText(/One end of the part was not down|The head is out of tram along X/).first(),
  ).toBeVisible();
  await expect(page.getByText(/To tell: /).first()).toBeVisible();
  // What is too thick is accepted with a reason: the verdict stays, the reason stands beside it.
  await field.fill("38.09");
  await field.press("Enter");
  await expect(page.getByText(/no single cut brings every place inside/)).toBeVisible();
  await page.getByLabel("Accepted by whoever may: who, and why").fill("the fitter scrapes the seat");
  await page.getByRole("button", { name: "Accept it" }).click();
  await expect(page.getByText(/Accepted as it is: the fitter scrapes the seat/)).toBeVisible();
  await expect(page.getByText("rework").first()).toBeVisible();
  await page.getByRole("button", { name: "Take that back" }).click();
  await expect(page.getByRole("button", { name: "Accept it" })).toBeVisible();
});

test("a casting probed on its faces is balanced: what comes off, what goes under it, and a forbidden tilt", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await page.goto("/jobs/cast-foot/stock/balance");
  await expect(page.getByText(/It cleans up, with 1\.67 mm over what is needed/)).toBeVisible();
  await expect(page.getByText(/Under the three rests/)).toBeVisible();
  await page.getByText("it may be tilted").click();
  await expect(page.getByText(/It lies level on three rests/)).toBeVisible();
  const last = page.getByLabel(/^back reads, point 18/);
  await last.fill("79.4");
  await last.press("Enter");
  await expect(page.getByText(/is missing at the worst place/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(page.getByText(/is missing at the worst place/)).toHaveCount(0);
});

test("a stale zero blocks the cut until it is taken again; the last entry can be taken back", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await openStation(page, "machine");
  await expect(page.getByText("Before you start")).toBeVisible();
  for (let i = 0; i < 60 && !(await page.getByRole("button", { name: /Cut done/ }).isVisible()); i++) {
    const before = await page.locator("main").innerText();
    await pressSpace(page);
    await expect.poll(() => page.locator("main").innerText()).not.toBe(before);
  }
  await page.getByRole("button", { name: "Something is wrong" }).click();
  await page.getByRole("button", { name: /I moved the knee/ }).click();
  await expect(page.getByRole("alert")).toContainText("is stale");
  await expect(page.getByRole("button", { name: /Cut done/ })).toHaveCount(0);
  await pressSpace(page);
  // From the new zero the pass is set and locked anew before it can be cut.
  await expect(page.getByRole("button", { name: /Set there, then/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /Cut done/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Something is wrong" }).click();
  await page.getByRole("button", { name: /Undo the last entry/ }).click();
  await expect(page.getByRole("button", { name: /Zero is set/ })).toBeVisible();
});

test("a held Space ticks and cuts nothing, a doubled one ticks once", async ({ strictPage: page }) => {
  await loadDemo(page);
  await openStation(page, "machine");
  const ticked = page.locator("ol").getByRole("button", { pressed: true });
  // Heard at all: presses that are meant lead to the first setup, and one ticks there.
  const placing = page.getByText("Jaws, bed and part wiped clean");
  await expect(async () => {
    await pressSpace(page);
    await expect(placing).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await pressSpace(page);
  await expect(ticked).toHaveCount(1);
  for (let i = 0; i < 60; i++) {
    await page.keyboard.down("Space");
    await page.waitForTimeout(33);
  }
  await page.keyboard.up("Space");
  await page.waitForTimeout(400);
  await expect(ticked).toHaveCount(1);
  // Both in the page, so that a slow machine does not pull them apart.
  await page.evaluate(() => {
    for (const type of ["keydown", "keyup", "keydown", "keyup"])
      document.body.dispatchEvent(
        new KeyboardEvent(type, { key: " ", code: "Space", bubbles: true, cancelable: true }),
      );
  });
  await expect(ticked).toHaveCount(2);
  await page.waitForTimeout(400);
  await expect(ticked).toHaveCount(2);
});

test("a casting of which nine points are typed is balanced, and a point off its face is said", async ({
  strictPage: page,
}) => {
  await loadDemo(page);
  await page.goto("/jobs/pawl-plate/stock/balance");
  const points: [face: string, first: string, second: string, reads: string][] = [
    ["bottom", "10", "10", "-1.4"],
    ["bottom", "80", "12", "-1.9"],
    ["bottom", "45", "40", "-1.6"],
    ["top", "10", "10", "17.8"],
    ["top", "80", "12", "17.2"],
    ["top", "45", "40", "17.6"],
    ["left", "25", "8", "-1.5"],
    ["right", "25", "8", "91.7"],
    ["front", "45", "8", "-1.6"],
  ];
  for (const [i, [face, first, second, reads]] of points.entries()) {
    const n = i + 1;
    await page.getByRole("button", { name: "Add a point" }).click();
    await page.getByLabel(`Face of point ${n}`).selectOption(face);
    for (const [what, text] of [
      [/, along the .*, point \d+$/, first],
      [/, along the .*, point \d+$/, second],
      [/ reads, point \d+$/, reads],
    ] as const) {
      const all = page.getByLabel(new RegExp(`^${face}${what.source.replace("\\d+", String(n))}`));
      const field = text === second && first !== second ? all.nth(1) : all.first();
      await field.fill(text);
      await field.press("Enter");
    }
  }
  await expect(page.getByText(/It cleans up, with/)).toBeVisible();
  await expect(page.getByRole("row", { name: /^bottom .* cleans up/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /^right .* cleans up/ })).toBeVisible();
  // A slip of the unit: what was typed stays, and it is said.
  const far = page.getByLabel(/^bottom, along the length, point 2/);
  await far.fill("800");
  await far.press("Enter");
  await expect(page.getByText(/Point 2 lies off the bottom face: 800\.00 mm/)).toBeVisible();
  await expect(far).toHaveValue("800.00");
});
